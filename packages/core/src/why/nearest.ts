import { planOf } from '../answer/plan.js';
import { hasBit } from '../engine/base/bits.js';
import { firstOf } from '../engine/base/first-of.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Query } from '../lens/query.js';
import { judgeOf, reasonOf, type FacetReason } from './judge.js';

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
 * Cost: a look at every post of the scope, and a measure of each that is near; only those named are reported in words.
 * @param first  how many of them to name; all are counted
 * No route or screen leads here yet; the one that shows it will.
 */
export function nearest(index: PostIndex, query: Query, first = 50): Nearest {
  const { lens, selections } = query;
  const judges = lens.facets
    .filter((facet) => selections[facet.key])
    .map((facet) => judgeOf(index, lens, facet, selections[facet.key]!));
  const sets = judges.map(({ posts }) => posts.bits);
  const failing = new Array<number>(judges.length + 1).fill(0);
  const alone = judges.map(() => 0);
  // by place among the posts that are near: the post, what keeps it out, and by how much
  const posts: number[] = [];
  const facets: number[] = [];
  const missed: number[] = [];
  for (const post of planOf(index, lens).scope.set.list) {
    let [failed, last] = [0, -1];
    for (let f = 0; f < sets.length; f++) {
      if (hasBit(sets[f]!, post)) continue;
      failed++;
      last = f;
    }
    failing[failed]!++;
    if (failed !== 1) continue;
    alone[last]!++;
    posts.push(post);
    facets.push(last);
    missed.push(judges[last]!.misses.by(post) ?? Infinity);
  }
  const { idPlaces } = index;
  const order = firstOf(posts.length, first, (a, b) => {
    const [x, y] = [missed[a]!, missed[b]!];
    return (x === y ? 0 : x - y) || idPlaces[posts[a]!]! - idPlaces[posts[b]!]!;
  });
  return {
    failing,
    alone: Object.fromEntries(judges.map(({ facet }, f) => [facet.key, alone[f]!])),
    posts: order.map((i) => {
      const judge = judges[facets[i]!]!;
      return { id: index.idOf(posts[i]!), facet: judge.facet.key, reason: reasonOf(judge, posts[i]!, false) };
    }),
  };
}
