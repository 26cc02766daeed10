import type { Met } from './search.js';
import type { TextIndex } from './text-index.js';
import { wordsOf } from './words.js';

/**
 * Where in a text a search matched: [start, end) in UTF-16 units of the original text, ascending, apart.
 * Of a phrase only whole occurrences are marked; of a word that begins a longer one, the whole longer word.
 */
export function marksIn(index: TextIndex, wanted: readonly Met[], text: string): [number, number][] {
  const words = wordsOf(text);
  const hit = new Uint8Array(words.length);
  for (const one of wanted) {
    if (one.excluded) continue;
    const meets = meeting(index, one);
    for (let i = 0; i + one.numbers.length <= words.length; i++) {
      if (one.numbers.every((_, k) => meets(words[i + k]!.word, k))) hit.fill(1, i, i + one.numbers.length);
    }
  }
  const marks: [number, number][] = [];
  words.forEach(({ start, end }, i) => {
    if (!hit[i]) return;
    const last = marks[marks.length - 1];
    // pieces of one folded run share its place
    if (last && last[1] > start) last[1] = Math.max(last[1], end);
    else marks.push([start, end]);
  });
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
