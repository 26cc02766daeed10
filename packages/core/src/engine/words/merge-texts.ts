import { inParts, type Steps } from '../base/steps.js';
import {
  newNumbers,
  gatherNumbers,
  gatherRuns,
  gatherStarts,
  type NewNumbers,
  type GatherMap,
} from '../store/gather-map.js';
import { byCodeUnits } from '../../text/slug.js';
import { carryWordsByEnd } from './words-by-end.js';
import { fieldEnd, indexTokens, means, type TextIndex } from './text-index.js';

/**
 * The word index after a change, out of the one before and one of the posts that were added: the same as if all posts
 * were indexed anew. Where the posts that stay keep their order, the posts of each word are those of before under their
 * new numbers, and the few that are new are put between.
 * @param gatherMap  where each post comes from; the added ones are picked in the order they are in
 */
export function* mergeTexts(old: TextIndex, added: TextIndex, gatherMap: GatherMap): Steps<TextIndex> {
  const numbers = newNumbers(old.size, added.size, gatherMap);
  yield;
  if (!numbers.isOrderKept) return yield* indexAnew(old, added, gatherMap);
  const words = yield* mergeWords(old, added, numbers);
  yield* carryWordsByEnd(old.vocabulary, words.vocabulary, words.ofOld);
  yield;
  const { tokenStarts, tokens } = yield* pickTokens(old, added, gatherMap, words);
  yield;
  const lengths = gatherNumbers(new Float32Array(gatherMap.rows.length), old.lengths, added.lengths, gatherMap);
  const { vocabulary, starts, posts, weights } = words;
  return {
    ...{ vocabulary, starts, posts, weights, tokenStarts, tokens, lengths, fieldWeights: old.fieldWeights },
    ...means(lengths),
  };
}

/** Every word that a post has, its posts, and what number it has that was another's before. */
interface MergedWords extends Pick<TextIndex, 'vocabulary' | 'starts' | 'posts' | 'weights'> {
  ofOld: Int32Array;
  ofAdded: Int32Array;
}

/** Posts of words that are put together in one step. */
const postsInAStep = 1 << 13;

function* mergeWords(old: TextIndex, added: TextIndex, { ofOld, ofAdded }: NewNumbers): Steps<MergedWords> {
  const vocabulary: string[] = [];
  const starts: number[] = [0];
  const most = old.posts.length + added.posts.length;
  const merged: PostsOfWords = { posts: new Uint32Array(most), weights: new Float32Array(most), end: 0 };
  const words = {
    ofOld: new Int32Array(old.vocabulary.length).fill(-1),
    ofAdded: new Int32Array(added.vocabulary.length).fill(-1),
  };
  let [i, j, rest] = [0, 0, postsInAStep];
  while (i < old.vocabulary.length || j < added.vocabulary.length) {
    if (merged.end + i + j > rest) {
      rest = merged.end + i + j + postsInAStep;
      yield;
    }
    const order = compareWords(old.vocabulary[i], added.vocabulary[j]);
    const word = order <= 0 ? old.vocabulary[i]! : added.vocabulary[j]!;
    const start = merged.end;
    let from = order <= 0 ? old.starts[i]! : 0;
    const to = order <= 0 ? old.starts[i + 1]! : 0;
    if (order >= 0) {
      for (let y = added.starts[j]!; y < added.starts[j + 1]!; y++) {
        const post = ofAdded[added.posts[y]!]!;
        from = takeBefore(merged, old, from, to, ofOld, post);
        merged.posts[merged.end] = post;
        merged.weights[merged.end++] = added.weights[y]!;
      }
    }
    takeBefore(merged, old, from, to, ofOld, Infinity);
    if (merged.end > start) {
      if (order <= 0) words.ofOld[i] = vocabulary.length;
      if (order >= 0) words.ofAdded[j] = vocabulary.length;
      vocabulary.push(word);
      starts.push(merged.end);
    }
    if (order <= 0) i++;
    if (order >= 0) j++;
  }
  yield;
  const { posts, weights, end } = merged;
  return {
    ...{
      vocabulary,
      starts: Uint32Array.from(starts),
      posts: posts.subarray(0, end),
      weights: weights.subarray(0, end),
    },
    ...words,
  };
}

