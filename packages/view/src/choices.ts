import { byCodeUnits, encodePart, splitAddress } from '@ivy/core';
import type { Answer, FacetAnswer, Option, Settings } from '@ivy/core';

/** What a visitor has chosen, as plain data: what `element.query` reads and sets. */
export interface Choices {
  /** Values by facet key; facets with nothing chosen have no entry. A search is one text, a range one `from/to`. */
  facets: Record<string, string[]>;
  /** Null: the lens's own choice. */
  sort: string | null;
  page: number;
  /** Posts a page; null or absent: the lens's own. */
  size?: number | null;
}

/** The choices an answer was given for. */
export function choicesOf(answer: Answer, settings: Settings): Choices {
  const facets: Record<string, string[]> = {};
  for (const facet of answer.facets) {
    const values = selectedValues(facet);
    if (values.length > 0) facets[facet.key] = values;
  }
  const { prefix, sort, size } = settings.address;
  const said = splitAddress(answer.address);
  const valueOf = (name: string) => said.find((parameter) => parameter.name === prefix + name)?.value ?? null;
  const choices: Choices = { facets, sort: valueOf(sort), page: answer.page };
  if (settings.paging.sizes.length > 0) choices.size = Number(valueOf(size)) || null;
  return choices;
}

function selectedValues(facet: FacetAnswer): string[] {
  const { selected } = facet;
  if (selected === null) return [];
  if (Array.isArray(selected)) return selected;
  return [typeof selected === 'string' ? selected : `${selected.from ?? '..'}/${selected.to ?? '..'}`];
}

/** A facet whose choices are listed one by one. */
interface Listed {
  key: string;
  options: readonly Option[];
}

/**
 * Chooses or un-chooses a value; the page goes back to 1.
 * A parent that is partly on becomes wholly on, and takes the place of what was chosen below it.
 */
export function toggle(choices: Choices, facet: Listed, value: string, single: boolean): Choices {
  const chosen = choices.facets[facet.key] ?? [];
  if (chosen.includes(value))
    return choose(
      choices,
      facet.key,
      chosen.filter((other) => other !== value),
    );
  if (single) return choose(choices, facet.key, [value]);
  const below = new Set(descendants(facet, value));
  return choose(choices, facet.key, [...chosen.filter((other) => !below.has(other)), value]);
}

/** Sets the values of one facet; the page goes back to 1. */
export function choose(choices: Choices, key: string, values: readonly string[]): Choices {
  const { [key]: _before, ...others } = choices.facets;
  return { ...choices, page: 1, facets: values.length === 0 ? others : { ...others, [key]: [...values] } };
}

function descendants(facet: Listed, value: string): string[] {
  const found: string[] = [];
  const above = new Set([value]);
  // options come depth first, so a parent is always met before its children
  for (const option of facet.options) {
    if (option.parent === null || !above.has(option.parent)) continue;
    above.add(option.value);
    found.push(option.value);
  }
  return found;
}

/** What is chosen where an address says nothing, in the facets that visitors can see. */
export function startChoices(settings: Settings): Record<string, string[]> {
  const own = settings.facets.filter((facet) => facet.visible);
  return Object.fromEntries(own.flatMap(({ key, start }) => (start && start !== 'either' ? [[key, [start]]] : [])));
}

/** Writes choices as an address: the lens's own parameters, canonical but for what only the posts can tell. */
export function writeChoices(choices: Choices, settings: Settings): string {
  const { prefix, sort, page, size } = settings.address;
  const parts: string[] = [];
  for (const { key, start } of settings.facets) {
    // what a switch starts as is not said, and that it is neither then is
    let values = choices.facets[key] ?? [];
    if (start && start !== 'either') values = values[0] === start ? [] : values.length === 0 ? ['either'] : values;
    if (values.length > 0)
      parts.push(`${encodePart(prefix + key)}=${[...values].sort(byCodeUnits).map(encodePart).join(',')}`);
  }
  if (choices.sort !== null) parts.push(`${encodePart(prefix + sort)}=${encodePart(choices.sort)}`);
  if (choices.size) parts.push(`${encodePart(prefix + size)}=${choices.size}`);
  if (choices.page > 1) parts.push(`${encodePart(prefix + page)}=${choices.page}`);
  return parts.join('&');
}

/** Puts a lens's own address behind the parameters of a page that are not the lens's. */
export function withForeign(search: string, own: string, names: readonly string[]): string {
  const foreign = splitAddress(search).filter((parameter) => !names.includes(parameter.name));
  return [...foreign.map((parameter) => parameter.raw), own].filter((part) => part !== '').join('&');
}
