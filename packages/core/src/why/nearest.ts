import { planOf } from '../answer/plan.js';
import { hasBit } from '../engine/base/bits.js';
import { firstOf } from '../engine/base/first-of.js';
import { finished, inParts, type Steps } from '../engine/base/steps.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Query } from '../lens/query.js';
import { fieldWithRole } from '../model/post.js';
import { fold } from '../text/slug.js';
import { judgesOf, reasonOf, type FacetReason } from './judge.js';

/** A post, and how it stands to each facet with a choice. */
export interface NearPost {
  id: string;
  /** Null where it has none. */
  title: string | null;
  inScope: boolean;
  /** In the lens's order. */
  facets: FacetReason[];
}

export interface Nearest {
  /** `failing[n]` is how many posts of the scope fail exactly `n` facets; `failing[0]` are those that match. */
  failing: number[];
  /** Posts kept out by one facet alone, by facet. */
  alone: Record<string, number>;
  /** How many posts there are of which `posts` are the first. */
  found: number;
  /** Those that miss by least first. */
  posts: NearPost[];
}

/** Which posts are wanted. */
export interface Wanted {
  /** Those that fail so many facets; those that pass all facets before one, and fail it; those found by a text; or one, by its id. */
  of: { failing: number; facet?: string } | { fallsAt: string } | { find: string } | { post: string };
  /** How many of them are named; all are counted. */
  first?: number;
}

/** Posts that are looked at in one step. */
const together = 500;

/** Posts named at most. */
export const nearestShown = 50;

/**
 * Posts by how near they are to matching: those that fail a number of facets, or whose title or id holds a text, ranked by
 * how little they miss.
 * Cost: a look at every post of the scope, and a measure of each that is wanted; only those named are reported in words.
 */
export function* prepareNearest(
  index: PostIndex,
  query: Query,
  { of, first: most = nearestShown }: Wanted,
): Steps<Nearest> {
  const judges = judgesOf(index, query);
  const sets = judges.map(({ posts }) => posts.bits);
  const { bits: scope, list } = planOf(index, query.lens).scope.set;
  const failing = new Array<number>(judges.length + 1).fill(0);
  const alone = judges.map(() => 0);
  const wanted: { post: number; failed: number; missed: number }[] = [];
  // units of different facets are not the same, so what is missed of several is summed up only to tell little from much
  const take = (post: number, failed: number) => {
    let missed = 0;
    for (let f = 0; f < sets.length; f++) if (!hasBit(sets[f]!, post)) missed += judges[f]!.misses.by(post) ?? Infinity;
    wanted.push({ post, failed, missed });
  };
  const fallsAt = 'fallsAt' in of ? judges.findIndex(({ facet }) => facet.key === of.fallsAt) : -1;
  const only = 'failing' in of && of.facet !== undefined ? judges.findIndex(({ facet }) => facet.key === of.facet) : -1;
  const look = (post: number) => {
    let [failed, first, last] = [0, -1, -1];
    for (let f = 0; f < sets.length; f++) {
      if (hasBit(sets[f]!, post)) continue;
      if (failed++ === 0) first = f;
      last = f;
    }
    failing[failed]!++;
    if (failed === 1) alone[last]!++;
    if ('failing' in of && failed === of.failing && (only < 0 || !hasBit(sets[only]!, post))) take(post, failed);
    if (fallsAt >= 0 && first === fallsAt) take(post, failed);
  };
  yield* inParts(list.length, together, (from, to) => {
    for (let i = from; i < to; i++) look(list[i]!);
  });
  const titleKey = fieldWithRole(index.fields, 'title')?.key;
  const titleOf = (post: number) => (titleKey === undefined ? '' : index.textOf(post, titleKey));
  const takeWhatever = (post: number) => {
    let failed = hasBit(scope, post) ? 0 : 1;
    for (const set of sets) if (!hasBit(set, post)) failed++;
    take(post, failed);
  };
  if ('post' in of) {
    const post = index.numberOf(of.post);
    if (post !== undefined) takeWhatever(post);
  }
  const text = 'find' in of ? fold(of.find.trim()) : '';
  if ('find' in of && text !== '') {
    yield* inParts(index.size, together, (from, to) => {
      for (let post = from; post < to; post++) {
        if (fold(titleOf(post)).includes(text) || index.idOf(post) === of.find.trim()) takeWhatever(post);
      }
    });
  }
  const { idPlaces } = index;
  const order = firstOf(wanted.length, most, (a, b) => {
    const [x, y] = [wanted[a]!, wanted[b]!];
    const byMiss = x.missed === y.missed ? 0 : x.missed - y.missed;
    return x.failed - y.failed || byMiss || idPlaces[x.post]! - idPlaces[y.post]!;
  });
  return {
    failing,
    alone: Object.fromEntries(judges.map(({ facet }, f) => [facet.key, alone[f]!])),
    found: wanted.length,
    posts: order.map((i) => {
      const { post } = wanted[i]!;
      const facets = judges.map((judge, f) => reasonOf(judge, post, hasBit(sets[f]!, post)));
      return { id: index.idOf(post), title: titleOf(post) || null, inScope: hasBit(scope, post), facets };
    }),
  };
}

/** The same at once. */
export function nearest(index: PostIndex, query: Query, wanted: Wanted): Nearest {
  return finished(prepareNearest(index, query, wanted));
}
