import { fullBits, hasBit, type Bits } from '../index/bits.js';
import { PostSet } from '../index/post-set.js';
import type { Arena } from '../kernel/arena.js';
import { respell } from './respell.js';
import { fieldEnd, wordsBeginning, type TextIndex } from './text-index.js';
import { readWanted, type Wanted } from './wanted.js';

/** A wanted thing, resolved: the words of the index that meet it. */
export interface Met extends Wanted {
  /** Word numbers, ascending, for each of its words. A word of a search may be met by many of the index. */
  numbers: number[][];
  /** The word itself, whole: its number, or -1. */
  whole: number;
  /** What it was taken for, when nothing in the index begins with it. */
  respelled: string | null;
  /** How many posts meet it. */
  count: number;
  /** Of several words in a row, the posts that meet them; of any other thing its words tell. */
  inRow: PostSet | null;
}

/** A search worked out against an index. */
export interface Search {
  wanted: Met[];
  posts: PostSet;
}

/**
 * Finds the posts that meet a search. `words` tells whether all or any of what is wanted must be there.
 * @param arena  where to work; what is found lies elsewhere and may be kept
 */
export function search(index: TextIndex, text: string, words: 'all' | 'any', arena: Arena | null = null): Search {
  const { size } = index;
  const met = readWanted(text).map((one) => meet(index, one));
  const each = met.map((one) => postsMeeting(index, one, arena));
  const positive = each.filter((_, i) => !met[i]!.excluded);
  const [first, ...others] = positive;
  let posts = first ?? PostSet.ofBits(size, fullBits(size), size);
  if (words === 'all') for (const other of others) posts = posts.and(other, arena);
  else if (others.length > 0) posts = PostSet.union(size, positive, arena);
  each.forEach((one, i) => {
    if (met[i]!.excluded) posts = posts.without(one, arena);
  });
  const wanted = met.map((one, i): Met => {
    return { ...one, count: each[i]!.count, inRow: one.phrase ? each[i]!.settled(arena) : null };
  });
  return { wanted, posts: posts.settled(arena) };
}

type Resolved = Omit<Met, 'count' | 'inRow'>;

function meet(index: TextIndex, one: Wanted): Resolved {
  if (one.phrase) {
    const numbers = one.words.map((word) => exactly(index, word));
    return { ...one, numbers, whole: -1, respelled: null };
  }
  const [word] = one.words;
  const { first, end } = wordsBeginning(index, word!);
  const numbers: number[] = [];
  for (let w = first; w < end; w++) numbers.push(w);
  const whole = index.vocabulary[first] === word ? first : -1;
  // an exclusion that meets nothing excludes nothing; to guess another word would take posts away unasked
  if (numbers.length > 0 || one.excluded) return { ...one, numbers: [numbers], whole, respelled: null };
  const near = respell(word!, index.vocabulary);
  const respelled = near.length === 0 ? null : commonest(index, near);
  return { ...one, numbers: [near], whole: -1, respelled };
}

function exactly(index: TextIndex, word: string): number[] {
  const { first } = wordsBeginning(index, word);
  return index.vocabulary[first] === word ? [first] : [];
}

function commonest(index: TextIndex, numbers: readonly number[]): string {
  const size = (w: number) => index.starts[w + 1]! - index.starts[w]!;
  return index.vocabulary[[...numbers].sort((a, b) => size(b) - size(a) || a - b)[0]!]!;
}

function postsMeeting(index: TextIndex, one: Resolved, arena: Arena | null): PostSet {
  const [posts, ...others] = one.numbers.map((numbers) => postsWithAny(index, numbers, arena));
  if (!one.phrase || others.length === 0) return posts!;
  const phrase = one.numbers.map((numbers) => numbers[0] ?? fieldEnd);
  return keepPhrase(
    index,
    others.reduce((all, other) => all.and(other, arena), posts!),
    phrase,
  );
}

function postsWithAny({ size, starts, posts }: TextIndex, numbers: readonly number[], arena: Arena | null): PostSet {
  const [first, last] = [numbers[0] ?? 0, numbers[numbers.length - 1] ?? -1];
  // words that begin alike stand together, and so do their posts
  if (numbers.length > 1 && last - first === numbers.length - 1) {
    return PostSet.ofUnsorted(size, posts.subarray(starts[first], starts[last + 1]), arena);
  }
  return PostSet.union(
    size,
    numbers.map((w) => PostSet.ofList(size, posts.subarray(starts[w], starts[w + 1]))),
    arena,
  );
}

