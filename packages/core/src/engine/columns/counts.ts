import type { Arena } from '../kernel/arena.js';

/**
 * Counts by number, as they lie: on their own or among others. To make a view of each part of them costs more than to
 * count a dozen posts.
 */
export interface Counts {
  /** That of number `n`, which is below `size`, is `values[first + n]`. */
  values: Uint32Array;
  first: number;
  size: number;
  /**
   * Which are not 0, ascending, at the places from `from` up to `to`, each with `base` added to its number; null where
   * they were not looked for.
   */
  found: Uint32Array | null;
  base: number;
  from: number;
  to: number;
}

const none = new Uint32Array(0);
let zeros = none;

/** Counts over no posts. */
export function noCounts(size: number): Counts {
  if (zeros.length < size) zeros = new Uint32Array(size);
  return { values: zeros, first: 0, size, found: none, base: 0, from: 0, to: 0 };
}

/**
 * Counts that lie at a place among others, or on their own. Which of them are not 0 is looked for where the kernel does
 * it: what lies after them is looked at too, and is left out again.
 */
export function countsAt(values: Uint32Array, first: number, size: number, arena: Arena | null): Counts {
  const found = arena?.found(values, first, size) ?? null;
  let to = found?.length ?? 0;
  while (to > 0 && found![to - 1]! >= size) to--;
  return { values, first, size, found, base: 0, from: 0, to };
}
