import { planOf } from '../answer/plan.js';
import { hasBit } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Query } from '../lens/query.js';
import { judgeOf, reasonOf, type FacetReason } from './judge.js';

export interface Explanation {
  /** Passes every facet and is in the lens's scope. */
  passes: boolean;
  inScope: boolean;
  /** Facets with a choice, in the lens's order. */
  facets: FacetReason[];
}

/**
 * Says of one post which facets of a query it passes, by which value, and how far it misses the others.
 * @param post  its number in the index
 */
export function explain(index: PostIndex, query: Query, post: number): Explanation {
  const { lens, selections } = query;
  const inScope = hasBit(planOf(index, lens).scope.set.bits, post);
  const facets = lens.facets
    .filter((facet) => selections[facet.key])
    .map((facet) => {
      const judge = judgeOf(index, lens, facet, selections[facet.key]!);
      return reasonOf(judge, post, hasBit(judge.posts.bits, post));
    });
  return { passes: inScope && facets.every((facet) => facet.passes), inScope, facets };
}
