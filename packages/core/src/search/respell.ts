/**
 * The words of a vocabulary nearest to a misspelt one: within edit distance 1 for four letters or more, 2 for eight
 * or more, and of those only the nearest.
 * @returns word numbers, ascending; empty when there is none near enough
 */
export function respell(word: string, vocabulary: readonly string[]): number[] {
  const letters = [...word];
  let allowed = letters.length >= 8 ? 2 : letters.length >= 4 ? 1 : 0;
  let nearest: number[] = [];
  if (allowed === 0) return nearest;
  vocabulary.forEach((other, w) => {
    // a quick look first: most words are too long or too short
    if (Math.abs(other.length - word.length) > 2 * allowed) return;
    const distance = editDistance(letters, [...other], allowed);
    if (distance > allowed) return;
    if (distance < allowed) {
      allowed = distance;
      nearest = [];
    }
    nearest.push(w);
  });
  return nearest;
}

/**
 * Levenshtein's distance, by the row-at-a-time method of Wagner and Fischer, given up as soon as a whole row is
 * beyond what is allowed.
 * @returns the distance, or `most + 1` when it is more than `most`
 */
export function editDistance(a: readonly string[], b: readonly string[], most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const swap = row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(swap, row[j]! + 1, next[j - 1]! + 1));
      least = Math.min(least, next[j]!);
    }
    if (least > most) return most + 1;
    row = next;
  }
  return Math.min(row[b.length]!, most + 1);
}
