import type { Met } from './search.js';
import type { TextIndex } from './text-index.js';
import { wordsOf } from './words.js';

/** Where in a text a search matched: [start, end) in UTF-16 units of the original text, ascending, apart. */
export type Marker = (text: string) => [number, number][];

/**
 * Marks what a search matched. Of a phrase only whole occurrences are marked; of a word that begins a longer one, the
 * whole longer word.
 */
export function markerOf(index: TextIndex, wanted: readonly Met[]): Marker {
  const tests = wanted
    .filter((one) => !one.excluded)
    .map((one) => ({ length: one.numbers.length, meets: meeting(index, one) }));
  return (text) => marksIn(tests, text);
}

/** Whether a word meets the `k`th of a wanted thing's words, and how many of those there are. */
interface Test {
  length: number;
  meets: (word: string, k: number) => boolean;
}

function marksIn(tests: readonly Test[], text: string): [number, number][] {
  const words = wordsOf(text);
  const hit = new Uint8Array(words.length);
  for (const { length, meets } of tests) {
    for (let i = 0; i + length <= words.length; i++) {
      let k = 0;
      while (k < length && meets(words[i + k]!.word, k)) k++;
      if (k === length) hit.fill(1, i, i + length);
    }
  }
  const marks: [number, number][] = [];
  for (let i = 0; i < words.length; i++) {
    if (!hit[i]) continue;
    const { start, end } = words[i]!;
    const last = marks[marks.length - 1];
    // pieces of one folded run share its place
    if (last && last[1] > start) last[1] = Math.max(last[1], end);
    else marks.push([start, end]);
  }
  return marks;
}

/** Tells whether a word meets the `k`th of a wanted thing's words, as `meet` found them to. */
function meeting(index: TextIndex, one: Met): (word: string, k: number) => boolean {
  if (one.phrase) return (word, k) => word === one.words[k];
  const [begin] = one.words;
  if (one.respelled === null)
    return [...begin!].length < 2 ? (word) => word === begin : (word) => word.startsWith(begin!);
  const near = new Set(one.numbers[0]!.map((w) => index.vocabulary[w]!));
  return (word) => near.has(word);
}
