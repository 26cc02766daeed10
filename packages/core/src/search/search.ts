import {
  andBits,
  bitsOf,
  countBits,
  emptyBits,
  fullBits,
  hasBit,
  setBit,
  withoutBits,
  orInto,
  type Bits,
} from '../index/bits.js';
import { respell } from './respell.js';
import { fieldEnd, wordsBeginning, type TextIndex } from './text-index.js';
import { readWanted, type Wanted } from './wanted.js';

/** A wanted thing, resolved: the words of the index that meet it. */
export interface Met extends Wanted {
  /** Word numbers, for each of its words. A word of a search may be met by many of the index. */
  numbers: number[][];
  /** The word itself, whole: its number, or -1. */
  whole: number;
  /** What it was taken for, when nothing in the index begins with it. */
  respelled: string | null;
  /** The posts that meet it. */
  posts: Bits;
}

/** A search worked out against an index. */
export interface Search {
  wanted: Met[];
  posts: Bits;
}

/** Finds the posts that meet a search. `words` tells whether all or any of what is wanted must be there. */
export function search(index: TextIndex, text: string, words: 'all' | 'any'): Search {
  const wanted = readWanted(text).map((one) => {
    const met = meet(index, one);
    return { ...met, posts: postsMeeting(index, met) };
  });
  let posts: Bits | null = null;
  for (const one of wanted) {
    if (one.excluded) continue;
    const found = one.posts;
    if (posts === null) posts = found;
    else if (words === 'all') posts = andBits(posts, found);
    else {
      const both: Bits = posts.slice();
      orInto(both, found);
      posts = both;
    }
  }
  let result = posts ?? fullBits(index.size);
  for (const one of wanted) if (one.excluded) result = withoutBits(result, one.posts);
  return { wanted, posts: result };
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

function postsMeeting(index: TextIndex, one: Omit<Met, 'posts'>): Bits {
  if (!one.phrase) return postsWithAny(index, one.numbers[0]!);
  let posts: Bits | null = null;
  for (const numbers of one.numbers) {
    const found = postsWithAny(index, numbers);
    posts = posts === null ? found : andBits(posts, found);
  }
  if (one.numbers.length === 1 || posts === null) return posts ?? emptyBits(index.size);
  const phrase = one.numbers.map((numbers) => numbers[0] ?? fieldEnd);
  return keepPhrase(index, posts, phrase);
}

function postsWithAny(index: TextIndex, numbers: readonly number[]): Bits {
  if (numbers.length === 0) return emptyBits(index.size);
  // words that begin alike stand together, so their postings are one run
  const [first, last] = [numbers[0]!, numbers[numbers.length - 1]!];
  if (last - first === numbers.length - 1) {
    return bitsOf(index.size, index.posts.subarray(index.starts[first], index.starts[last + 1]));
  }
  const bits = emptyBits(index.size);
  for (const w of numbers) for (let i = index.starts[w]!; i < index.starts[w + 1]!; i++) setBit(bits, index.posts[i]!);
  return bits;
}

/** Of posts that have every word of a phrase, those that have them in a row. */
function keepPhrase(index: TextIndex, posts: Bits, phrase: readonly number[]): Bits {
  const kept = emptyBits(index.size);
  const { tokenStarts, tokens } = index;
  for (let w = 0; w < posts.length; w++) {
    let v = posts[w]!;
    while (v !== 0) {
      const low = v & -v;
      const post = (w << 5) + 31 - Math.clz32(low);
      v ^= low;
      const last = tokenStarts[post + 1]! - phrase.length;
      for (let at = tokenStarts[post]!; at <= last; at++) {
        if (phrase.every((word, i) => tokens[at + i] === word)) {
          setBit(kept, post);
          break;
        }
      }
    }
  }
  return kept;
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
  // a slot a post, all zero between uses: to clear what was touched is cheaper than to make them anew
  const { frequency, whole } = scratchOf(index);
  for (const one of found.wanted) {
    if (one.excluded) continue;
    const matching = one.posts;
    const inverse = inverseFrequency(index.size, countBits(matching));
    eachPosting(index, one, (post, weight, w) => {
      frequency[post]! += weight;
      if (w === one.whole) whole[post] = 1;
    });
    for (let i = 0; i < posts.length; i++) {
      const post = posts[i]!;
      const tf = frequency[post]!;
      if (tf === 0 || !hasBit(matching, post)) continue;
      const norm = 1 - b + (b * index.lengths[post]!) / (index.meanLength || 1);
      scores[i]! += (inverse * tf * (k1 + 1)) / (tf + k1 * norm);
      wholes[i]! += one.phrase ? 1 : whole[post]!;
    }
    eachPosting(index, one, (post) => {
      frequency[post] = 0;
      whole[post] = 0;
    });
  }
  const order = firstOf(posts.length, first, (x, y) => {
    const by = wholes[y]! - wholes[x]! || scores[y]! - scores[x]!;
    return by || before(posts[x]!, posts[y]!);
  });
  return Uint32Array.from(order, (i) => posts[i]!);
}

interface Scratch {
  frequency: Float64Array;
  whole: Uint8Array;
}

const scratches = new WeakMap<TextIndex, Scratch>();

function scratchOf(index: TextIndex): Scratch {
  let scratch = scratches.get(index);
  if (!scratch) {
    scratch = { frequency: new Float64Array(index.size), whole: new Uint8Array(index.size) };
    scratches.set(index, scratch);
  }
  return scratch;
}

function eachPosting(index: TextIndex, one: Met, visit: (post: number, weight: number, word: number) => void): void {
  for (const numbers of one.numbers) {
    for (const w of numbers) {
      for (let i = index.starts[w]!; i < index.starts[w + 1]!; i++) visit(index.posts[i]!, index.weights[i]!, w);
    }
  }
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
