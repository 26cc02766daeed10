import { hasBit, type Bits } from '../base/bits.js';
import { firstOf } from '../base/first-of.js';
import type { PostSet } from '../sets/post-set.js';
import { Arena } from '../kernel/arena.js';
import { type Steps } from '../base/steps.js';
import type { Met, Search } from './search.js';
import { fieldEnd, type TextIndex } from './text-index.js';
import { postings } from './word-run.js';

/** BM25's usual constants: how soon more of a word stops to matter, and how much length does. */
const k1 = 1.2;
const b = 0.75;

/**
 * The first posts by how well they meet a search: more of its words met whole first, then BM25 (Robertson and
 * Zaragoza, 2009) over weighted fields, in which the words that one wanted word meets count as one word. Ties fall as
 * `before` says.
 * @param matched  the posts to be ordered
 * @param first    how many are asked for
 * @param arena    where to work
 */
export function* rankByRelevance(
  index: TextIndex,
  found: Search,
  matched: PostSet,
  first: number,
  before: (a: number, b: number) => number,
  arena: Arena | null,
): Steps<number[]> {
  const posts = matched.listedIn(arena).list;
  const ranks: Ranks = { scores: new Float64Array(posts.length), wholes: new Uint8Array(posts.length) };
  // all posts are weighed in the same order, so that what is equal adds up to the same
  const inPosts: Met[] = [];
  const alongWords: Met[] = [];
  for (const one of found.wanted) {
    if (!one.excluded) (isQuickerByPost(index, one, posts.length) ? inPosts : alongWords).push(one);
  }
  if (alongWords.length > 0) yield* rankByWord(index, alongWords, posts, matched.bitsIn(arena), ranks, arena);
  if (inPosts.length > 0) yield* rankByPost(index, inPosts, posts, ranks);
  return bestOf(posts, ranks, first, before);
}

/** By place among the posts to be ordered. */
interface Ranks {
  scores: Float64Array;
  /** How many of the wanted things are met as whole words. */
  wholes: Uint8Array;
}

/** How many posts of words are gone along to put a search in order: what that takes, whatever is matched. */
export function stepsToRank(index: TextIndex, { wanted }: Search): number {
  let steps = 0;
  for (const one of wanted) if (!one.excluded) for (const runs of one.met) steps += postings(index, runs);
  return steps;
}

/** What it takes to read all words of a post, in posts of a word that are looked at and passed over. */
const stepsToRead = 100;

/** Of few posts it is quicker to read the words of each; of many, to go along the posts of each word. */
function isQuickerByPost(index: TextIndex, one: Met, posts: number): boolean {
  let steps = 0;
  for (const runs of one.met) steps += postings(index, runs);
  return posts * stepsToRead < steps;
}

/** What the hits of a wanted thing in a post are worth. */
interface Worth {
  inverse: number;
  mean: number;
  /** Of several words in a row, the posts that meet them. */
  inRow: Bits | null;
}

function worthOf(index: TextIndex, one: Met): Worth {
  return {
    inverse: inverseFrequency(index.size, one.count),
    mean: index.meanLength || 1,
    inRow: one.inRow?.bits ?? null,
  };
}

/** How rare a thing is; never below zero, also for one that most posts have. */
function inverseFrequency(size: number, having: number): number {
  return Math.log(1 + (size - having + 0.5) / (having + 0.5));
}

/** Adds what `times` weighed hits in a post of a length are worth, `whole` if one of them was the whole word. */
function addScore(ranks: Ranks, i: number, worth: Worth, times: number, length: number, whole: number): void {
  const norm = 1 - b + (b * length) / worth.mean;
  ranks.scores[i]! += (worth.inverse * times * (k1 + 1)) / (times + k1 * norm);
  ranks.wholes[i]! += worth.inRow ? 1 : whole;
}

/**
 * Goes along the posts of each word, which lie in a row, and takes up those that are to be ordered: most are passed
 * over by one look at a bit.
 */
