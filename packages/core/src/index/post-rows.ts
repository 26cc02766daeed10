import { Arena } from '../kernel/arena.js';
import type { PostSet } from './post-set.js';
import type { SortedColumn } from './sorted-column.js';
import { countMany, meanRow, stepsOfWalk, stepsOnBoard, type Rows, type TermColumn } from './term-column.js';

/** A column whose numbers go into rows: of terms, or of values by their rank. */
export type RowColumn = TermColumn | SortedColumn;

/** A column with the numbers each post has in it, all below `count`; where rows have one each, others stand for none. */
interface RowPart {
  column: RowColumn;
  rows: Rows;
  count: number;
}

/**
 * The numbers of several columns of each post in one row: to count a few posts by all of them, what each post has is
 * fetched from one place in memory and not from one a column.
 */
export interface PostRows {
  /** Where the numbers of each column begin among all: number `n` of a column is `first + n` here. */
  firsts: ReadonlyMap<RowColumn, number>;
  /** How many numbers there are in all. */
  count: number;
  /** Those of post `p`: `values[starts[p] … starts[p + 1])`. */
  starts: Uint32Array;
  values: Uint16Array;
  /** Up to how many posts it is less to count by all than by each column alone, and than by one column alone. */
  mostForAll: number;
  mostForOne: ReadonlyMap<RowColumn, number>;
  /** Where they lie in the index's arena; null where they don't. */
  at: { values: number; starts: number } | null;
}

/** Numbers of a column begin at a multiple of this among all: their counts are then read four at a time. */
const step = 4;

/** How many numbers a column has: terms, or values. */
export function numbersIn(column: RowColumn): number {
  return 'terms' in column ? column.terms.length : column.distinct.length;
}

/**
 * Puts the numbers of some columns in rows; null where they are more than 16 bits can tell.
 * @param before  rows there were: a column may have its numbers nowhere else
 * @param room    bytes they may take of the arena; if they take more, they lie elsewhere
 */
export function buildPostRows(
  size: number,
  columns: readonly RowColumn[],
  before: PostRows | null,
  arena: Arena,
  room = Infinity,
): PostRows | null {
  const parts = columns.map((column) => partOf(column, before));
  const firsts = new Map<RowColumn, number>();
  let count = 0;
  for (const part of parts) {
    firsts.set(part.column, count);
    count += Math.ceil(part.count / step) * step;
  }
  if (count >= 0xffff) return null;
  const starts = startsOf(size, parts);
  const values = new Uint16Array(starts[size]!);
  // where the next number of each post goes: its start is moved on, and moved back when all are there
  for (const part of parts) {
    const first = firsts.get(part.column)!;
    if (part.rows.form === 'one') putOne(starts, values, part.rows.values, part.count, first);
    else putMany(starts, values, part.rows.starts, part.rows.values, first);
  }
  starts.copyWithin(1, 0, size);
  starts[0] = 0;
  const fits = starts.byteLength + values.byteLength <= room;
  const [keptStarts, keptValues] = fits ? [arena.adopt(starts), arena.adopt(values)] : [starts, values];
  const place = arena.placed(keptValues);
  const at = place >= 0 && arena.owns(keptStarts) ? { values: place, starts: keptStarts.byteOffset } : null;
  const mean = meanRow(starts, values);
  return {
    firsts,
    count,
    starts: keptStarts,
    values: keptValues,
    at,
    mostForAll: mostPosts(size, mean, columns),
    mostForOne: new Map(columns.map((column) => [column, mostPosts(size, mean, [column])])),
  };
}

function partOf(column: RowColumn, before: PostRows | null): RowPart {
  const count = numbersIn(column);
  if ('ranks' in column) return { column, count, rows: { form: 'one', values: column.ranks, none: count } };
  return { column, count, rows: column.rows ?? rowsIn(before!, column) };
}

/** The rows of one column out of those of several. */
function rowsIn({ firsts, starts, values }: PostRows, column: TermColumn): Rows {
  const first = firsts.get(column)!;
  const end = first + numbersIn(column);
  const own = new Uint32Array(starts.length);
  const found: number[] = [];
  for (let p = 0; p + 1 < starts.length; p++) {
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      if (values[i]! >= first && values[i]! < end) found.push(values[i]! - first);
    }
    own[p + 1] = found.length;
  }
  return { form: 'many', starts: own, values: Uint16Array.from(found) };
}

function startsOf(size: number, parts: readonly RowPart[]): Uint32Array {
  const starts = new Uint32Array(size + 1);
  for (const { rows, count } of parts) {
    if (rows.form === 'one') {
      for (let p = 0; p < size; p++) if (rows.values[p]! < count) starts[p + 1]!++;
    } else {
      for (let p = 0; p < size; p++) starts[p + 1]! += rows.starts[p + 1]! - rows.starts[p]!;
    }
  }
  for (let p = 0; p < size; p++) starts[p + 1]! += starts[p]!;
  return starts;
}

type Numbers = Uint16Array | Uint32Array;

function putOne(next: Uint32Array, values: Uint16Array, numbers: Numbers, count: number, first: number): void {
  for (let p = 0; p < numbers.length; p++) {
    const number = numbers[p]!;
    if (number < count) values[next[p]!++] = first + number;
  }
}

function putMany(next: Uint32Array, values: Uint16Array, starts: Uint32Array, numbers: Numbers, first: number): void {
  for (let p = 0, i = 0; p + 1 < starts.length; p++) {
    let at = next[p]!;
    for (const end = starts[p + 1]!; i < end; i++) values[at++] = first + numbers[i]!;
    next[p] = at;
  }
}

/** What a step along a row takes, as part of a step over a column of its own: it lies beside the one before it. */
const stepInRow = 0.6;

/** Up to how many posts are counted with fewer steps by all that is in rows than by each of some columns. */
function mostPosts(size: number, meanInRow: number, columns: readonly RowColumn[]): number {
  const isLess = (posts: number) => {
    let apart = 0;
    for (const column of columns) {
      if ('ranks' in column) apart += posts;
      // rows of a column's own are given up for these
      else apart += Math.min(column.sharesRows ? stepsOfWalk(column, posts) : Infinity, stepsOnBoard(column));
    }
    return posts * meanInRow * stepInRow <= apart;
  };
  // one way grows evenly with the posts and the others ever less, so that where they meet is found by halving
  let [low, high] = [0, size];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (isLess(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Counts some posts by all that is in rows. */
export function tallyRows(rows: PostRows, posts: PostSet, arena: Arena | null): Uint32Array {
  const { list } = posts.listedIn(arena);
  const tallied = rows.at && arena?.tally(list, rows.at.values, rows.at.starts, rows.count);
  if (tallied) return tallied;
  const counts = Arena.zeros(arena, rows.count);
  countMany(rows.starts, rows.values, list, counts);
  return counts;
}
