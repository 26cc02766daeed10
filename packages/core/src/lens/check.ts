import { kindOf } from '../kinds/kinds.js';
import { addressNames } from './address-names.js';
import type { Lens } from './lens.js';
import { markupProblems } from './markup.js';
import { namedFields } from './named-fields.js';
import { isLanguage, isZone } from './locale.js';
import { hasTerms, type Field } from '../model/post.js';
import { textsKept } from '../engine/index/post-index.js';
import { meant } from '../text/loose.js';
import { isInherited } from '../text/own.js';
import { step, type ShapeProblem } from '../shape/shape.js';

/**
 * Checks what a shape alone can't know: that the fields a lens names are in its source, and that no two of its
 * address names are the same.
 */
export function checkLens(lens: Lens, fields: readonly Field[]): ShapeProblem[] {
  const byKey = new Map(fields.map((field) => [field.key, field]));
  const problems: ShapeProblem[] = [];
  for (const { key, pointer, ofTerms } of namedFields(lens)) {
    const field = byKey.get(key);
    if (!field) {
      const near = meant(key, [...byKey.keys()]);
      const hint = near ? `; did you mean “${near}”?` : '';
      problems.push({ pointer, message: `names the field “${key}”, which the source does not have${hint}` });
    } else if (ofTerms && !hasTerms(field)) {
      problems.push({ pointer, message: `names “${key}”, which is no field of terms` });
    }
  }
  lens.follows.forEach(({ lens: other, facet }, i) => {
    const first = lens.follows.findIndex((one) => one.lens === other && one.facet === facet);
    if (first < i)
      problems.push({ pointer: `/follows/${i}`, message: `follows “${facet}” of “${other}” a second time` });
  });
  const searches = lens.facets.flatMap((facet, i) => (kindOf(facet).finding ? [i] : []));
  for (const i of searches.slice(textsKept)) {
    problems.push({ pointer: `/facets/${i}`, message: `is one search too many; a lens may have ${textsKept}` });
  }
  lens.facets.forEach((facet, i) => {
    for (const problem of kindOf(facet).problems(facet, byKey)) {
      problems.push({ ...problem, pointer: `/facets/${i}${problem.pointer}` });
    }
    const { dependsOn } = facet;
    if (dependsOn !== '' && (dependsOn === facet.key || !lens.facets.some((other) => other.key === dependsOn))) {
      problems.push({ pointer: `/facets/${i}/dependsOn`, message: `names no other facet: “${dependsOn}”` });
    }
  });
  if (lens.look.desktopFrom < lens.look.tabletFrom) {
    const message = `must not be less than tabletFrom, which is ${lens.look.tabletFrom}`;
    problems.push({ pointer: '/look/desktopFrom', message });
  }
  if (lens.sort.default !== '' && !lens.sort.options.some((option) => option.key === lens.sort.default)) {
    problems.push({ pointer: '/sort/default', message: `names no sort option: “${lens.sort.default}”` });
  }
  if (!isZone(lens.zone))
    problems.push({ pointer: '/zone', message: `“${lens.zone}” is no time zone this server knows` });
  if (!isLanguage(lens.language))
    problems.push({ pointer: '/language', message: `“${lens.language}” is no language tag; en or de-AT would be one` });
  for (const language of Object.keys(lens.languages)) {
    const pointer = step('/languages', language);
    if (!isLanguage(language))
      problems.push({ pointer, message: `“${language}” is no language tag; en or de-AT would be one` });
    if (language === lens.language)
      problems.push({ pointer, message: `“${language}” is the lens’s own language: its words stand in texts` });
  }
  return [...problems, ...markupProblems(lens.markup), ...nameClashes(lens)];
}

function nameClashes(lens: Lens): ShapeProblem[] {
  const problems: ShapeProblem[] = [];
  const taken = new Map<string, string>();
  for (const { name, pointer } of addressNames(lens)) {
    if (isInherited(name)) problems.push({ pointer, message: `“${name}” can’t be an address name; choose another` });
    const other = taken.get(name);
    if (other !== undefined) problems.push({ pointer, message: `“${name}” is an address name already, at ${other}` });
    else taken.set(name, pointer);
  }
  const sortKeys = new Set<string>();
  lens.sort.options.forEach((option, i) => {
    if (sortKeys.has(option.key))
      problems.push({ pointer: `/sort/options/${i}/key`, message: `“${option.key}” is there twice` });
    sortKeys.add(option.key);
  });
  return problems;
}
