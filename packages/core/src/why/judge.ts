import { passing } from '../answer/passing.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { PostSet } from '../engine/sets/post-set.js';
import type { Locale } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Miss, Misses } from '../kinds/miss.js';
import type { Query } from '../lens/query.js';
import type { Selection } from '../model/selection.js';

export interface FacetReason {
  key: string;
  passes: boolean;
  /** One sentence for people, with the value that decides. */
  reason: string;
  /** What the post has here, in a word or two; null where that can't be said so shortly. */
  value: string | null;
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

/** The judges of all facets of a query that have a choice, in the lens's order. */
export function judgesOf(index: PostIndex, { lens, selections }: Query): Judge[] {
  return lens.facets
    .filter((facet) => selections[facet.key])
    .map((facet) => judgeOf(index, lens, facet, selections[facet.key]!));
}

/** How a post stands to one facet, in words. */
export function reasonOf({ facet: { key }, misses }: Judge, post: number, passes: boolean): FacetReason {
  const value = misses.value(post);
  if (passes) return { key, passes, reason: misses.passed(post), value };
  const { reason, miss } = misses.failed(post);
  return { key, passes, reason, value, miss };
}
