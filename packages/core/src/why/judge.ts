import { passing } from '../answer/passing.js';
import type { PostIndex } from '../index/post-index.js';
import type { PostSet } from '../index/post-set.js';
import { isFavourites, isRange, isSearch, type Facet, type Lens } from '../model/lens.js';
import type { Selection } from '../model/query.js';
import { rangeMisses } from './range-misses.js';
import type { FacetReason, Miss } from './reason.js';
import { searchMisses } from './search-misses.js';
import { termMisses } from './term-misses.js';

/** Measures and tells of posts how they stand to what is chosen in one facet. Made once for as many posts as one likes. */
export interface Misses {
  /** By how much a post that does not pass misses the choice, as `Miss` says. */
  by(post: number): number | null;
  /** By what value a post passes, in a sentence. */
  passed(post: number): string;
  /** Why a post does not pass. */
  failed(post: number): { reason: string; miss: Miss };
}

/** What tells of one facet with a choice which posts pass it, and of each why. */
export interface Judge {
  facet: Facet;
  posts: PostSet;
  misses: Misses;
}

export function judgeOf(index: PostIndex, lens: Lens, facet: Facet, selection: Selection): Judge {
  return { facet, posts: passing(index, lens, facet, selection), misses: missesOf(index, lens, facet, selection) };
}

function missesOf(index: PostIndex, lens: Lens, facet: Facet, selection: Selection): Misses {
  if (isSearch(facet)) return selection.type === 'search' ? searchMisses(index, facet, selection.text) : unasked;
  if (isFavourites(facet)) return marked;
  if (isRange(facet)) return rangeMisses(index, lens, facet, selection);
  return termMisses(index.column(facet.field), selection);
}

const unmeasured: Miss = { by: null, unit: 'steps', nearest: null };

const marked: Misses = {
  by: () => null,
  passed: () => 'It is marked.',
  failed: () => ({ reason: 'It is not marked.', miss: unmeasured }),
};

const unasked: Misses = {
  by: () => null,
  passed: () => 'Nothing is searched for.',
  failed: () => ({ reason: 'Nothing is searched for.', miss: unmeasured }),
};

/** How a post stands to one facet, in words. */
export function reasonOf({ facet: { key }, misses }: Judge, post: number, passes: boolean): FacetReason {
  if (passes) return { key, passes, reason: misses.passed(post) };
  const { reason, miss } = misses.failed(post);
  return { key, passes, reason, miss };
}
