import type { PostIndex } from '../index/post-index.js';
import { finished, type Steps } from '../index/steps.js';
import { postsUnder } from '../index/term-column.js';
import { isSearch, type Lens } from '../model/lens.js';
import { Counted } from './counting.js';
import { weighedFields } from './passing.js';
import { commonCounts, planOf, withScratch } from './plan.js';
import { isByNumber } from './range-parts.js';

/**
 * Works out ahead what the first answers of a lens would otherwise wait for: its columns, words, and the counts under
 * each common term. Answers are the same without.
 */
export function warm(index: PostIndex, lens: Lens): void {
  finished(warming(index, lens));
}

/** The same step by step, for a process that has others to answer meanwhile: it may stop after each, or for good. */
export function* warming(index: PostIndex, lens: Lens): Steps<void> {
  const plan = planOf(index, lens);
  yield;
  for (const facet of lens.facets) {
    if (!isSearch(facet)) continue;
    yield* index.makingText(weighedFields(index, facet));
  }
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
