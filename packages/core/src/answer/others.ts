import { andBits } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { PostSet } from '../engine/sets/post-set.js';
import type { Query } from '../lens/query.js';
import { sortOf } from '../lens/sort.js';
import { orderingOf, withPinned } from './ordering.js';
import type { Plan } from './plan.js';
import { scopeOf } from './scope.js';

/**
 * Numbers of the posts that a lens shows where nothing matches: the first in its own order, of those that have the terms
 * it names for this. None where it shows none.
 */
export function otherPosts(index: PostIndex, plan: Plan, { lens, seed }: Query): number[] {
  const { show, where, size } = lens.nothing;
  if (show !== 'posts') return [];
  const scope = plan.scope.set;
  const bits = where.length === 0 ? null : scopeOf(index, { where, include: [], exclude: [], pinned: [] });
  const posts = bits ? PostSet.ofBits(scope.size, andBits(scope.bits, bits)) : scope;
  const ordering = orderingOf(index, sortOf({ lens, selections: {}, sort: null }), null, seed ?? '');
  return withPinned(index, posts, plan.pinned, ordering, 0, size);
}
