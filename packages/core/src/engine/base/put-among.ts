import type { Steps } from './steps.js';

/** Numbers that are put among the others in one step. */
const putInAStep = 200;

/**
 * Puts a few numbers among many, each where halving finds its place; both stand in one order already. Only so many of the many
 * are looked at as that takes.
 * @param isBefore  whether one of the many comes before one of the few; no two are the same
 */
export function* putAmong(
  many: Uint32Array,
  few: ArrayLike<number>,
  isBefore: (one: number, other: number) => boolean,
): Steps<Int32Array> {
  const all = new Int32Array(many.length + few.length);
  let [at, from] = [0, 0];
  for (let i = 0; i < few.length; i++) {
    const other = few[i]!;
    let [low, high] = [from, many.length];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (isBefore(many[middle]!, other)) low = middle + 1;
      else high = middle;
    }
    all.set(many.subarray(from, low), at);
    at += low - from;
    from = low;
    all[at++] = other;
    if (i % putInAStep === putInAStep - 1) yield;
  }
  all.set(many.subarray(from), at);
  return all;
}
