import { kindOf } from '../kinds/kinds.js';
import { hasTerms, type Field } from '../model/post.js';
import { bestLanguage, lensIn } from './languages.js';
import type { Lens } from './lens.js';

/** What a page sets for itself: it goes with what it asks, and is no part of its address. */
export interface ForPage {
  /** What names in its address begin with; null for the lens's own way. */
  prefix: string | null;
  /** Terms that all posts there must have: `field:term`, several with commas between them. */
  scope: string;
  /** What is chosen in the lenses it follows: `field:term,term`, several with semicolons between them. */
  driven: string;
  /** BCP 47 tags of what its visitors read, best first; none for the lens's own language. */
  languages: readonly string[];
}

/** A lens that a page narrows further; what is within is cut out of what the lens itself lets in. */
export type NarrowedScope = Lens['scope'] & { within?: Lens['scope']['where'] };

/** Conditions a page may set. */
const mostConditions = 20;
/** Terms a lens follows in a field: as many as may be chosen in a facet. */
const mostTerms = 50;
const prefixForm = /^[a-z0-9_-]{0,30}$/;

/**
 * A lens as it is on a page that sets a prefix or a scope for itself.
 * @param fields  of its source; a condition may name a facet in place of its field
 * @returns the lens, or in words what of it can't be so
 */
export function lensForPage(
  lens: Lens,
  fields: readonly Field[],
  { prefix, scope, driven, languages }: ForPage,
): Lens | string {
  if (prefix !== null && !prefixForm.test(prefix)) {
    return 'A prefix is up to 30 lower-case letters, digits, - or _, such as b-.';
  }
  const conditions = scope.split(',').filter((one) => one.trim() !== '');
  if (conditions.length > mostConditions) return `A scope may have ${mostConditions} conditions.`;
  const within: Lens['scope']['where'] = [];
  for (const condition of conditions) {
    const at = condition.indexOf(':');
    const name = condition.slice(0, Math.max(0, at)).trim();
    const facet = lens.facets.find((one) => one.key === name);
    const key = fields.some((one) => one.key === name) ? name : facet && kindOf(facet).fields(facet)[0];
    if (at < 0 || !fields.some((one) => one.key === key && hasTerms(one))) {
      return `“${condition.trim().slice(0, 80)}” is no condition: write a field of terms and one of them, such as kind:survey.`;
    }
    within.push({ field: key!, is: [condition.slice(at + 1).trim()] });
  }
  within.push(...followed(lens, fields, driven));
  const spoken = lensIn(lens, bestLanguage(lens, languages));
  const narrowed: NarrowedScope = within.length > 0 ? { ...lens.scope, within } : lens.scope;
  // names it had before begin with its own prefix, which another lens may have there
  const address = prefix === null ? lens.address : { ...lens.address, prefix, former: [] };
  return { ...spoken, scope: narrowed, address };
}

/**
 * What is chosen in the lenses that one follows, as conditions. A page may still know an older release: what is not followed
 * any more is passed over, and its next question will be right.
 */
function followed({ follows }: Lens, fields: readonly Field[], driven: string): Lens['scope']['where'] {
  const choices = driven.split(';').slice(0, follows.length);
  return choices.flatMap((choice) => {
    const at = choice.lastIndexOf(':');
    const field = choice.slice(0, Math.max(0, at));
    const isFollowed =
      follows.some((one) => one.field === field) && fields.some((one) => one.key === field && hasTerms(one));
    return isFollowed
      ? {
          field,
          is: choice
            .slice(at + 1)
            .split(',')
            .slice(0, mostTerms),
        }
      : [];
  });
}
