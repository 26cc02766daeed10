import { sortInSteps } from '../base/sorting.js';
import { inParts, type Steps } from '../base/steps.js';
import type { Value } from '../../model/post.js';
import { plainText } from '../../text/plain-text.js';
import { byCodeUnits } from '../../text/slug.js';
import type { WordRun } from './word-run.js';
import { foldedWords } from './words.js';

/** A field to search in, and how much a hit in it weighs. */
export interface SearchField {
  weight: number;
  /** What a post's value reads as: labels for terms, words for formatted text. */
  read(post: number): string;
}

/** Marks the end of a field in a post's words, so that no phrase runs from one into the next. */
export const fieldEnd = -1;

/**
 * An inverted index over the words of some fields, in typed arrays.
 */
export interface TextIndex {
  size: number;
  /** Every word there is, ascending by code units: those that begin alike stand together. */
  vocabulary: readonly string[];
  /** The posts with word `w`, ascending: `posts[starts[w] … starts[w + 1])`. */
  starts: Uint32Array;
  posts: Uint32Array;
  /** Beside each post: how often the word is in it, a time in a field counting as much as the field weighs. */
  weights: Float32Array;
  /** The words of post `p` in order, fields parted by `fieldEnd`: `tokens[tokenStarts[p] … tokenStarts[p + 1])`. */
  tokenStarts: Uint32Array;
  tokens: Int32Array;
  /** How long each post is: its words, each counting as much as its field weighs. */
  lengths: Float32Array;
  meanLength: number;
  /** How much a hit in each field weighs. */
  fieldWeights: readonly number[];
}

/** Cost: the time it takes to cut every text into words. */
/** Posts whose words are cut in one step, those whose words are put in order in one, and words that are gone along in one. */
const [cutInAStep, indexedInAStep, tokensInAStep] = [100, 2000, 1 << 18];

/** Words that are copied in one step. */
const wordsInAStep = 20_000;

export function* indexTexts(size: number, fields: readonly SearchField[]): Steps<TextIndex> {
  const known = new WordNumbers();
  const words: string[] = [];
  const tokenStarts = new Uint32Array(size + 1);
  let tokens = new Int32Array(size * 8 + 64);
  let end = 0;
  yield* inParts(size, cutInAStep, (from, to) => {
    for (let p = from; p < to; p++) {
      for (const field of fields) {
        const found = foldedWords(field.read(p));
        if (end + found.length + 1 > tokens.length) tokens = longer(tokens, (end + found.length + 1) * 2);
        for (const word of found) {
          const number = known.numberOf(word);
          if (number === words.length) words.push(word);
          tokens[end++] = number;
        }
        tokens[end++] = fieldEnd;
      }
      tokenStarts[p + 1] = end;
    }
  });
  const weights = fields.map((field) => field.weight);
  return yield* indexTokens(words, tokenStarts, tokens.slice(0, end), weights);
}

/**
 * Numbers words as they come. They are kept in many maps: one map of hundreds of thousands stops everything for a tenth of
 * a second whenever it grows.
 */
class WordNumbers {
  readonly #maps = Array.from({ length: 64 }, () => new Map<string, number>());
  #size = 0;

