import { finished } from '../engine/base/steps.js';
import { eachBit, hasBit } from '../engine/base/bits.js';
import { PostSet } from '../engine/sets/post-set.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { SortKey } from '../engine/store/order.js';
import type { SortOption } from '../lens/lens.js';
import { sortKeysOf } from '../lens/sort.js';
import { fieldWithRole } from '../model/post.js';
import { rankByRelevance } from '../engine/words/relevance.js';
import type { Search } from '../engine/words/search.js';
import type { TextIndex } from '../engine/words/text-index.js';

/** How posts are to be put in order. */
export type Ordering =
  | { by: 'newest' }
  | { by: 'field'; keys: readonly SortKey[] }
  | { by: 'relevance'; text: TextIndex; found: Search }
  | { by: 'shuffle'; seed: string };

/** The order a sort option stands for. Relevance without a search is newest first. */
export function orderingOf(
  index: PostIndex,
  sort: SortOption | null,
  found: { text: TextIndex; found: Search } | null,
  seed: string,
): Ordering {
  if (!sort) return { by: 'newest' };
  if (sort.by === 'relevance') return found ? { by: 'relevance', ...found } : { by: 'newest' };
  if (sort.by === 'shuffle') return { by: 'shuffle', seed };
  const published = fieldWithRole(index.fields, 'published');
  // posts are numbered in this very order
  if (sort.field === published?.key && sort.order === 'desc' && sort.then.length === 0) return { by: 'newest' };
  return { by: 'field', keys: sortKeysOf(sort) };
}

/**
 * Post numbers of one page.
 * @param pinned  posts that stand before all others, in this order, as far as they are matched
 */
export function withPinned(
  index: PostIndex,
  matched: PostSet,
  pinned: readonly number[],
  ordering: Ordering,
  start: number,
  size: number,
): number[] {
  const first = pinned.filter((post) => hasBit(matched.bits, post));
  if (first.length === 0) return pageOf(index, matched, ordering, start, size);
  const rest = matched.without(PostSet.ofList(matched.size, Uint32Array.from(first).sort()));
  const taken = first.slice(start, start + size);
  const left = size - taken.length;
  return left === 0 ? taken : [...taken, ...pageOf(index, rest, ordering, Math.max(0, start - first.length), left)];
}

function pageOf(index: PostIndex, matched: PostSet, ordering: Ordering, start: number, size: number): number[] {
  const page: number[] = [];
  let seen = 0;
  const take = (post: number) => {
    if (seen++ >= start) page.push(post);
    return page.length < size;
  };
  switch (ordering.by) {
    case 'newest':
      return firstPosts(matched, start, size);
    case 'field': {
      const { bits } = matched;
      for (const post of index.order(ordering.keys)) if (hasBit(bits, post) && !take(post)) break;
      return page;
    }
    case 'relevance': {
      const { idPlaces } = index;
      const byId = (a: number, b: number) => idPlaces[a]! - idPlaces[b]!;
      return finished(rankByRelevance(ordering.text, ordering.found, matched, start + size, byId, index.arena)).slice(
        start,
      );
    }
    case 'shuffle': {
      const { bits } = matched;
      for (const post of index.shuffled(ordering.seed)) if (hasBit(bits, post) && !take(post)) break;
      return page;
    }
  }
}

/** The posts from the `start`th on, `size` of them. Of many, only so many are looked for as are asked for. */
function firstPosts(matched: PostSet, start: number, size: number): number[] {
  const page: number[] = [];
  if (matched.isListed) {
    const { list } = matched;
    for (let i = start; i < list.length && page.length < size; i++) page.push(list[i]!);
    return page;
  }
  let seen = 0;
  eachBit(matched.bits, (post) => {
    if (seen++ >= start) page.push(post);
    return page.length < size;
  });
  return page;
}
