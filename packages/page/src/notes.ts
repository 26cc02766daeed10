import { loose } from '@ivy/core';

/** What to say to whoever builds the page, once each. */
export class Notes {
  readonly said: string[] = [];

  constructor(
    private readonly list: string,
    private readonly tell: (words: string) => void = console.warn,
  ) {}

  say(words: string): void {
    if (this.said.includes(words)) return;
    this.said.push(words);
    this.tell(`Ivy Lens, list “${this.list}”: ${words}`);
  }
}

/** The nearest of some names, for a hint; '' where none is near. */
export function hint(name: string, there: readonly string[]): string {
  let best = '';
  let least = Math.max(2, Math.floor(name.length / 3)) + 1;
  for (const one of there) {
    const distance = editDistance(loose(name), loose(one), least);
    if (distance < least) [best, least] = [one, distance];
  }
  return best === '' ? '' : ` Did you mean “${best}”?`;
}

/** Letters put in, left out or changed (Levenshtein), as far as it is below a bound. */
function editDistance(a: string, b: string, bound: number): number {
  if (Math.abs(a.length - b.length) >= bound) return bound;
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const change = row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(change, row[j]! + 1, next[j - 1]! + 1));
    }
    row = next;
  }
  return row[b.length]!;
}
