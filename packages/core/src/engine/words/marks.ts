import type { Met } from './search.js';
import type { TextIndex } from './text-index.js';
import { isAscii, plainRuns, wordsOf } from './words.js';

/** Where in a text a search matched: [start, end) in UTF-16 units of the original text, ascending, apart. */
export type Marker = (text: string) => [number, number][];

/**
 * Marks what a search matched. Of a phrase only whole occurrences are marked; of a word that begins a longer one, the
 * whole longer word.
 */
export function markerOf(index: TextIndex, wanted: readonly Met[]): Marker {
  const tests = wanted.filter((one) => !one.excluded).map((one) => testOf(index, one));
  const begins = tests.flatMap((test) => test.begin ?? []);
  if (begins.length < tests.length) return (text) => marksIn(tests, text);
  return (text) => (isAscii(text) ? plainMarks(begins, text.toLowerCase()) : marksIn(tests, text));
}

/** Whether a word meets the `k`th of a wanted thing's words, and how many of those there are. */
interface Test {
  length: number;
  meets: (word: string, k: number) => boolean;
  /** What a single word is to begin with, where that is all there is to it. */
  begin: Begin | null;
}

interface Begin {
  text: string;
  /** A single letter stands for itself alone. */
  isWhole: boolean;
}

/** Words meet what is wanted as `meet` found those of the index to. */
function testOf(index: TextIndex, one: Met): Test {
  const { length } = one.words;
  if (one.phrase) return { length, meets: (word, k) => word === one.words[k], begin: null };
  if (one.respelled !== null) {
    const near = new Set(one.met[0]!.flatMap(({ first, end }) => index.vocabulary.slice(first, end)));
    return { length, meets: (word) => near.has(word), begin: null };
  }
  const text = one.words[0]!;
  const isWhole = [...text].length < 2;
  const meets = isWhole ? (word: string) => word === text : (word: string) => word.startsWith(text);
  return { length, meets, begin: { text, isWhole } };
}

/** The words of a lower-case text of plain letters that begin as wanted: found where they stand, not cut out first. */
function plainMarks(begins: readonly Begin[], text: string): [number, number][] {
  const marks: [number, number][] = [];
  plainRuns(text, (start, end) => {
    for (let i = 0; i < begins.length; i++) {
      const begin = begins[i]!;
      const rest = end - start - begin.text.length;
      if (rest < 0 || (rest > 0 && begin.isWhole) || !text.startsWith(begin.text, start)) continue;
      marks.push([start, end]);
      return;
    }
  });
  return marks;
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
