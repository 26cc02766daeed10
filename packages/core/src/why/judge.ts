import { passing } from '../answer/passing.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { PostSet } from '../engine/sets/post-set.js';
import type { Locale } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Miss, Misses } from '../kinds/miss.js';
import type { Selection } from '../model/selection.js';

export interface FacetReason {
  key: string;
  passes: boolean;
  /** One sentence for people, with the value that decides. */
  reason: string;
  /** Only where it does not pass. */
  miss?: Miss;
}

/** What tells of one facet with a choice which posts pass it, and of each why. */
export interface Judge {
  facet: Facet;
  posts: PostSet;
  misses: Misses;
}

export function judgeOf(index: PostIndex, locale: Locale, facet: Facet, selection: Selection): Judge {
  const misses = kindOf(facet).misses(index, locale, facet, selection);
  return { facet, posts: passing(index, locale, facet, selection), misses };
}

/** How a post stands to one facet, in words. */
export function reasonOf({ facet: { key }, misses }: Judge, post: number, passes: boolean): FacetReason {
  if (passes) return { key, passes, reason: misses.passed(post) };
  const { reason, miss } = misses.failed(post);
  return { key, passes, reason, miss };
}
