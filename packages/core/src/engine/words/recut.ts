import { inParts, type Steps } from '../base/steps.js';
import { fieldEnd, firstFrom, indexTokens, longer, type TextIndex } from './text-index.js';
import { foldedWords } from './words.js';

/** Posts whose words are put together in one step. */
const postsInAStep = 1000;

/**
 * The words of some posts of an index, of which some fields read otherwise now. Those alone are cut into words again, each text
 * once: terms are read by many posts. The words of the others are taken over.
 * @param readers  a field each, in the order of the index: what a post reads as now; null for one that reads as before
 */
export function* recut(
  old: TextIndex,
  posts: Uint32Array,
  readers: readonly (((post: number) => string) | null)[],
): Steps<TextIndex> {
  const words = [...old.vocabulary];
  const fresh = new Map<string, number>();
  const numberOf = (word: string): number => {
    const place = firstFrom(old.vocabulary, word);
    if (old.vocabulary[place] === word) return place;
    let number = fresh.get(word);
    if (number === undefined) fresh.set(word, (number = words.push(word) - 1));
    return number;
  };
  const cut = new Map<string, readonly number[]>();
  const numbersOf = (text: string): readonly number[] => {
    let numbers = cut.get(text);
    if (!numbers) cut.set(text, (numbers = foldedWords(text).map(numberOf)));
    return numbers;
  };
  const tokenStarts = new Uint32Array(posts.length + 1);
  let tokens = new Int32Array(posts.length * 8 + 64);
  let end = 0;
  yield* inParts(posts.length, postsInAStep, (from, to) => {
    for (let i = from; i < to; i++) {
      const post = posts[i]!;
      let at = old.tokenStarts[post]!;
      for (const read of readers) {
        const start = at;
        while (old.tokens[at] !== fieldEnd) at++;
        const found = read ? numbersOf(read(post)) : old.tokens.subarray(start, at);
        at++;
        if (end + found.length + 1 > tokens.length) tokens = longer(tokens, (end + found.length + 1) * 2);
        tokens.set(found, end);
        end += found.length;
        tokens[end++] = fieldEnd;
      }
      tokenStarts[i + 1] = end;
    }
  });
  return yield* indexTokens(words, tokenStarts, tokens.slice(0, end), old.fieldWeights);
}