/** Of posts that have every word of a phrase, those that have them in a row. */
function keepPhrase({ size, tokenStarts, tokens }: TextIndex, posts: PostSet, phrase: readonly number[]): PostSet {
  const kept = posts.list.filter((post) => {
    const last = tokenStarts[post + 1]! - phrase.length;
    for (let at = tokenStarts[post]!; at <= last; at++) {
      if (phrase.every((word, i) => tokens[at + i] === word)) return true;
    }
    return false;
  });
  return PostSet.ofList(size, kept);
}

/** BM25's usual constants: how soon more of a word stops to matter, and how much length does. */
const k1 = 1.2;
const b = 0.75;

/**
 * The first posts by how well they meet a search: more of its words met whole first, then BM25 (Robertson and
 * Zaragoza, 2009) over weighted fields, in which the words that one wanted word meets count as one word. Ties fall as
 * `before` says.
 * @param posts   to be ordered
 * @param first   how many are asked for
 */
export function byRelevance(
  index: TextIndex,
  found: Search,
  posts: Uint32Array,
  first: number,
  before: (a: number, b: number) => number,
): Uint32Array {
  const ranks: Ranks = { scores: new Float64Array(posts.length), wholes: new Uint8Array(posts.length) };
  // scores are added up in the order things are wanted in, and those in a row that are read off the posts at once
  let inPosts: Met[] = [];
  for (const one of found.wanted) {
    if (one.excluded) continue;
    if (isQuickerByPost(index, one, posts.length)) inPosts.push(one);
    else {
      rankByPost(index, inPosts, posts, ranks);
      rankByWord(index, one, posts, ranks);
      inPosts = [];
    }
  }
  rankByPost(index, inPosts, posts, ranks);
  const { scores, wholes } = ranks;
  const order = firstOf(posts.length, first, (x, y) => {
    const by = wholes[y]! - wholes[x]! || scores[y]! - scores[x]!;
    return by || before(posts[x]!, posts[y]!);
  });
  return Uint32Array.from(order, (i) => posts[i]!);
}

/** By place among the posts to be ordered. */
interface Ranks {
  scores: Float64Array;
  /** How many of the wanted things are met as whole words. */
  wholes: Uint8Array;
}

