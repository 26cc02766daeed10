import { inParts, type Steps } from './steps.js';

/** Numbers sorted in one step, and those put together in one. */
const together = 4096;

/**
 * Sorts numbers in place step by step: runs by the language's own sort, then two by two into ever longer ones (merge sort,
 * von Neumann, 1945).
 * @param compare  as for the language's own sort; no two are equal
 */
export function* sortInSteps(numbers: Uint32Array, compare: (a: number, b: number) => number): Steps<void> {
  const size = numbers.length;
  yield* inParts(size, together, (from, to) => numbers.subarray(from, to).sort(compare));
  let [from, into] = [numbers, size > together ? new Uint32Array(size) : numbers];
  for (let width = together; width < size; width *= 2) {
    for (let start = 0; start < size; start += 2 * width) {
      const half = Math.min(size, start + width);
      yield* mergeRuns(from, start, half, Math.min(size, half + width), into, compare);
    }
    [from, into] = [into, from];
  }
  if (from !== numbers) numbers.set(from);
}

/** Puts two sorted runs that stand side by side together. */
function* mergeRuns(
  from: Uint32Array,
  start: number,
  half: number,
  end: number,
  into: Uint32Array,
  compare: (a: number, b: number) => number,
): Steps<void> {
  let [a, b] = [start, half];
  for (let at = start; at < end;) {
    for (const to = Math.min(end, at + together); at < to; at++) {
      const isFirst = b === end || (a < half && compare(from[a]!, from[b]!) < 0);
      into[at] = isFirst ? from[a++]! : from[b++]!;
    }
    yield;
  }
}
