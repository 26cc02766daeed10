import { bitsOf, emptyBits, setBit, withoutBits, type Bits } from './bits.js';

/**
 * The values of a number or day field over all posts, and the posts in the order of their values, so that "at most v"
 * is a run from the start.
 */
export interface SortedColumn {
  size: number;
  /** By post; NaN where there is none. */
  values: Float64Array;
  /** Posts with a value, ascending by value, then by number. */
  posts: Uint32Array;
  /** Their values, alike ascending. */
  sorted: Float64Array;
  /**
   * `steps[i]` holds the first `i × stride` of `posts` as a set: a run from the start is one of these and a few more
   * posts, so it never sets more than `stride` bits one by one.
   */
  steps: Bits[];
  stride: number;
  /** All posts with a value. */
  filled: Bits;
  /** Whether every value is a whole number. */
  whole: boolean;
}

/** Steps kept of a column: 32 of them take 4 bytes a post. */
const stepsKept = 32;

export function buildSortedColumn(values: Float64Array): SortedColumn {
  const size = values.length;
  let filledCount = 0;
  let whole = true;
  for (let p = 0; p < size; p++) {
    if (Number.isNaN(values[p]!)) continue;
    filledCount++;
    whole &&= Number.isInteger(values[p]!);
  }
  const posts = new Uint32Array(filledCount);
  let at = 0;
  for (let p = 0; p < size; p++) if (!Number.isNaN(values[p]!)) posts[at++] = p;
  posts.sort((a, b) => values[a]! - values[b]! || a - b);
  const sorted = Float64Array.from(posts, (p) => values[p]!);
  const stride = Math.max(32, Math.ceil(filledCount / stepsKept));
  const steps: Bits[] = [emptyBits(size)];
  for (let start = 0; start + stride <= filledCount; start += stride) {
    const next = steps[steps.length - 1]!.slice();
    for (let i = start; i < start + stride; i++) setBit(next, posts[i]!);
    steps.push(next);
  }
  return { size, values, posts, sorted, steps, stride, filled: bitsOf(size, posts), whole };
}

/** The posts with a value of at most `value`, or, `strictly`, below it. */
function upTo(column: SortedColumn, value: number, strictly: boolean): Bits {
  const count = strictly ? lowerBound(column.sorted, value) : upperBound(column.sorted, value);
  if (count === column.posts.length) return column.filled;
  const step = Math.floor(count / column.stride);
  const bits = column.steps[step]!.slice();
  for (let i = step * column.stride; i < count; i++) setBit(bits, column.posts[i]!);
  return bits;
}

/**
 * The posts whose value, or whose span from `start` to `end`, meets a range; both its ends are included, null is open.
 * A span with one end missing is taken as a single value at the other.
 */
export function postsWithin(start: SortedColumn, end: SortedColumn, from: number | null, to: number | null): Bits {
  const begun = to === null ? start.filled : upTo(start, to, false);
  return from === null ? begun : withoutBits(begun, upTo(end, from, true));
}

/** First place whose value is not below `value`. */
export function lowerBound(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (sorted[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** First place whose value is above `value`. */
export function upperBound(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (sorted[middle]! <= value) low = middle + 1;
    else high = middle;
  }
  return low;
}
