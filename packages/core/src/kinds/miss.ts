import type { Selection } from '../model/selection.js';

/** By how much a post misses a facet. */
export interface Miss {
  /** Days, units of a number, steps in a tree, or letters of a word; null when the post has nothing to measure by. */
  by: number | null;
  unit: 'days' | 'minutes' | 'units' | 'steps' | 'letters';
  /** The value of the post that comes nearest. */
  nearest: string | null;
}

/** A choice that is changed just so far that a post passes. */
export interface Admission {
  selection: Selection;
  /** What is changed, such as `also Lagoon`. */
  text: string;
}

/** Measures and tells of posts how they stand to what is chosen in one facet. Made once for as many posts as one likes. */
export interface Misses {
  /** By how much a post that does not pass misses the choice, as `Miss` says. */
  by(post: number): number | null;
  /** By what value a post passes, in a sentence. */
  passed(post: number): string;
  /** Why a post does not pass. */
  failed(post: number): { reason: string; miss: Miss };
  /** What a post has here, in a word or two; null where it has nothing that can be named so shortly. */
  value(post: number): string | null;
  /** The choice with which a post that does not pass would; null where none can be made of it. */
  admit(post: number): Admission | null;
}

/** What is said of posts where nothing can be measured. */
export function unmeasured(passed: string, failed: string): Misses {
  const miss: Miss = { by: null, unit: 'steps', nearest: null };
  return {
    by: () => null,
    passed: () => passed,
    failed: () => ({ reason: failed, miss }),
    value: () => null,
    admit: () => null,
  };
}

/** Names in a sentence: `a, b and c`. */
export function listed(words: readonly string[], last: 'and' | 'or' = 'and'): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`;
}