function* rankByWord(
  index: TextIndex,
  wanted: readonly Met[],
  posts: Uint32Array,
  bits: Bits,
  ranks: Ranks,
  arena: Arena | null,
): Steps<void> {
  const { starts } = index;
  const size = posts.length;
  const hits: Hits = {
    times: new Float64Array(size),
    wholes: new Uint8Array(size),
    at: new Uint32Array(size),
    places: placesOf(index, posts),
  };
  for (const one of wanted) {
    let count = 0;
    for (const runs of one.met) {
      for (const { first, end } of runs) {
        for (let at = starts[first]!; at < starts[end]!; at += atOnce) {
          const upTo = Math.min(at + atOnce, starts[end]!);
          const [from, known] = [at, count];
          if (arena) count = arena.during(() => takeUp(index, hits, known, one.whole, from, upTo, bits, arena));
          else {
            count = takeUp(index, hits, known, one.whole, from, upTo, bits, null);
            yield;
          }
        }
      }
    }
    scoreHits(index, hits, count, worthOf(index, one), posts, ranks);
    yield;
  }
}

/** What the wanted thing in hand was found at. All is 0 again when its hits are scored. */
interface Hits {
  /** By place among the posts to be ordered: hits, each counting as much as its field weighs. */
  times: Float64Array;
  /** Whether one of them was the whole word. */
  wholes: Uint8Array;
  /** The places with hits, each once. */
  at: Uint32Array;
  /** By post: its place. */
  places: Uint32Array;
}

/**
 * Takes up the posts of words from one place to another that are to be ordered.
 * @param count  places with hits so far
 * @returns how many there are then
 */
function takeUp(
  { starts, posts: having, weights }: TextIndex,
  { times, wholes, at: hitAt, places }: Hits,
  count: number,
  whole: number,
  start: number,
  end: number,
  bits: Bits,
  arena: Arena | null,
): number {
  const found = hitsIn(having.subarray(start, end), bits, arena);
  const [from, to] = whole < 0 ? [0, 0] : [starts[whole]!, starts[whole + 1]!];
  for (let h = 0; h < found.length; h++) {
    const at = start + found[h]!;
    const i = places[having[at]!]!;
    if (times[i] === 0) hitAt[count++] = i;
    times[i]! += weights[at]!;
    if (at >= from && at < to) wholes[i] = 1;
  }
  return count;
}

/** Scores the hits of a wanted thing: going by the places with hits, or, where most have some, along all of them. */
function scoreHits(
  { lengths }: TextIndex,
  { times, wholes, at }: Hits,
  count: number,
  worth: Worth,
  posts: Uint32Array,
  ranks: Ranks,
): void {
  const isMost = count * 4 > posts.length;
  const all = isMost ? posts.length : count;
  for (let h = 0; h < all; h++) {
    const i = isMost ? h : at[h]!;
    if (times[i] === 0) continue;
    const post = posts[i]!;
    if (!worth.inRow || hasBit(worth.inRow, post)) addScore(ranks, i, worth, times[i]!, lengths[post]!, wholes[i]!);
    times[i] = wholes[i] = 0;
  }
}

/** Posts of a word that are looked at in one go: as many as stay in the caches from when they are copied until then. */
const atOnce = 8192;

/** The places in a list of the posts that are in a set. */
function hitsIn(list: Uint32Array, bits: Bits, arena: Arena | null): Uint32Array {
  const found = arena?.placesIn(list, bits);
  if (found) return found;
  const hits = Arena.numbers(arena, list.length);
  let count = 0;
  for (let i = 0; i < list.length; i++) if (hasBit(bits, list[i]!)) hits[count++] = i;
  return Arena.first(arena, hits, count);
}

const scratches = new WeakMap<TextIndex, Uint32Array>();

/** By post, its place among some posts; of any other post anything, so that nothing need be cleared. */
function placesOf(index: TextIndex, posts: Uint32Array): Uint32Array {
  let places = scratches.get(index);
  if (!places) scratches.set(index, (places = new Uint32Array(index.size)));
  for (let i = 0; i < posts.length; i++) places[posts[i]!] = i;
  return places;
}

/**
 * Reads the words of each post once for all that is wanted: to fetch them from memory is most of what it takes.
 * @returns nothing of use: what was fetched ahead, without which the fetching would be left out as of no use
 */