  /** The number of a word; one that is new has as number how many there were before. */
  numberOf(word: string): number {
    const last = word.length - 1;
    const map = this.#maps[(word.charCodeAt(0) * 7 + word.charCodeAt(last) * 3 + last) & 63]!;
    let number = map.get(word);
    if (number === undefined) map.set(word, (number = this.#size++));
    return number;
  }
}

export function longer(numbers: Int32Array, size: number): Int32Array<ArrayBuffer> {
  const more = new Int32Array(size);
  more.set(numbers);
  return more;
}

/**
 * Makes an index of posts that are cut into words already: sorts the words, leaves out those no post has, and turns
 * the words of each post into the posts of each word.
 * @param tokens  numbers of words, fields parted by `fieldEnd`; they are changed to those of the sorted words
 */
export function* indexTokens(
  words: readonly string[],
  tokenStarts: Uint32Array,
  tokens: Int32Array,
  fieldWeights: readonly number[],
): Steps<TextIndex> {
  const used = new Uint8Array(words.length);
  yield* inParts(tokens.length, tokensInAStep, (from, to) => {
    for (let i = from; i < to; i++) if (tokens[i] !== fieldEnd) used[tokens[i]!] = 1;
  });
  const order = markedNumbers(used);
  yield;
  yield* sortInSteps(order, (a, b) => byCodeUnits(words[a]!, words[b]!));
  const place = new Uint32Array(words.length);
  let isSorted = true;
  for (let i = 0; i < order.length; i++) {
    place[order[i]!] = i;
    isSorted &&= order[i] === i;
  }
  yield;
  if (!isSorted) {
    yield* inParts(tokens.length, tokensInAStep, (from, to) => {
      for (let i = from; i < to; i++) if (tokens[i] !== fieldEnd) tokens[i] = place[tokens[i]!]!;
    });
  }
  const vocabulary = new Array<string>(order.length);
  yield* inParts(order.length, wordsInAStep, (from, to) => {
    for (let i = from; i < to; i++) vocabulary[i] = words[order[i]!]!;
  });
  return yield* indexingSortedTokens(vocabulary, tokenStarts, tokens, fieldWeights);
}

/** The numbers that are marked by a 1, ascending. */
export function markedNumbers(marked: Uint8Array): Uint32Array {
  let count = 0;
  for (let i = 0; i < marked.length; i++) count += marked[i]!;
  const numbers = new Uint32Array(count);
  for (let i = 0, at = 0; at < count; i++) if (marked[i] === 1) numbers[at++] = i;
  return numbers;
}

/**
 * As `indexTokens`, of words that are sorted and all in use, step by step.
 * @param starts  of the index that is made, where they are known
 */
export function* indexingSortedTokens(
  vocabulary: readonly string[],
  tokenStarts: Uint32Array,
  tokens: Int32Array,
  fieldWeights: readonly number[],
  starts?: Uint32Array,
): Steps<TextIndex> {
  const known = starts ?? (yield* countPosts(vocabulary.length, tokenStarts, tokens));
  const found = yield* findingPostings(known, tokenStarts, tokens, fieldWeights);
  return { vocabulary, starts: known, ...found, tokenStarts, tokens, ...means(found.lengths), fieldWeights };
}

/** An index of the same words with hits in its fields weighed otherwise, step by step. What does not change is shared. */
export function* reweigh(text: TextIndex, fieldWeights: readonly number[]): Steps<TextIndex> {
  const { vocabulary, tokenStarts, tokens, starts, posts } = text;
  const found = yield* findingPostings(starts, tokenStarts, tokens, fieldWeights);
  const { weights, lengths } = found;
  return { vocabulary, starts, posts, weights, lengths, tokenStarts, tokens, ...means(lengths), fieldWeights };
}

/** What the lengths of its posts say of an index. */
export function means(lengths: Float32Array): Pick<TextIndex, 'size' | 'meanLength'> {
  let sum = 0;
  for (const length of lengths) sum += length;
  return { size: lengths.length, meanLength: sum / Math.max(1, lengths.length) };
}

/** Where the posts of each word will begin. */
function* countPosts(words: number, tokenStarts: Uint32Array, tokens: Int32Array): Steps<Uint32Array> {
  const starts = new Uint32Array(words + 1);
  const lastPost = new Int32Array(words).fill(-1);
  yield* inParts(tokenStarts.length - 1, indexedInAStep, (from, to) => {
    for (let p = from; p < to; p++) {
      for (let i = tokenStarts[p]!; i < tokenStarts[p + 1]!; i++) {
        const w = tokens[i]!;
        if (w === fieldEnd || lastPost[w] === p) continue;
        lastPost[w] = p;
        starts[w + 1]!++;
      }
    }
  });
  for (let w = 0; w < words; w++) starts[w + 1]! += starts[w]!;
  return starts;
}

/** The posts of each word, and how much each post holds. */
function* findingPostings(
  starts: Uint32Array,
  tokenStarts: Uint32Array,
  tokens: Int32Array,
  fieldWeights: readonly number[],
): Steps<Pick<TextIndex, 'posts' | 'weights' | 'lengths'>> {
  const words = starts.length - 1;
  const posts = new Uint32Array(starts[words]!);
  const weights = new Float32Array(starts[words]!);
  const lengths = new Float32Array(tokenStarts.length - 1);
  const next = starts.slice(0, words);
  const lastPost = new Int32Array(words).fill(-1);
  yield* inParts(lengths.length, indexedInAStep, (from, to) => {
    for (let p = from; p < to; p++) {
      let [field, length] = [0, 0];
      for (let i = tokenStarts[p]!; i < tokenStarts[p + 1]!; i++) {
        const w = tokens[i]!;
        if (w === fieldEnd) {
          field++;
          continue;
        }
        if (lastPost[w] !== p) {
          lastPost[w] = p;
          posts[next[w]!++] = p;
        }
        weights[next[w]! - 1]! += fieldWeights[field]!;
        length += fieldWeights[field]!;
      }
      lengths[p] = length;
    }
  });
  return { posts, weights, lengths };
}

/** The words that begin with a text: numbers from `first` up to `end`. Of one letter, only the word itself. */
export function wordsBeginning(index: TextIndex, start: string): WordRun {
  const first = firstFrom(index.vocabulary, start);
  if ([...start].length < 2) return { first, end: index.vocabulary[first] === start ? first + 1 : first };
  // the highest code unit there is: no word that begins with `start` comes after it
  return { first, end: firstFrom(index.vocabulary, `${start}\uffff`) };
}

/** First place in a vocabulary whose word does not come before a text. */
export function firstFrom(vocabulary: readonly string[], text: string): number {
  let [low, high] = [0, vocabulary.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (vocabulary[middle]! < text) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A field's value as text to search: formatted text by its words, terms by their labels. */
export function searchText(value: Value | undefined, type: string, labelOf: (slug: string) => string): string {
  if (value === undefined || typeof value === 'boolean') return '';
  if (Array.isArray(value)) return value.map(labelOf).join(' \u2028 ');
  return type === 'html' ? plainText(String(value)) : String(value);
}
