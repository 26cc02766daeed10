import { Arena } from '../kernel/arena.js';
import { clearBit, emptyBits, fillSpan, setBit, spanBits, bitsOf, type Bits } from '../base/bits.js';
import { lowerBound, upperBound } from '../base/bounds.js';
import { cleanBits, markIn, PostSet } from '../sets/post-set.js';

/**
 * The values of a number or day field over all posts, each value by its rank among the distinct ones, and the posts in
 * the order of their values, so that "at most v" is a run from the start.
 */
export interface SortedColumn {
  size: number;
  /** Every value there is, ascending. */
  distinct: Float64Array;
  /** By post: the rank of its value; as many as there are values where it has none. */
  ranks: Uint16Array | Uint32Array;
  /** Where those lie in the index's arena; -1 where they don't. */
  ranksAt: number;
  /**
   * Posts with a value, ascending by value, then by number: those of rank `r` are `posts[starts[r] … starts[r + 1])`.
   * Not kept where values fall: there they are known by their numbers.
   */
  posts: Uint32Array;
  starts: Uint32Array;
  /** How many posts have a value. */
  count: number;
  /**
   * Values fall as post numbers rise, and posts without one come last: so it is for the field that numbers posts. The
   * posts of a run of ranks are then a run of numbers.
   */
  descending: boolean;
  /**
   * `steps[i]` holds the first `i × stride` of `posts` as a set: a run from the start is one of these and a few more
   * posts, so it never sets more than `stride` bits one by one. None are needed where values fall.
   */
  steps: Bits[];
  stride: number;
  /** All posts with a value. */
  filled: Bits;
  /** Whether every value is a whole number. */
  whole: boolean;
  /** Whether they are all the whole numbers from the least to the greatest: the place of one is then told by itself. */
  gapless: boolean;
}

/** Steps kept of a column: 16 of them take 2 bytes a post. */
const stepsKept = 16;

/** The ranks of values, however they were found. */
interface Ranked {
  distinct: Float64Array;
  starts: Uint32Array;
  ranks: Uint16Array | Uint32Array;
  /** How many posts have a value. */
  count: number;
  whole: boolean;
}

/** @param order  the posts with a value first, ascending by value, then by number; then all others */
export function buildSortedColumn(values: Float64Array, order: Uint32Array, arena: Arena | null): SortedColumn {
  const size = values.length;
  let count = 0;
  let whole = true;
  for (let p = 0; p < size; p++) {
    if (Number.isNaN(values[p]!)) continue;
    count++;
    whole &&= Number.isInteger(values[p]!);
  }
  const ordered = order.subarray(0, count);
  const { distinct, starts } = distinctOf(values, ordered);
  const ranks = roomForRanks(size, distinct.length).fill(distinct.length);
  for (let r = 0; r < distinct.length; r++) for (let i = starts[r]!; i < starts[r + 1]!; i++) ranks[ordered[i]!] = r;
  return columnOf({ distinct, starts, ranks, count, whole }, () => ordered, arena);
}

/**
 * The same of whole numbers that lie close, such as days, which need no sorting: each is counted at its own place.
 * @param none  stands for "no value"
 * @returns null where they lie far apart
 */
export function buildWholeColumn(
  numbers: Int16Array | Int32Array,
  none: number,
  arena: Arena | null,
): SortedColumn | null {
  const size = numbers.length;
  let [low, high, count] = [Infinity, -Infinity, 0];
  for (let p = 0; p < size; p++) {
    const number = numbers[p]!;
    if (number === none) continue;
    count++;
    if (number < low) low = number;
    if (number > high) high = number;
  }
  const places = count === 0 ? 0 : high - low + 1;
  if (places > size * 4 + 1024) return null;
  const sizes = new Uint32Array(places);
  for (let p = 0; p < size; p++) if (numbers[p] !== none) sizes[numbers[p]! - low]!++;
  const rankOf = new Uint32Array(places);
  const distinct: number[] = [];
  const starts = [0];
  for (let i = 0; i < places; i++) {
    if (sizes[i] === 0) continue;
    rankOf[i] = distinct.length;
    starts.push(starts[distinct.length]! + sizes[i]!);
    distinct.push(low + i);
  }
  const ranks = roomForRanks(size, distinct.length);
  for (let p = 0; p < size; p++) ranks[p] = numbers[p] === none ? distinct.length : rankOf[numbers[p]! - low]!;
  const ranked = { distinct: Float64Array.from(distinct), starts: Uint32Array.from(starts), ranks, count, whole: true };
  return columnOf(ranked, () => orderOf(ranked), arena);
}

function roomForRanks(size: number, distinct: number): Uint16Array | Uint32Array {
  return distinct < 0xffff ? new Uint16Array(size) : new Uint32Array(size);
}

/** The posts with a value, ascending by rank, then by number: a counting sort. */
function orderOf({ starts, ranks, count }: Ranked): Uint32Array {
  const next = starts.slice();
  const posts = new Uint32Array(count);
  const none = starts.length - 1;
  for (let p = 0; p < ranks.length; p++) if (ranks[p]! < none) posts[next[ranks[p]!]!++] = p;
  return posts;
}

