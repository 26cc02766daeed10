import { type Steps } from '../base/steps.js';
import { Arena } from '../kernel/arena.js';
import { lowerBound } from '../base/bounds.js';
import { countsAt, type Counts } from './counts.js';
import { gathered, lowest, treeOf, type Tree } from './lineage.js';
import type { PostSet } from '../sets/post-set.js';
import type { SortedColumn } from './sorted-column.js';
import { stepsOfWalk, stepsOnPackedPostings, type TermColumn } from './term-column.js';
import type { Rows } from './term-rows.js';

/** A column whose numbers go into rows: of terms, or of values by their rank. */
export type RowColumn = TermColumn | SortedColumn;

type Numbers = Uint16Array | Uint32Array;

/** Where the numbers of a column stand among all: number `n` of the column is `first + n`. */
export interface RowPlace {
  first: number;
  count: number;
  /** Of terms that stand under one another, of which rows have the lowest. */
  tree: Tree | null;
  /** Where the numbers of its branching begin. */
  branching: number;
  /** Up to how many posts it is less to count by all than by this column alone. */
  mostForOne: number;
}

/**
 * The numbers of several columns of each post in one row: to count a few posts by all of them, what each post has is
 * fetched from one place in memory and not from one a column. All rows are equally long, so that none need be looked
 * for, lies on more lines of the cache than it must, or is walked any further than others.
 */
export interface PostRows {
  places: ReadonlyMap<RowColumn, RowPlace>;
  /** All numbers are below this; the highest two stand for no more numbers, and for more of them in `long`. */
  count: number;
  /** Those of post `p` begin at `values[p * width]`. */
  width: number;
  values: Uint16Array;
  /** Where they lie in the index's arena; -1 where they don't. */
  at: number;
  /** What posts have that is more than goes into a row, by post. */
  long: ReadonlyMap<number, readonly number[]>;
  /** Up to how many posts it is less to count by all than by each column alone. */
  mostForAll: number;
}

/** Numbers of a column begin at a multiple of this among all: their counts are then read four at a time. */
const step = 4;
/** Rows are a multiple of this long, as the kernel walks them. */
const stride = 8;
/** Of all posts, so many at most may have more than goes into a row. */
const longShare = 1 / 32;
/** The two numbers that are none. */
const signs = 2;

/** How many numbers a column has: terms, or values. */
export function numbersIn(column: RowColumn): number {
  return 'terms' in column ? column.terms.length : column.distinct.length;
}

/**
 * Puts the numbers of some columns in rows; null where they are more than 16 bits can tell.
 * @param before  rows there were: a column may have its numbers nowhere else
 * @param room    bytes they may take of the arena; if they take more, they lie elsewhere
 */
export function* buildPostRows(
  size: number,
  columns: readonly RowColumn[],
  before: PostRows | null,
  arena: Arena,
  room = Infinity,
): Steps<PostRows | null> {
  const { places, count } = placesOf(columns);
  if (count > 0xffff) return null;
  const parts: Part[] = [];
  const lengths = new Uint16Array(size);
  for (const column of columns) {
    const part = partOf(column, places.get(column)!, before);
    addLengths(lengths, part);
    parts.push(part);
    yield;
  }
  const width = widthFor(lengths);
  const [none, more] = [count - 2, count - 1];
  const values = new Uint16Array(size * width).fill(none);
  const long = new Map<number, number[]>();
  for (let p = 0; p < size; p++) {
    if (lengths[p]! <= width) continue;
    long.set(p, []);
    values[p * width + width - 1] = more;
  }
  const filling = { width, values, long, filled: lengths.fill(0) };
  for (const part of parts) {
    if (part.rows.starts) putMany(filling, part.rows.starts, part);
    else putOne(filling, part);
    yield;
  }
  const kept = values.byteLength <= room ? arena.adopt(values) : values;
  for (const column of columns) places.get(column)!.mostForOne = mostPosts(size, width, [column]);
  return {
    places,
    count,
    width,
    values: kept,
    at: arena.placed(kept),
    long,
    mostForAll: mostPosts(size, width, columns),
  };
}

