/** By how much a post misses a facet. */
export interface Miss {
  /** Days, units of a number, steps in a tree, or letters of a word; null when the post has nothing to measure by. */
  by: number | null;
  unit: 'days' | 'units' | 'steps' | 'letters';
  /** The value of the post that comes nearest. */
  nearest: string | null;
}

export interface FacetReason {
  key: string;
  passes: boolean;
  /** One sentence for people, with the value that decides. */
  reason: string;
  /** Only where it does not pass. */
  miss?: Miss;
}

/** Names in a sentence: `a, b and c`. */
export function listed(words: readonly string[], last: 'and' | 'or' = 'and'): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`;
}
