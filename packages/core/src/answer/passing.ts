import type { PostIndex } from '../engine/index/post-index.js';
import type { PostSet } from '../engine/sets/post-set.js';
import { numbersOfSlugs } from '../engine/columns/term-column.js';
import type { Arena } from '../engine/kernel/arena.js';
import type { Locale } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import { slugsOf, type Selection } from '../model/selection.js';

/**
 * The posts whose values meet what is chosen in a facet. The set may be one the index keeps: it must not be changed.
 * @param arena  where the set may lie if it is not kept beyond an answer
 * @param terms  the numbers of the terms that are chosen
 */
export function passing(
  index: PostIndex,
  locale: Locale,
  facet: Facet,
  selection: Selection,
  arena: Arena | null = null,
  terms = chosenTerms(index, locale, facet, selection),
): PostSet {
  return kindOf(facet).passing(index, locale, facet, selection, terms, arena);
}

/** The numbers of the terms that are chosen in a facet; of a switch, of yes or no. Unknown ones are left out. */
export function chosenTerms(index: PostIndex, locale: Locale, facet: Facet, selection: Selection): readonly number[] {
  const slugs = slugsOf(selection);
  if (slugs.length === 0) return noTerms;
  const { terms } = kindOf(facet).columns(index, locale, facet);
  return terms ? numbersOfSlugs(terms, slugs) : noTerms;
}

const noTerms: readonly number[] = [];
