import { answer } from '../answer/answer.js';
import { passing } from '../answer/passing.js';
import { planOf, scopeCounted } from '../answer/plan.js';
import { readAddress } from '../address/read.js';
import { zoneDays } from '../dates/zone.js';
import { hasBit } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { PostSet } from '../engine/sets/post-set.js';
import { kindOf } from '../kinds/kinds.js';
import { facetLabel } from '../lens/label.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import type { Notice } from '../model/notice.js';
import { explain } from './explain.js';

/** What a saved address must return. */
export interface Expectation {
  /** Exactly so many posts. */
  matched?: number;
  /** At least, and at most, so many. */
  min?: number;
  max?: number;
  /** Ids of posts that must be there, and of those that must not. */
  has?: string[];
  lacks?: string[];
}

/** Posts whose ids a saved address keeps, to tell later which came and went. */
export const mostKept = 2000;

/** Why posts that an address had are not there any more, or why one it must have is not. */
export interface Moved {
  /** Key of the facet that lets them fall; null where they are not in the listing at all. */
  facet: string | null;
  /** One sentence for people: what they have there now. */
  text: string;
  posts: number;
  /** The first few of them. */
  some: { id: string; title: string }[];
}

/** Whether what a saved address must return is what it returns. */
export interface Held {
  holds: boolean;
  expected: Expectation;
  got: {
    matched: number;
    /** Ids of posts that must be there and are not; of those that must not and are. */
    missing: string[];
    there: string[];
  };
  /** What was not as expected, in words. */
  reasons: string[];
  /** Posts that it returned when it was saved and does not now, by what keeps them out. */
  lost: Moved[];
  /** How many came that were not there then, and the first few of them. */
  gained: { posts: number; some: { id: string; title: string }[] };
  /** What of it can’t be read any more, or is read under another name. */
  notices: Notice[];
  /** How it is written now. */
  canonical: string;
}

/** Posts named at most. */
const few = 3;

/**
 * Compares what an address returns with what it must return.
 * @param had  ids of the posts it returned when it was saved; null where they were not kept
 */
export function checkAddress(
  index: PostIndex,
  lens: Lens,
  address: string,
  expected: Expectation,
  had: readonly string[] | null,
  now: number,
): Held {
  const { query, notices } = readAddress(address, lens, index, now);
  query.seed = String(zoneDays(lens.zone).dayAt(now));
  const { matched, address: canonical } = answer(index, query);
  const posts = passingAll(index, query);
  const isThere = (id: string) => {
    const post = index.numberOf(id);
    return post !== undefined && hasBit(posts.bits, post);
  };
  const missing = (expected.has ?? []).filter((id) => !isThere(id));
  const there = (expected.lacks ?? []).filter(isThere);
  const reasons = reasonsOf(expected, matched, missing.length, there.length);
  const gone = [...new Set([...(had ?? []).filter((id) => !isThere(id)), ...missing])];
  return {
    holds: reasons.length === 0,
    expected,
    got: { matched, missing, there },
    reasons,
    lost: lostBy(index, query, gone),
    gained: had ? gainedSince(index, lens, had, posts) : { posts: 0, some: [] },
    notices: notices.filter(({ code }) => code !== 'page-clamped'),
    canonical,
  };
}

/** Ids of the posts that an address returns, ascending; null where they are too many to keep. */
export function postsAt(index: PostIndex, lens: Lens, address: string, now: number): string[] | null {
  const { query } = readAddress(address, lens, index, now);
  const posts = passingAll(index, query);
  return posts.count > mostKept ? null : Array.from(posts.list, (post) => index.idOf(post)).sort();
}

/** The posts that pass every facet of a query. */
function passingAll(index: PostIndex, { lens, selections }: Query): PostSet {
  let posts = scopeCounted(index, lens.scope).set;
  for (const facet of lens.facets) {
    const selection = selections[facet.key];
    if (selection) posts = posts.and(passing(index, lens, facet, selection));
  }
  return posts;
}

function reasonsOf({ matched, min, max }: Expectation, got: number, missing: number, there: number): string[] {
  const reasons: string[] = [];
  if (matched !== undefined && got !== matched) reasons.push(`${got} where exactly ${matched} are expected`);
  if (min !== undefined && got < min) reasons.push(`${got} where at least ${min} are expected`);
  if (max !== undefined && got > max) reasons.push(`${got} where at most ${max} are expected`);
  if (missing > 0) reasons.push(`${missing} that must be there ${missing === 1 ? 'is' : 'are'} not`);
  if (there > 0) reasons.push(`${there} that must not be there ${there === 1 ? 'is' : 'are'}`);
  return reasons;
}

/** Posts that are not found, by the facet that lets them fall first in the lens's order. */
function lostBy(index: PostIndex, query: Query, gone: readonly string[]): Moved[] {
  const moved = new Map<string, Moved>();
  const { lens } = query;
  const note = (facet: string | null, text: string, id: string, title: string) => {
    const key = `${facet} ${text}`;
    const one = moved.get(key) ?? { facet, text, posts: 0, some: [] };
    one.posts++;
    if (one.some.length < few) one.some.push({ id, title });
    moved.set(key, one);
  };
  for (const id of gone) {
    const post = index.numberOf(id);
    if (post === undefined) {
      note(null, 'no longer in the source', id, id);
      continue;
    }
    const title = titleOf(index, lens, post);
    const { inScope, facets } = explain(index, query, post);
    const failed = facets.find(({ passes }) => !passes);
    if (!inScope) note(null, 'not in the listing', id, title);
    else if (failed) {
      const facet = lens.facets.find(({ key }) => key === failed.key)!;
      const label = facetLabel(facet, index.fields, lens);
      const { isListable } = kindOf(facet);
      const now = failed.value === null || failed.value === '' ? 'nothing' : failed.value;
      note(failed.key, isListable ? `${label}: ${now} now` : `${label}: ${failed.reason}`, id, title);
    }
  }
  return [...moved.values()].sort((a, b) => b.posts - a.posts);
}

function gainedSince(index: PostIndex, lens: Lens, had: readonly string[], posts: PostSet): Held['gained'] {
  const before = new Set(had);
  const gained = Array.from(posts.list).filter((post) => !before.has(index.idOf(post)));
  const some = gained.slice(0, few).map((post) => ({ id: index.idOf(post), title: titleOf(index, lens, post) }));
  return { posts: gained.length, some };
}

function titleOf(index: PostIndex, lens: Lens, post: number): string {
  const title = planOf(index, lens).items.title?.read(post);
  return typeof title === 'string' && title !== '' ? title : index.idOf(post);
}