/** Of few posts it is quicker to read the words of each; of many, to go along the posts of each word. */
function isQuickerByPost(index: TextIndex, one: Met, posts: number): boolean {
  const meanWords = index.tokens.length / Math.max(1, index.size);
  let postings = 0;
  for (const numbers of one.numbers) for (const w of numbers) postings += index.starts[w + 1]! - index.starts[w]!;
  return posts * meanWords < postings * 2;
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

/** Adds what `times` weighed hits in a post of a length are worth, `whole` if one of them was the whole word. */
function addScore(ranks: Ranks, i: number, worth: Worth, times: number, length: number, whole: number): void {
  const norm = 1 - b + (b * length) / worth.mean;
  ranks.scores[i]! += (worth.inverse * times * (k1 + 1)) / (times + k1 * norm);
  ranks.wholes[i]! += worth.inRow ? 1 : whole;
}

/** Some words that a wanted thing is met by: those from `low` to `high`, or, if they are not all, `numbers` of them. */
interface Span {
  /** Place of the thing among those wanted. */
  of: number;
  low: number;
  high: number;
  numbers: readonly number[] | null;
}

function spansOf(wanted: readonly Met[]): Span[] {
  return wanted.flatMap((one, of) =>
    one.numbers
      .filter((numbers) => numbers.length > 0)
      .map((numbers): Span => {
        const [low, high] = [numbers[0]!, numbers[numbers.length - 1]!];
        return { of, low, high, numbers: high - low === numbers.length - 1 ? null : numbers };
      }),
  );
}

/**
 * Reads the words of each post once for all that is wanted: to fetch them from memory is most of what it takes.
 * @returns nothing of use: what was fetched ahead, without which the fetching would be left out as of no use
 */
function rankByPost(index: TextIndex, wanted: readonly Met[], posts: Uint32Array, ranks: Ranks): number {
  if (wanted.length === 0) return 0;
  const { tokenStarts, tokens, fieldWeights, lengths } = index;
  const worths = wanted.map((one) => worthOf(index, one));
  const spans = spansOf(wanted);
  const times = new Float64Array(wanted.length);
  const wholes = new Uint8Array(wanted.length);
  let fetched = 0;
  for (let i = 0; i < posts.length; i++) {
    if (i % atATime === 0) fetched += fetchWords(index, posts, i, Math.min(i + atATime, posts.length));
    const post = posts[i]!;
    const end = tokenStarts[post + 1]!;
    let field = 0;
    for (let at = tokenStarts[post]!; at < end; at++) {
      const w = tokens[at]!;
      if (w === fieldEnd) field++;
      for (let s = 0; s < spans.length; s++) {
        const { of, low, high, numbers } = spans[s]!;
        if (w < low || w > high || (numbers && !numbers.includes(w))) continue;
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

/** Posts whose words are fetched at a time. */
const atATime = 64;

/** Reads a word of each of some posts and forgets it: asked for one after the other, they come from memory all at once. */
function fetchWords({ tokenStarts, tokens, lengths }: TextIndex, posts: Uint32Array, from: number, to: number): number {
  let seen = 0;
  for (let i = from; i < to; i++) seen += tokens[tokenStarts[posts[i]!]!]! + lengths[posts[i]!]!;
  return seen;
}

function rankByWord(index: TextIndex, one: Met, posts: Uint32Array, ranks: Ranks): void {
  // a slot a post, all zero between uses: to clear what was touched is cheaper than to make them anew
  const { weights, whole } = scratchOf(index);
  for (const numbers of one.numbers) {
    for (const w of numbers) {
      for (let i = index.starts[w]!; i < index.starts[w + 1]!; i++) {
        weights[index.posts[i]!]! += index.weights[i]!;
        if (w === one.whole) whole[index.posts[i]!] = 1;
      }
    }
  }
  const worth = worthOf(index, one);
  for (let i = 0; i < posts.length; i++) {
    const post = posts[i]!;
    const times = weights[post]!;
    if (times === 0 || (worth.inRow && !hasBit(worth.inRow, post))) continue;
    addScore(ranks, i, worth, times, index.lengths[post]!, whole[post]!);
  }
  for (const numbers of one.numbers) {
    for (const w of numbers) {
      for (let i = index.starts[w]!; i < index.starts[w + 1]!; i++)
        weights[index.posts[i]!] = whole[index.posts[i]!] = 0;
    }
  }
}

/** By post: how often a wanted thing is in it, weighed by field, and whether as a whole word. */
interface Times {
  weights: Float64Array;
  whole: Uint8Array;
}

const scratches = new WeakMap<TextIndex, Times>();

function scratchOf(index: TextIndex): Times {
  let scratch = scratches.get(index);
  if (!scratch) {
    scratch = { weights: new Float64Array(index.size), whole: new Uint8Array(index.size) };
    scratches.set(index, scratch);
  }
  return scratch;
}

/** The first `first` of `0 … size - 1` in an order. Most are turned away by one look at the last that is kept. */
export function firstOf(size: number, first: number, compare: (a: number, b: number) => number): number[] {
  const kept: number[] = [];
  if (first > 2000)
    return Array.from({ length: size }, (_, i) => i)
      .sort(compare)
      .slice(0, first);
  if (first === 0) return kept;
  for (let i = 0; i < size; i++) {
    if (kept.length === first && compare(i, kept[first - 1]!) >= 0) continue;
    let low = 0;
    let high = kept.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (compare(kept[middle]!, i) <= 0) low = middle + 1;
      else high = middle;
    }
    // moved by hand: to splice costs more than the few steps it saves
    if (kept.length < first) kept.push(i);
    for (let at = kept.length - 1; at > low; at--) kept[at] = kept[at - 1]!;
    kept[low] = i;
  }
  return kept;
}

/** How rare a thing is; never below zero, also for one that most posts have. */
function inverseFrequency(size: number, having: number): number {
  return Math.log(1 + (size - having + 0.5) / (having + 0.5));
}
