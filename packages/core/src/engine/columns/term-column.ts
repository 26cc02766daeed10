import type { Term, Value } from '../../model/post.js';
import { termList, type TermList } from '../store/term-list.js';
import { noTerm, termNumbers, type Values } from '../store/values.js';
import { SlugMaker } from '../../text/slug.js';
import { Arena } from '../kernel/arena.js';
import { countShared, hasBit, type Bits } from '../base/bits.js';
import { PostSet } from '../sets/post-set.js';
import { finished, type Steps } from '../base/steps.js';
import { rowsOf, type Numbers, type Rows } from './term-rows.js';
import { setsOfRows, type PackedPostings, type TermSets } from './term-sets.js';
import { lowerBound } from '../base/bounds.js';

/**
 * The terms of one field over all posts. A post stands under each term it carries and under all terms above it,
 * once each, so that "has the term or any below it" is one look-up.
 */
export interface TermColumn extends TermList, TermSets {
  /** How many posts there are. */
  size: number;
  /** Null once the index has them in the rows of its posts, and they would only take room here. */
  rows: Rows | null;
  /** Whether the rows are the store's own, and take no room of theirs. */
  sharesRows: boolean;
  /** Where the rows lie in the index's arena; null where they don't. */
  rowsAt: { values: number; starts: number } | null;
}

/** Builds the column of a field from its values. Cost: a few steps for each term a post stands under. */
export function* buildTermColumn(
  terms: TermList,
  values: Values,
  size: number,
  arena: Arena | null,
): Steps<TermColumn> {
  const { rows, isShared } = yield* rowsOf(terms, values);
  const kept = yield* setsOfRows(terms.terms.length, rows, size, arena);
  return adoptedFor(values, columnOf(terms, kept, rows, size, arena, isShared));
}

/** What the index adopted of the values it shares with a column need not stay where it came from as well. */
export function adoptedFor(values: Values, column: TermColumn): TermColumn {
  const { rows, sharesRows } = column;
  if (!rows || !sharesRows) return column;
  if (values.form === 'term' && rows.form === 'one') values.numbers = rows.values;
  if (values.form === 'terms' && rows.form === 'many') {
    values.numbers = rows.values;
    values.starts = rows.starts;
  }
  return column;
}

/** @param sharesRows  whether the rows are the store's own */
export function columnOf(
  { terms, numbers, parents }: TermList,
  kept: TermSets,
  rows: Rows,
  size: number,
  arena: Arena | null,
  sharesRows: boolean,
): TermColumn {
  const column: TermColumn = { size, terms, numbers, parents, rows, sharesRows, rowsAt: null, ...kept };
  if (arena && sharesRows) adoptRows(column, arena);
  return column;
}

/** Puts the rows of a column where the kernel can walk them. */
export function adoptRows(column: TermColumn, arena: Arena): void {
  const { rows } = column;
  if (!rows) return;
  const values = arena.adopt(rows.values);
  column.rows = rows.form === 'one' ? { ...rows, values } : { form: 'many', starts: arena.adopt(rows.starts), values };
  column.rowsAt = placeOfRows(column.rows, arena);
}

/** `starts` is -1 where each post has one number. */
function placeOfRows(rows: Rows, arena: Arena): TermColumn['rowsAt'] {
  const values = arena.placed(rows.values);
  if (rows.form === 'one') return values < 0 ? null : { values, starts: -1 };
  const isHere = values >= 0 && arena.owns(rows.starts);
  return isHere ? { values, starts: rows.starts.byteOffset } : null;
}

/** The posts under any of some terms. One term's own set is handed out as it is. `arena`: where another may lie. */
export function postsUnder(column: TermColumn, terms: readonly number[], arena: Arena | null = null): PostSet {
  const { size, sets, postings, sizes } = column;
  if (terms.length === 0) return PostSet.ofList(size, new Uint32Array(0));
  if (terms.length === 1) {
    const term = terms[0]!;
    const set = sets[term];
    return set ? PostSet.ofBits(size, set, sizes[term]) : PostSet.ofList(size, postings[term]!);
  }
  return PostSet.union(
    size,
    terms.map((t) => postsUnder(column, [t])),
    arena,
  );
}

/** The numbers of the terms that some slugs name, present or old; a slug that names none is left out. */
export function numbersOfSlugs({ numbers }: TermList, slugs: readonly string[]): number[] {
  const found: number[] = [];
  for (const slug of slugs) {
    const number = numbers.get(slug);
    if (number !== undefined) found.push(number);
  }
  return found;
}

/** All terms above some terms. */
export function termsAbove({ parents }: Pick<TermList, 'parents'>, terms: readonly number[]): ReadonlySet<number> {
  const above = new Set<number>();
  for (const term of terms) for (let t = parents[term]!; t >= 0; t = parents[t]!) above.add(t);
  return above;
}

/** The term numbers a post stands under: asked of each term, for a post now and then. */
export function termsOfPost({ sets, postings }: TermColumn, post: number): number[] {
  const found: number[] = [];
  sets.forEach((set, t) => {
    const list = postings[t];
    if (set ? hasBit(set, post) : list && list[lowerBound(list, post)] === post) found.push(t);
  });
  return found;
}

/**
 * What counting by the terms of a column takes, in steps over a post's terms, when it is done by what each term's own
 * posts share with a set: the same for every set. Infinite where that can't be done in the kernel.
 */
export function stepsOnPackedPostings({ packed }: TermColumn): number {
  return packed ? packed.sets.length * kernelWord + packed.lists.length * kernelHit : Infinity;
}