function placesOf(columns: readonly RowColumn[]): { places: Map<RowColumn, RowPlace>; count: number } {
  const places = new Map<RowColumn, RowPlace>();
  let end = 0;
  for (const column of columns) {
    const count = numbersIn(column);
    places.set(column, {
      first: end,
      count,
      tree: 'parents' in column ? treeOf(column.parents) : null,
      branching: 0,
      mostForOne: 0,
    });
    end += Math.ceil(count / step) * step;
  }
  for (const place of places.values()) {
    place.branching = end;
    end += place.tree?.branching.length ?? 0;
  }
  return { places, count: end + signs };
}

/** The numbers of posts in a column as they go into rows: below `below` after `first`, and the others after `rest`. */
interface Part {
  rows: { starts: Uint32Array | null; values: Numbers };
  first: number;
  below: number;
  rest: number;
  /** Numbers from here on are none. */
  end: number;
}

function partOf(column: RowColumn, { first, count, tree, branching }: RowPlace, before: PostRows | null): Part {
  const place = { first, below: count, rest: branching, end: count + (tree?.branching.length ?? 0) };
  if ('ranks' in column) return { ...place, rows: { starts: null, values: column.ranks } };
  const rows = column.rows ?? rowsIn(before!, column);
  if (rows.form === 'one') return { ...place, rows: { starts: null, values: rows.values } };
  return { ...place, rows: tree && rows.form === 'many' ? lowest(tree, rows.starts, rows.values) : rows };
}

/** The rows of one column out of those of several. */
function rowsIn({ places, width, values, long }: PostRows, column: TermColumn): Rows {
  const { first, count, tree } = places.get(column)!;
  const size = values.length / width;
  const starts = new Uint32Array(size + 1);
  const found: number[] = [];
  const seen = new Int32Array(count).fill(-1);
  for (let p = 0; p < size; p++) {
    const row = [...values.subarray(p * width, (p + 1) * width), ...(long.get(p) ?? [])];
    for (const number of row) {
      let term = number - first;
      while (term >= 0 && term < count && seen[term] !== p) {
        seen[term] = p;
        found.push(term);
        term = tree?.parents[term] ?? -1;
      }
    }
    starts[p + 1] = found.length;
  }
  return { form: 'many', starts, values: Uint16Array.from(found) };
}

function addLengths(lengths: Uint16Array, { rows: { starts, values }, end }: Part): void {
  if (starts) for (let p = 0; p < lengths.length; p++) lengths[p]! += starts[p + 1]! - starts[p]!;
  else for (let p = 0; p < lengths.length; p++) if (values[p]! < end) lengths[p]!++;
}

/** The least length that is long enough for nearly all. */
function widthFor(lengths: Uint16Array): number {
  const sorted = lengths.slice().sort();
  const needed = sorted[Math.floor((sorted.length - 1) * (1 - longShare))] ?? 0;
  return Math.max(1, Math.ceil(needed / stride)) * stride;
}

/** Rows as they are being filled. */
interface Filling {
  width: number;
  values: Uint16Array;
  long: Map<number, number[]>;
  /** How many numbers each post has so far. */
  filled: Uint16Array;
}

// the two loops stand alone, each over one form: they go over all numbers of all posts

function putOne(filling: Filling, { rows, first, end }: Part): void {
  const { width, values, filled } = filling;
  for (let p = 0; p < filled.length; p++) {
    const number = rows.values[p]!;
    if (number >= end) continue;
    const at = filled[p]!++;
    if (at < width - 1) values[p * width + at] = first + number;
    else putLast(filling, p, at, first + number);
  }
}

function putMany(filling: Filling, starts: Uint32Array, { rows, first, below, rest }: Part): void {
  const { width, values, filled } = filling;
  for (let p = 0, i = 0; p < filled.length; p++) {
    let at = filled[p]!;
    for (const to = starts[p + 1]!; i < to; i++, at++) {
      const number = rows.values[i]!;
      const put = number < below ? first + number : rest + number - below;
      if (at < width - 1) values[p * width + at] = put;
      else putLast(filling, p, at, put);
    }
    filled[p] = at;
  }
}