function* rankByPost(index: TextIndex, wanted: readonly Met[], posts: Uint32Array, ranks: Ranks): Steps<number> {
  const { tokenStarts, tokens, fieldWeights, lengths } = index;
  const worths = wanted.map((one) => worthOf(index, one));
  const spans = spansOf(wanted);
  const times = new Float64Array(wanted.length);
  const wholes = new Uint8Array(wanted.length);
  let fetched = 0;
  for (let i = 0; i < posts.length; i++) {
    if (i % postsInAStep === 0 && i > 0) yield;
    if (i % atATime === 0) fetched += fetchWords(index, posts, i, Math.min(i + atATime, posts.length));
    const post = posts[i]!;
    const end = tokenStarts[post + 1]!;
    let field = 0;
    for (let at = tokenStarts[post]!; at < end; at++) {
      const w = tokens[at]!;
      if (w === fieldEnd) {
        field++;
        continue;
      }
      for (let s = 0; s < spans.of.length; s++) {
        if (w < spans.first[s]! || w >= spans.end[s]!) continue;
        const of = spans.of[s]!;
        times[of]! += fieldWeights[field]!;
        if (w === wanted[of]!.whole) wholes[of] = 1;
      }
    }
    for (let n = 0; n < wanted.length; n++) {
      const { inRow } = worths[n]!;
      if (times[n] !== 0 && (!inRow || hasBit(inRow, post))) {
        addScore(ranks, i, worths[n]!, times[n]!, lengths[post]!, wholes[n]!);
      }
      times[n] = wholes[n] = 0;
    }
  }
  return fetched;
}

/** The runs of words that things are met by, and the place among those wanted of the thing each is of. */
interface Spans {
  of: Uint32Array;
  first: Uint32Array;
  end: Uint32Array;
}

function spansOf(wanted: readonly Met[]): Spans {
  const all = wanted.flatMap((one, of) => one.met.flatMap((runs) => runs.map((run) => ({ of, ...run }))));
  return {
    of: Uint32Array.from(all, ({ of }) => of),
    first: Uint32Array.from(all, ({ first }) => first),
    end: Uint32Array.from(all, ({ end }) => end),
  };
}

/** Posts whose words are read in one step. */
const postsInAStep = 1024;

/** Posts whose words are fetched at a time. */
const atATime = 64;

/** Reads a word of each of some posts and forgets it: asked for one after the other, they come from memory all at once. */
function fetchWords({ tokenStarts, tokens, lengths }: TextIndex, posts: Uint32Array, from: number, to: number): number {
  let seen = 0;
  for (let i = from; i < to; i++) seen += tokens[tokenStarts[posts[i]!]!]! + lengths[posts[i]!]!;
  return seen;
}

/** More than any score: by BM25 a wanted thing is worth at most `ln(2 · 2³²) · (k1 + 1)`, and few are wanted at once. */
const wholeWord = 65_536;

/**
 * The first posts of all, best first. One number tells how good a post is: words met whole, then its score to some
 * eleven digits, which leaves equal scores equal.
 */
function bestOf(
  posts: Uint32Array,
  { scores, wholes }: Ranks,
  first: number,
  before: (a: number, b: number) => number,
): number[] {
  for (let i = 0; i < posts.length; i++) scores[i]! += wholes[i]! * wholeWord;
  if (first > fewKept) {
    return firstOf(posts.length, first, (x, y) => scores[y]! - scores[x]! || before(posts[x]!, posts[y]!)).map(
      (i) => posts[i]!,
    );
  }
  // the same for few, with the comparing in place: a call for each takes longer than all else
  const kept: number[] = [];
  const keys: number[] = [];
  let least = -Infinity;
  for (let i = 0; i < posts.length; i++) {
    const key = scores[i]!;
    if (key < least) continue;
    const post = posts[i]!;
    let at = kept.length;
    while (at > 0 && (keys[at - 1]! < key || (keys[at - 1]! === key && before(kept[at - 1]!, post) > 0))) at--;
    if (at >= first) continue;
    if (kept.length < first) {
      kept.push(post);
      keys.push(key);
    }
    for (let to = kept.length - 1; to > at; to--) {
      kept[to] = kept[to - 1]!;
      keys[to] = keys[to - 1]!;
    }
    kept[at] = post;
    keys[at] = key;
    if (kept.length === first) least = keys[first - 1]!;
  }
  return kept;
}

/** Posts up to which it is quickest to put each in its place among those kept. */
const fewKept = 200;