/** @param order  gives the posts with a value as `buildSortedColumn` takes them */
function columnOf(
  { distinct, starts, ranks, count, whole }: Ranked,
  order: () => Uint32Array,
  arena: Arena | null,
): SortedColumn {
  const size = ranks.length;
  const descending = areFalling(ranks, distinct.length, count);
  const ordered = descending ? null : order();
  const posts = ordered ? (arena?.adopt(ordered) ?? ordered.slice()) : new Uint32Array(0);
  const stride = Math.max(32, Math.ceil(count / stepsKept));
  const here = arena ? arena.adopt(ranks) : ranks;
  return {
    size,
    distinct,
    ranks: here,
    ranksAt: arena ? arena.placed(here) : -1,
    posts,
    starts,
    count,
    descending,
    steps: descending ? [] : stepsOf(size, posts, stride),
    stride,
    filled: descending ? spanBits(size, 0, count) : bitsOf(size, posts),
    whole,
    gapless: whole && distinct[distinct.length - 1]! - distinct[0]! === distinct.length - 1,
  };
}

/** Whether values fall as post numbers rise, and the posts without one come last. */
function areFalling(ranks: Uint16Array | Uint32Array, none: number, count: number): boolean {
  for (let p = 1; p < ranks.length; p++) {
    if (p < count ? ranks[p]! > ranks[p - 1]! : ranks[p] !== none) return false;
  }
  // as many posts have a value as there are before the rest: if the first had none, one of the rest would have one
  return true;
}

function distinctOf(values: Float64Array, posts: Uint32Array): Pick<SortedColumn, 'distinct' | 'starts'> {
  const distinct = new Float64Array(posts.length);
  const starts = new Uint32Array(posts.length + 1);
  let count = 0;
  for (let i = 0; i < posts.length; i++) {
    const value = values[posts[i]!]!;
    if (count > 0 && distinct[count - 1] === value) continue;
    distinct[count] = value;
    starts[count++] = i;
  }
  starts[count] = posts.length;
  return { distinct: distinct.slice(0, count), starts: starts.slice(0, count + 1) };
}

function stepsOf(size: number, posts: Uint32Array, stride: number): Bits[] {
  const steps: Bits[] = [emptyBits(size)];
  for (let start = 0; start + stride <= posts.length; start += stride) {
    const next = steps[steps.length - 1]!.slice();
    for (let i = start; i < start + stride; i++) setBit(next, posts[i]!);
    steps.push(next);
  }
  return steps;
}

/** The value of a post; NaN where it has none. */
export function valueOfPost({ distinct, ranks }: SortedColumn, post: number): number {
  return distinct[ranks[post]!] ?? NaN;
}

/** How many of a column's posts, in the order of their values, are at most `value`, or, `strictly`, below it. */
function countUpTo({ distinct, starts, gapless }: SortedColumn, value: number, strictly: boolean): number {
  if (!gapless) return starts[strictly ? lowerBound(distinct, value) : upperBound(distinct, value)]!;
  const rank = (strictly ? Math.ceil(value) : Math.floor(value) + 1) - distinct[0]!;
  return starts[Math.max(0, Math.min(distinct.length, rank))]!;
}

/** The first `count` posts in the order of their values. */
function firstPosts(column: SortedColumn, count: number, arena: Arena | null): Bits {
  const filled = column.count;
  if (count === filled) return column.filled;
  if (column.descending) return fillSpan(cleanBits(column.size, arena), filled - count, filled);
  // the nearest step: from the one before posts are put in, from the one after they are taken out
  const step = Math.min(Math.round(count / column.stride), column.steps.length - 1);
  const bits = arena?.copy(column.steps[step]!) ?? column.steps[step]!.slice();
  const from = step * column.stride;
  if (from <= count) markIn(bits, column.posts.subarray(from, count), arena);
  else for (let i = count; i < from; i++) clearBit(bits, column.posts[i]!);
  return bits;
}

/**
 * The posts whose value, or whose span from `start` to `end`, meets a range; both its ends are included, null is open.
 * A span with one end missing is taken as a single value at the other.
 * @param arena  where the set may lie if it is not kept beyond an answer
 */
export function postsWithin(
  start: SortedColumn,
  end: SortedColumn,
  from: number | null,
  to: number | null,
  arena: Arena | null = null,
): PostSet {
  const { size } = start;
  const begun = to === null ? start.count : countUpTo(start, to, false);
  const over = from === null ? 0 : countUpTo(end, from, true);
  if (start === end) {
    const count = Math.max(0, begun - over);
    const filled = start.count;
    if (start.descending) return PostSet.ofSpan(size, filled - over - count, count, arena);
    if (PostSet.isFew(size, count)) return PostSet.ofUnsorted(size, start.posts.subarray(over, over + count), arena);
  }
  const reached = PostSet.ofBits(size, firstPosts(start, begun, arena), begun);
  return over === 0 ? reached : reached.without(PostSet.ofBits(size, firstPosts(end, over, arena), over), arena);
}

/**
 * Of the columns a range counts by, those whose values must be asked of posts: none where posts are numbered by the very
 * values, so that each step is a run of numbers.
 */
export function walkedColumns(ordered: readonly SortedColumn[]): readonly SortedColumn[] {
  const [start, end] = ordered;
  return start && start === end && start.descending ? [] : ordered;
}