/** The posts of words as they are put together. */
interface PostsOfWords extends Pick<TextIndex, 'posts' | 'weights'> {
  end: number;
}

/**
 * Takes the posts of a word over that now come before another one, but for those that are gone; gives where it stopped.
 * Apart, so that the engine compiles it soon: a change is made now and then only, and a long function takes long to be
 * found worth it.
 */
function takeBefore(
  merged: PostsOfWords,
  old: Pick<TextIndex, 'posts' | 'weights'>,
  from: number,
  to: number,
  ofOld: Int32Array,
  before: number,
): number {
  // an array of an object would be looked up at every step
  const { posts, weights } = merged;
  const [oldPosts, oldWeights] = [old.posts, old.weights];
  let { end } = merged;
  let x = from;
  for (; x < to; x++) {
    const post = ofOld[oldPosts[x]!]!;
    if (post > before) break;
    if (post < 0) continue;
    posts[end] = post;
    weights[end++] = oldWeights[x]!;
  }
  merged.end = end;
  return x;
}

/** Of two words at the heads of two sorted lists, which comes first; a list that is at its end comes last. */
function compareWords(a: string | undefined, b: string | undefined): number {
  if (a === undefined || b === undefined) return a === undefined ? 1 : -1;
  return byCodeUnits(a, b);
}

/** The words of each post in order, by the numbers words have now. */
function* pickTokens(
  old: TextIndex,
  added: TextIndex,
  gatherMap: GatherMap,
  words: { ofOld: Int32Array; ofAdded: Int32Array },
): Steps<Pick<TextIndex, 'tokenStarts' | 'tokens'>> {
  const tokenStarts = gatherStarts(old.tokenStarts, added.tokenStarts, gatherMap);
  yield;
  const before = yield* renumbered(old.tokens, words.ofOld);
  const after = yield* renumbered(added.tokens, words.ofAdded);
  const tokens = new Int32Array(tokenStarts[gatherMap.rows.length]!);
  gatherRuns(tokens, tokenStarts, [before, old.tokenStarts], [after, added.tokenStarts], gatherMap);
  return { tokenStarts, tokens };
}

/** Tokens by other numbers; the same ones where no number is another. */
function* renumbered(tokens: Int32Array, numberOf: Int32Array): Steps<Int32Array> {
  if (numberOf.every((number, word) => number === word)) return tokens;
  const now = new Int32Array(tokens.length);
  yield* inParts(tokens.length, tokensInAStep, (from, to) => renumber(tokens, numberOf, now, from, to));
  return now;
}

/** Words that are given their numbers in one step. */
const tokensInAStep = 1 << 18;

function renumber(tokens: Int32Array, numberOf: Int32Array, now: Int32Array, from: number, to: number): void {
  for (let i = from; i < to; i++) now[i] = tokens[i] === fieldEnd ? fieldEnd : numberOf[tokens[i]!]!;
}

function* indexAnew(old: TextIndex, added: TextIndex, gatherMap: GatherMap): Steps<TextIndex> {
  const known = new Map(old.vocabulary.map((word, w) => [word, w]));
  const words = [...old.vocabulary];
  const ofAdded = Int32Array.from(added.vocabulary, (word) => known.get(word) ?? words.push(word) - 1);
  const ofOld = Int32Array.from(old.vocabulary, (_, w) => w);
  const { tokenStarts, tokens } = yield* pickTokens(old, added, gatherMap, { ofOld, ofAdded });
  return yield* indexTokens(words, tokenStarts, tokens, old.fieldWeights);
}
