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
    const sets = one.numbers.map((numbers) => new Set(numbers.map((w) => index.vocabulary[w]!)));
    for (let i = 0; i + sets.length <= words.length; i++) {
      if (sets.every((set, k) => set.has(words[i + k]!.word))) hit.fill(1, i, i + sets.length);
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
