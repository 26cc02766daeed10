import { countMatched } from '../answer/answer.js';
import { writeAddress } from '../address/write.js';
import { hasBit } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Query } from '../lens/query.js';
import type { Admission } from '../kinds/miss.js';
import { judgesOf, type Judge } from './judge.js';

/** A change of the choices with which a post matches. */
export interface WayIn {
  /** What is changed in each facet that stops it, in the lens's order; null: nothing is chosen there any more. */
  steps: { facet: string; text: string | null }[];
  /** With them. */
  address: string;
  matched: number;
}

/**
 * The ways to let a post in: each facet that stops it changed just so far that it passes, or cleared. Those that bring the
 * fewest others along come first. None of a post that matches.
 * @param post  its number in the index
 */
export function waysIn(index: PostIndex, query: Query, post: number): WayIn[] {
  const judges = judgesOf(index, query).filter(({ posts }) => !hasBit(posts.bits, post));
  if (judges.length === 0) return [];
  const changed = judges.map(({ misses }) => misses.admit(post));
  const cleared = judges.map(() => null);
  const ways = changed.some((one) => one !== null) ? [changed, cleared] : [cleared];
  return ways.map((admissions) => wayBy(index, query, judges, admissions)).sort((a, b) => a.matched - b.matched);
}

/** @param admissions  by judge; null: nothing is chosen in it any more */
function wayBy(
  index: PostIndex,
  query: Query,
  judges: readonly Judge[],
  admissions: readonly (Admission | null)[],
): WayIn {
  const selections = { ...query.selections };
  const steps = judges.map(({ facet: { key } }, i) => {
    const admission = admissions[i];
    if (admission) selections[key] = admission.selection;
    else delete selections[key];
    return { facet: key, text: admission?.text ?? null };
  });
  const next: Query = { ...query, selections, page: 1 };
  return { steps, address: writeAddress(next), matched: countMatched(index, next) };
}
