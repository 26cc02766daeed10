import { loose } from './loose.js';

/** Edits up to which a word is taken for a misspelling of another: one in three letters, three at most. */
const allowedEdits = (word: string) => Math.min(3, Math.max(1, Math.floor(word.length / 3)));

/**
 * The one of some words that a misspelt word most likely means: one that is written differently alone, or else the one with
 * the fewest edits, or that it begins; null where none is near.
 */
export function nearestWord(word: string, words: Iterable<string>): string | null {
  const wanted = loose(word);
  if (wanted === '') return null;
  let best: string | null = null;
  let least = allowedEdits(wanted) + 1;
  let begun: string | null = null;
  for (const one of words) {
    const other = loose(one);
    if (other === wanted) return one;
    if (begun === null && wanted.length > 2 && other.startsWith(wanted)) begun = one;
    const edits = editDistance(wanted, other, least);
    if (edits < least) [best, least] = [one, edits];
  }
  return best ?? begun;
}

/**
 * How many letters must be put in, left out, changed or exchanged with the next to make one word of another (optimal string
 * alignment distance).
 * @param most  the answer is this where it would be more
 */
export function editDistance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) >= most) return most;
  let [twoBack, back]: [number[], number[]] = [[], Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let edits = Math.min(back[j]! + 1, row[j - 1]! + 1, back[j - 1]! + (same ? 0 : 1));
      const isSwap = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      if (isSwap) edits = Math.min(edits, twoBack[j - 2]! + 1);
      row.push(edits);
    }
    if (Math.min(...row) >= most) return most;
    [twoBack, back] = [back, row];
  }
  return Math.min(most, back[b.length]!);
}
