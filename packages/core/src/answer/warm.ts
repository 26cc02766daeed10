import type { PostIndex } from '../index/post-index.js';
import { finished, type Steps } from '../index/steps.js';
import { postsUnder } from '../index/term-column.js';
import { isFavourites, isRange, isSearch, isTerms, type Lens } from '../model/lens.js';
import { sortingByEnd } from '../search/words-by-end.js';
import { Counted } from './counting.js';
import { weighedFields } from './passing.js';
import { commonCounts, planOf, puttingInRows, withScratch } from './plan.js';
import { isByNumber, rangeColumns } from './range-parts.js';
import { placingTerms } from './term-order.js';

// What an answer needs is made when one first asks for it. A process that has others to answer meanwhile makes it ahead,
// step by step, and may stop after each, or for good: answers are the same.

/** Makes what every answer of a lens needs, a column at a time. */
export function* preparing(index: PostIndex, lens: Lens): Steps<void> {
  for (const facet of lens.facets) {
    if (isRange(facet)) rangeColumns(index, lens, facet);
    else if (!isSearch(facet) && !isFavourites(facet)) {
      const column = yield* index.makingColumn(facet.field);
      if (isTerms(facet)) yield* placingTerms(facet, column);
    }
    yield;
  }
  yield* puttingInRows(index, lens);
  planOf(index, lens);
  yield;
}

/** Makes the words that the searches of a lens look in. */
export function* wording(index: PostIndex, lens: Lens): Steps<void> {
  for (const facet of lens.facets) {
    if (!isSearch(facet)) continue;
    const { vocabulary } = yield* index.makingText(weighedFields(index, facet));
    yield* sortingByEnd(vocabulary);
  }
}

/** Counts under each common term of a lens. */
export function* counting(index: PostIndex, lens: Lens): Steps<void> {
  const plan = planOf(index, lens);
  yield;
  for (const { terms } of plan.facets) {
    if (!terms) continue;
    const { column } = terms;
    for (let term = 0; term < column.terms.length; term++) {
      if (column.sizes[term]! < plan.commonFrom) continue;
      const under = plan.scope.set.and(postsUnder(column, [term]));
      const counted = new Counted(under, plan.scope, commonCounts(terms, term));
      withScratch(index, () => {
        for (const other of plan.facets) {
          if (other.terms) counted.terms(other.terms.column);
          if (other.range && !isByNumber(other.range)) counted.ranks(other.range.start);
        }
      });
      yield;
    }
  }
}

/** All three. */
export function* warming(index: PostIndex, lens: Lens): Steps<void> {
  yield* preparing(index, lens);
  yield* wording(index, lens);
  yield* counting(index, lens);
}

/** All three at once. */
export function warm(index: PostIndex, lens: Lens): void {
  finished(warming(index, lens));
}
