import { Counted } from '../engine/index/counting.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { walkedColumns } from '../engine/columns/sorted-column.js';
import { finished, type Steps } from '../engine/base/steps.js';
import { postsUnder } from '../engine/columns/term-column.js';
import { kindOf } from '../kinds/kinds.js';
import type { NarrowedScope } from '../lens/for-page.js';
import type { Lens } from '../lens/lens.js';
import { commonCounts, planOf, prepareRows, withScratch } from './plan.js';

// What an answer needs is made when one first asks for it. A process that has others to answer meanwhile makes it ahead,
// step by step, and may stop after each, or for good: answers are the same.

/** Makes what every answer of a lens needs, a column at a time. */
export function* prewarmColumns(index: PostIndex, lens: Lens): Steps<void> {
  const { where, within = [] }: NarrowedScope = lens.scope;
  for (const { field } of [...where, ...within, ...lens.nothing.where]) yield* index.prepareColumn(field);
  for (const facet of lens.facets) {
    yield* kindOf(facet).prepare(index, lens, facet);
    yield;
  }
  yield* prepareRows(index, lens);
  planOf(index, lens);
  yield;
}

/** Makes the words that the searches of a lens look in. */
export function* prewarmText(index: PostIndex, lens: Lens): Steps<void> {
  for (const facet of lens.facets) {
    const { finding } = kindOf(facet);
    if (finding) yield* finding.prepareText(index, facet);
  }
}

/** Counts under each common term of a lens. */
export function* prewarmCounts(index: PostIndex, lens: Lens): Steps<void> {
  const plan = planOf(index, lens);
  yield;
  for (const facet of plan.facets) {
    const { terms } = facet;
    if (!terms) continue;
    for (let term = 0; term < terms.terms.length; term++) {
      if (terms.sizes[term]! < plan.commonFrom) continue;
      const under = plan.scope.set.and(postsUnder(terms, [term]));
      const counted = new Counted(under, plan.scope, commonCounts(facet, term));
      withScratch(index, () => {
        for (const other of plan.facets) {
          if (other.terms) counted.terms(other.terms);
          const [start] = walkedColumns(other.ordered);
          if (start) counted.ranks(start);
        }
      });
      yield;
    }
  }
}

/** All three. */
export function* prewarmAll(index: PostIndex, lens: Lens): Steps<void> {
  yield* prewarmColumns(index, lens);
  yield* prewarmText(index, lens);
  yield* prewarmCounts(index, lens);
}

/** All three at once. */
export function prewarm(index: PostIndex, lens: Lens): void {
  finished(prewarmAll(index, lens));
}
