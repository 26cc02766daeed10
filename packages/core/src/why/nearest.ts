import { planOf, passQuery } from '../answer/plan.js';
import { hasBit } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import { selectionsOf, type Query } from '../model/query.js';
import { firstOf } from '../index/first-of.js';
import { byCodeUnits } from '../text/slug.js';
import { reasonOf, type FacetReason } from './explain.js';

/** A post that one facet alone keeps out. */
export interface NearPost {
  id: string;
  facet: string;
  reason: FacetReason;
}

export interface Nearest {
  /** `failing[n]` is how many posts of the scope fail exactly `n` facets; `failing[0]` are those that match. */
  failing: number[];
  /** Posts kept out by one facet alone, by facet. */
  alone: Record<string, number>;
  /** Posts that fail exactly one facet, those that miss it by least first. */
  posts: NearPost[];
}

/**
 * The posts that nearly match: those that fail exactly one facet, ranked by how little they miss it.
 * @param first  how many of them to name; all are counted
 */
export function nearest(index: PostIndex, query: Query, first = 50): Nearest {
  const { scope } = planOf(index, query.lens);
  const { active, each } = passQuery(index, scope, query.lens, selectionsOf(query));
  const posts = scope.set.list;
  const sets = each.map((one) => one.bits);
  const failing = new Array<number>(active.length + 1).fill(0);
  const alone: Record<string, number> = Object.fromEntries(active.map((facet) => [facet.key, 0]));
  const near: NearPost[] = [];
  for (const post of posts) {
    let [failed, last] = [0, -1];
    for (let f = 0; f < each.length; f++) {
      if (hasBit(sets[f]!, post)) continue;
      failed++;
      last = f;
    }
    failing[failed]!++;
    if (failed !== 1) continue;
    const facet = active[last]!;
    alone[facet.key]!++;
    near.push({
      id: index.idOf(post),
      facet: facet.key,
      reason: reasonOf(index, query.lens, facet, query.selections[facet.key]!, post),
    });
  }
  const missed = (one: NearPost) => one.reason.miss?.by ?? Infinity;
  const order = firstOf(near.length, first, (a, b) => {
    const [x, y] = [missed(near[a]!), missed(near[b]!)];
    return (x === y ? 0 : x - y) || byCodeUnits(near[a]!.id, near[b]!.id);
  });
  return { failing, alone, posts: order.map((i) => near[i]!) };
}