/** What counting by the terms of a column takes by walking the rows of so many posts; infinite where it has none. */
export function stepsOfWalk({ rows }: TermColumn, posts: number): number {
  return rows ? posts * (rows.form === 'one' ? 1 : meanRow(rows.starts, rows.values)) : Infinity;
}

/** How many numbers a post has in the mean, and a step to find them. */
export function meanRow(starts: Uint32Array, values: Numbers): number {
  return values.length / Math.max(1, starts.length - 1) + 1;
}

/**
 * Counts, for every term, the posts of a set that stand under it: by walking its posts, or, of many posts, by what it
 * shares with each term's own, whichever is less to do.
 * @param arena  where to work, and where the counts may lie
 */
export function countTermsOf(column: TermColumn, posts: PostSet, arena: Arena | null): Uint32Array {
  const { rows, rowsAt, terms, packed } = column;
  const steps = stepsOfWalk(column, posts.count) + (posts.isListed ? 0 : posts.count);
  if (packed && stepsOnPackedPostings(column) < steps) {
    const counts = countPackedPostings(packed, posts.bitsIn(arena), terms.length);
    if (counts) return counts;
  }
  // a step over a list is about as dear as a word of a set: whichever has fewer is taken
  const words = terms.length * (column.size >>> 5);
  const isAllSets = column.sets.every((one, t) => one !== null || column.sizes[t] === 0);
  if (!rows || (words < steps && isAllSets)) return countBySharing(column, posts, arena);
  const { list } = posts.listedIn(arena);
  const countsOf = rowsAt && arena?.histogram(list, rowsAt.values, rowsAt.starts, terms.length);
  if (countsOf) return countsOf;
  const counts = Arena.zeros(arena, terms.length);
  if (rows.form === 'one') countOne(rows.values, list, counts);
  else countMany(rows.starts, rows.values, list, counts);
  return counts;
}

/** Counts by what each term shares with a set. */
function countBySharing({ sets, postings, terms }: TermColumn, posts: PostSet, arena: Arena | null): Uint32Array {
  const counts = Arena.zeros(arena, terms.length);
  const { bits } = posts;
  sets.forEach((one, t) => {
    if (one) counts[t] = countShared(one, bits);
    else for (const post of postings[t]!) counts[t]! += (bits[post >>> 5]! >>> (post & 31)) & 1;
  });
  return counts;
}

/** What the kernel takes for a word of a set, and for a post of a list, as part of a step over a post's terms. */
const kernelWord = 0.2;
const kernelHit = 0.8;

/** Null where there is no room to do it. */
function countPackedPostings(packed: PackedPostings, posts: Bits, terms: number): Uint32Array | null {
  const { arena, dense, sparse, sets, lists, ends } = packed;
  const shared = arena.shared(posts, sets);
  const hits = shared && arena.listed(posts, lists, ends);
  if (!shared || !hits) return null;
  const counts = Arena.zeros(arena, terms);
  for (let i = 0; i < dense.length; i++) counts[dense[i]!] = shared[i]!;
  for (let i = 0; i < sparse.length; i++) counts[sparse[i]!] = hits[i]!;
  return counts;
}

// The two loops below are where most of an answer's time goes. They stand alone and take typed arrays only, so that
// the engine compiles each for the very arrays it meets.

/**
 * Counts the posts of a list by a number each has. Those without one have a number past the end.
 */
export function countOne(values: Numbers, list: Uint32Array, counts: Uint32Array): void {
  for (let i = 0; i < list.length; i++) {
    const number = values[list[i]!]!;
    if (number < counts.length) counts[number]!++;
  }
}

export function countMany(starts: Uint32Array, values: Numbers, list: Uint32Array, counts: Uint32Array): void {
  for (let i = 0; i < list.length; i++) {
    const post = list[i]!;
    const end = starts[post + 1]!;
    for (let at = starts[post]!; at < end; at++) counts[values[at]!]!++;
  }
}

/**
 * A field that is no taxonomy facets by its values: each distinct one is a term, in ascending order.
 * @param valueOf  the value of a post
 */
export function buildValueColumn(
  size: number,
  arena: Arena | null,
  valueOf: (post: number) => Value | undefined,
): TermColumn {
  const values = Array.from({ length: size }, (_, p) => valueOf(p));
  const distinct = new Set(values.filter((value) => typeof value === 'string' || typeof value === 'number'));
  const sorted = [...distinct].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
  const maker = new SlugMaker();
  const terms = sorted.map((value): Term => {
    return { slug: maker.make(slugText(value)), label: String(value), parent: null };
  });
  const numberOf = new Map(sorted.map((value, t) => [value, t]));
  return columnByNumbers(terms, size, arena, (p) => {
    const value = values[p];
    return typeof value === 'string' || typeof value === 'number' ? numberOf.get(value)! : -1;
  });
}

/**
 * A column of terms of which each post has one at most.
 * @param termOf  the number of a post's term; -1 where it has none
 */
export function columnByNumbers(
  terms: readonly Term[],
  size: number,
  arena: Arena | null,
  termOf: (post: number) => number,
): TermColumn {
  const numbers = termNumbers(terms.length, size);
  const none = noTerm(numbers);
  for (let p = 0; p < size; p++) {
    const term = termOf(p);
    numbers[p] = term < 0 ? none : term;
  }
  const rows: Rows = { form: 'one', values: numbers, none };
  return columnOf(termList(terms), finished(setsOfRows(terms.length, rows, size, arena)), rows, size, arena, false);
}

/** A number keeps its sign and point apart from other numbers: -1.5 → `minus-1-5`. */
function slugText(value: string | number): string {
  return typeof value === 'number' && value < 0 ? `minus ${-value}` : String(value);
}