/** The last place of a row that is too short tells of the others. */
function putLast({ width, values, long }: Filling, post: number, at: number, number: number): void {
  const more = long.get(post);
  if (more) more.push(number);
  else values[post * width + at] = number;
}

/** What a place of a row takes, as part of a step over a column of its own: they lie in a row, and all are looked at. */
const stepInRow = 0.4;

/** Up to how many posts are counted with fewer steps by all that is in rows than by each of some columns. */
function mostPosts(size: number, width: number, columns: readonly RowColumn[]): number {
  const isLess = (posts: number) => {
    let apart = 0;
    for (const column of columns) {
      if ('ranks' in column) apart += posts;
      // rows of a column's own are given up for these
      else apart += Math.min(column.sharesRows ? stepsOfWalk(column, posts) : Infinity, stepsOnPackedPostings(column));
    }
    return posts * width * stepInRow <= apart;
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

/** Counts over some posts by all that is in rows. */
export class RowCounts {
  readonly #counts: Uint32Array;
  readonly #arena: Arena | null;
  /** Where all columns will be asked for: which of all counts are not 0, looked for in one go. */
  readonly #found: Counts | null;
  /** Places whose counts are those of all terms by now, and not only of what `lowest` left. */
  #whole: Set<RowPlace> | null = null;

  /**
   * @param arena     where the counts may lie
   * @param isForAll  whether all columns will be asked for, and not one alone
   */
  constructor(rows: PostRows, posts: PostSet, arena: Arena | null, isForAll = false) {
    const { list } = posts.listedIn(arena);
    const countsOf = arena?.countRows(list, rows.at, rows.width, rows.count, rows.long.size);
    this.#arena = arena;
    this.#counts = countsOf?.counts ?? Arena.zeros(arena, rows.count);
    if (!countsOf) countRows(rows, list, this.#counts);
    countLong(rows, countsOf?.long ?? list, this.#counts);
    if (isForAll) for (const place of rows.places.values()) this.#gather(place);
    this.#found = isForAll ? countsAt(this.#counts, 0, rows.count, arena) : null;
  }

  /** Those of a column, told by where its numbers stand. */
  of(place: RowPlace): Uint32Array {
    this.#gather(place);
    return part(this.#counts, place.first, place.count);
  }

  /** The same where they lie, with which of them are not 0. */
  countsOf(place: RowPlace): Counts {
    this.#gather(place);
    const { first, count: size } = place;
    const values = this.#counts;
    const found = this.#found?.found;
    if (!found) return countsAt(values, first, size, this.#arena);
    const [from, to] = [lowerBound(found, first), lowerBound(found, first + size)];
    return { values, first, size, found, base: first, from, to };
  }

  #gather(place: RowPlace): void {
    const { tree, first, branching } = place;
    if (!tree || this.#whole?.has(place)) return;
    gathered(tree, this.#counts, first, branching);
    (this.#whole ??= new Set()).add(place);
  }
}

/** As `subarray`, at half its cost. */
function part({ buffer, byteOffset }: Uint32Array, first: number, count: number): Uint32Array {
  return new Uint32Array(buffer, byteOffset + first * 4, count);
}

/** Counts what does not go into the rows of some posts. */
function countLong({ long, count }: PostRows, posts: Uint32Array, counts: Uint32Array): void {
  // as many have more as the sign for it was counted
  if (counts[count - 1] === 0) return;
  for (let i = 0; i < posts.length; i++) {
    const numbers = long.get(posts[i]!);
    if (numbers) for (const number of numbers) counts[number]!++;
  }
}

function countRows({ values, width }: PostRows, list: Uint32Array, counts: Uint32Array): void {
  for (let i = 0; i < list.length; i++) {
    const start = list[i]! * width;
    for (let at = start; at < start + width; at++) counts[values[at]!]!++;
  }
}
