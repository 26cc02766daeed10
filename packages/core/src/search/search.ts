import { fullBits, hasBit, withoutBits } from '../index/bits.js';
import { PostSet } from '../index/post-set.js';
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
  /** The posts that meet it. */
  posts: PostSet;
}

/** A search worked out against an index. */
export interface Search {
  wanted: Met[];
  posts: PostSet;
}

/** Finds the posts that meet a search. `words` tells whether all or any of what is wanted must be there. */
export function search(index: TextIndex, text: string, words: 'all' | 'any'): Search {
  const { size } = index;
  const wanted = readWanted(text).map((one) => {
    const met = meet(index, one);
    return { ...met, posts: postsMeeting(index, met) };
  });
  const positive = wanted.filter((one) => !one.excluded).map((one) => one.posts);
  const [first, ...others] = positive;
  let posts = first ?? PostSet.ofBits(size, fullBits(size), size);
  if (words === 'all') for (const other of others) posts = posts.and(other);
  else if (others.length > 0) posts = PostSet.union(size, positive);
  for (const one of wanted) {
    if (one.excluded) posts = PostSet.ofBits(size, withoutBits(posts.bits, one.posts.bits));
  }
  return { wanted, posts };
}

function meet(index: TextIndex, one: Wanted): Omit<Met, 'posts'> {
  if (one.phrase) {
    const numbers = one.words.map((word) => exactly(index, word));
    return { ...one, numbers, whole: -1, respelled: null };
  }
  const [word] = one.words;
  const { first, end } = wordsBeginning(index, word!);
  const numbers = Array.from({ length: end - first }, (_, i) => first + i);
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

function postsMeeting(index: TextIndex, one: Omit<Met, 'posts'>): PostSet {
  const [posts, ...others] = one.numbers.map((numbers) => postsWithAny(index, numbers));
  if (!one.phrase || others.length === 0) return posts!;
  const phrase = one.numbers.map((numbers) => numbers[0] ?? fieldEnd);
  return keepPhrase(
    index,
    others.reduce((all, other) => all.and(other), posts!),
    phrase,
  );
}

function postsWithAny({ size, starts, posts }: TextIndex, numbers: readonly number[]): PostSet {
  const [first, last] = [numbers[0] ?? 0, numbers[numbers.length - 1] ?? -1];
  // words that begin alike stand together, and so do their posts
  if (numbers.length > 1 && last - first === numbers.length - 1) {
    return PostSet.ofUnsorted(size, posts.subarray(starts[first], starts[last + 1]));
  }
  return PostSet.union(
    size,
    numbers.map((w) => PostSet.ofList(size, posts.subarray(starts[w], starts[w + 1]))),
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
  const scores = new Float64Array(posts.length);
  const wholes = new Uint8Array(posts.length);
  for (const one of found.wanted) {
    if (one.excluded) continue;
    const times = timesIn(index, one, posts);
    const inverse = inverseFrequency(index.size, one.posts.count);
    for (let i = 0; i < posts.length; i++) {
      const tf = times.weights[i]!;
      if (tf === 0 || (one.phrase && !hasBit(one.posts.bits, posts[i]!))) continue;
      const norm = 1 - b + (b * index.lengths[posts[i]!]!) / (index.meanLength || 1);
      scores[i]! += (inverse * tf * (k1 + 1)) / (tf + k1 * norm);
      wholes[i]! += one.phrase ? 1 : times.whole[i]!;
    }
  }
  const order = firstOf(posts.length, first, (x, y) => {
    const by = wholes[y]! - wholes[x]! || scores[y]! - scores[x]!;
    return by || before(posts[x]!, posts[y]!);
  });
  return Uint32Array.from(order, (i) => posts[i]!);
}

/** How often a wanted thing is in each of some posts, weighed by field, and whether as a whole word. */
interface Times {
  weights: Float64Array;
  whole: Uint8Array;
}

/** Of few posts it is quicker to read the words of each; of many, to go along the posts of each word. */
function timesIn(index: TextIndex, one: Met, posts: Uint32Array): Times {
  const meanWords = index.tokens.length / Math.max(1, index.size);
  let postings = 0;
  for (const numbers of one.numbers) for (const w of numbers) postings += index.starts[w + 1]! - index.starts[w]!;
  return posts.length * meanWords < postings * 2 ? timesByPost(index, one, posts) : timesByWord(index, one, posts);
}

function timesByPost(index: TextIndex, one: Met, posts: Uint32Array): Times {
  const { tokenStarts, tokens, fieldWeights } = index;
  const times = { weights: new Float64Array(posts.length), whole: new Uint8Array(posts.length) };
  for (const numbers of one.numbers) {
    const [low, high] = [numbers[0] ?? 0, numbers[numbers.length - 1] ?? -1];
    const isRun = high - low === numbers.length - 1;
    for (let i = 0; i < posts.length; i++) {
      let field = 0;
      for (let at = tokenStarts[posts[i]!]!; at < tokenStarts[posts[i]! + 1]!; at++) {
        const w = tokens[at]!;
        if (w === fieldEnd) field++;
        else if (w >= low && w <= high && (isRun || numbers.includes(w))) {
          times.weights[i]! += fieldWeights[field]!;
          if (w === one.whole) times.whole[i] = 1;
        }
      }
    }
  }
  return times;
}

function timesByWord(index: TextIndex, one: Met, posts: Uint32Array): Times {
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
  const times = { weights: new Float64Array(posts.length), whole: new Uint8Array(posts.length) };
  for (let i = 0; i < posts.length; i++) {
    times.weights[i] = weights[posts[i]!]!;
    times.whole[i] = whole[posts[i]!]!;
  }
  for (const numbers of one.numbers) {
    for (const w of numbers) {
      for (let i = index.starts[w]!; i < index.starts[w + 1]!; i++)
        weights[index.posts[i]!] = whole[index.posts[i]!] = 0;
    }
  }
  return times;
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
  for (let i = 0; i < size; i++) {
    if (kept.length === first && (first === 0 || compare(i, kept[first - 1]!) >= 0)) continue;
    let [low, high] = [0, kept.length];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (compare(kept[middle]!, i) <= 0) low = middle + 1;
      else high = middle;
    }
    if (kept.length === first) kept.pop();
    kept.splice(low, 0, i);
  }
  return kept;
}

/** How rare a thing is; never below zero, also for one that most posts have. */
function inverseFrequency(size: number, having: number): number {
  return Math.log(1 + (size - having + 0.5) / (having + 0.5));
}
