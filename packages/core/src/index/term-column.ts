import type { Field, Post, Term, Value } from '../model/post.js';
import { SlugMaker } from '../text/slug.js';
import { bitsOf, countShared, orInto, setBit, emptyBits, type Bits } from './bits.js';

/**
 * The terms of each post, in one of two forms. `one`: a term number a post, `none` where it has none; for flat fields
 * with one value each, at two bytes a post. `many`: the terms of post `p`, those above them included, are
 * `values[starts[p] … starts[p + 1])`.
 */
export type Rows =
  | { form: 'one'; values: Uint16Array | Uint32Array; none: number }
  | { form: 'many'; starts: Uint32Array; values: Uint16Array | Uint32Array };

/**
 * The terms of one field over all posts. A post stands under each term it carries and under all terms above it,
 * once each, so that "has the term or any below it" is one look-up.
 */
export interface TermColumn {
  /** How many posts there are. */
  size: number;
  /** Depth first, parents before children. */
  terms: readonly Term[];
  /** Term number by present slug, then by old slugs. */
  numbers: ReadonlyMap<string, number>;
  /** Number of the term above; -1 at the top. */
  parents: Int32Array;
  rows: Rows;
  /** How many posts stand under each term. */
  sizes: Uint32Array;
  /** The posts under a term, ascending: kept for terms on few posts, null for the others. */
  postings: (Uint32Array | null)[];
  /** The posts under a term as a set: kept for terms on many posts, null for the others. */
  sets: (Bits | null)[];
}

/**
 * Share of posts from which a set is both smaller and quicker than a list: at 1 in 32 they take the same room.
 */
const denseShare = 1 / 32;

const noTerms: readonly string[] = [];

/** Builds the column of a field. Cost: posts × terms a post carries, ancestors included. */
export function buildTermColumn(
  field: Field,
  taxonomy: readonly Term[] | undefined,
  posts: readonly Post[],
): TermColumn {
  const { terms, slugsOf } =
    field.type === 'terms'
      ? { terms: depthFirst(taxonomy ?? []), slugsOf: termSlugs }
      : field.type === 'boolean'
        ? { terms: yesAndNo, slugsOf: booleanSlug }
        : termsFromValues(field, posts);
  const numbers = numberTerms(terms);
  const parents = parentsOf(terms, numbers);

  const starts = new Uint32Array(posts.length + 1);
  const sizes = new Uint32Array(terms.length);
  const values: number[] = [];
  // lastSeen[t] is the last post that was put under t: a parent of two carried terms is entered once
  const lastSeen = new Int32Array(terms.length).fill(-1);
  posts.forEach((post, p) => {
    const value = post.values[field.key];
    for (const slug of value === undefined ? noTerms : slugsOf(value)) {
      for (let t = numbers.get(slug) ?? -1; t >= 0 && lastSeen[t] !== p; t = parents[t]!) {
        lastSeen[t] = p;
        sizes[t]!++;
        values.push(t);
      }
    }
    starts[p + 1] = values.length;
  });
  return columnOf(terms, starts, values, sizes);
}

/** Makes a column of its rows: what a snapshot keeps and a build works out. */
export function columnOf(
  terms: readonly Term[],
  starts: Uint32Array,
  values: ArrayLike<number>,
  sizes: Uint32Array,
): TermColumn {
  const size = starts.length - 1;
  const numbers = numberTerms(terms);
  const postings: TermColumn['postings'] = [];
  const sets: TermColumn['sets'] = [];
  for (let t = 0; t < terms.length; t++) {
    const dense = sizes[t]! > size * denseShare;
    postings.push(dense ? null : new Uint32Array(sizes[t]!));
    sets.push(dense ? emptyBits(size) : null);
  }
  const next = new Uint32Array(terms.length);
  for (let p = 0; p < size; p++) {
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const t = values[i]!;
      const posting = postings[t];
      if (posting) posting[next[t]!++] = p;
      else setBit(sets[t]!, p);
    }
  }
  return {
    size,
    terms,
    numbers,
    parents: parentsOf(terms, numbers),
    rows: rowsOf(starts, values, terms.length),
    sizes,
    postings,
    sets,
  };
}

function rowsOf(starts: Uint32Array, values: ArrayLike<number>, terms: number): Rows {
  const Numbers = terms < 0xffff ? Uint16Array : Uint32Array;
  const size = starts.length - 1;
  let one = true;
  for (let p = 0; p < size && one; p++) one = starts[p + 1]! - starts[p]! <= 1;
  if (!one) return { form: 'many', starts, values: Numbers.from(values) };
  const none = Numbers === Uint16Array ? 0xffff : 0xffffffff;
  const row = new Numbers(size).fill(none);
  for (let p = 0; p < size; p++) if (starts[p + 1]! > starts[p]!) row[p] = values[starts[p]!]!;
  return { form: 'one', values: row, none };
}

/** The posts under any of some terms. One term's own set is handed out as it is. */
export function postsUnder(column: TermColumn, terms: readonly number[]): Bits {
  if (terms.length === 1) {
    const [term] = terms;
    return column.sets[term!] ?? bitsOf(column.size, column.postings[term!]!);
  }
  const bits = emptyBits(column.size);
  for (const term of terms) {
    const set = column.sets[term];
    if (set) orInto(bits, set);
    else for (const post of column.postings[term]!) setBit(bits, post);
  }
  return bits;
}

/** The term numbers a post stands under. */
export function termsOfPost({ rows }: TermColumn, post: number): number[] {
  if (rows.form === 'many') return Array.from(rows.values.subarray(rows.starts[post], rows.starts[post + 1]));
  return rows.values[post] === rows.none ? [] : [rows.values[post]!];
}

/**
 * Counts, for every term, the posts of a list that stand under it.
 * @param set  the same posts as a set: where posts are many and terms few, whole words are counted instead
 */
export function countTermsOf(column: TermColumn, list: Uint32Array, set: Bits): Uint32Array {
  const { rows, terms } = column;
  // a step over a list is about as dear as a word of a set: whichever has fewer is taken
  const words = terms.length * set.length;
  const steps = rows.form === 'one' ? list.length : list.length * meanRow(rows);
  if (words < steps && column.sets.every((one, t) => one !== null || column.sizes[t] === 0)) {
    return Uint32Array.from(column.sets, (one) => (one ? countShared(one, set) : 0));
  }
  const counts = new Uint32Array(terms.length + 1);
  if (rows.form === 'one') countOne(rows.values, list, counts, terms.length);
  else countMany(rows.starts, rows.values, list, counts);
  return counts.subarray(0, terms.length);
}

function meanRow(rows: Extract<Rows, { form: 'many' }>): number {
  return rows.values.length / Math.max(1, rows.starts.length - 1) + 1;
}

// The two loops below are where most of an answer's time goes. They stand alone and take typed arrays only, so that
// the engine compiles each for the very arrays it meets.

/** Posts without a value add to the one count past the end, which nobody reads: no test in the loop. */
function countOne(values: Uint16Array | Uint32Array, list: Uint32Array, counts: Uint32Array, spare: number): void {
  for (let i = 0; i < list.length; i++) {
    const term = values[list[i]!]!;
    counts[term < spare ? term : spare]!++;
  }
}

function countMany(
  starts: Uint32Array,
  values: Uint16Array | Uint32Array,
  list: Uint32Array,
  counts: Uint32Array,
): void {
  for (let i = 0; i < list.length; i++) {
    const post = list[i]!;
    const end = starts[post + 1]!;
    for (let at = starts[post]!; at < end; at++) counts[values[at]!]!++;
  }
}

function numberTerms(terms: readonly Term[]): Map<string, number> {
  const numbers = new Map<string, number>();
  terms.forEach((term, t) => numbers.set(term.slug, t));
  terms.forEach((term, t) => {
    for (const alias of term.aliases ?? []) if (!numbers.has(alias)) numbers.set(alias, t);
  });
  return numbers;
}

function parentsOf(terms: readonly Term[], numbers: ReadonlyMap<string, number>): Int32Array {
  return Int32Array.from(terms, (term, t) => {
    const parent = term.parent === null ? undefined : numbers.get(term.parent);
    return parent === undefined || parent >= t ? -1 : parent;
  });
}

const yesAndNo: readonly Term[] = [
  { slug: 'yes', label: 'Yes', parent: null },
  { slug: 'no', label: 'No', parent: null },
];

function termSlugs(value: Value): readonly string[] {
  return Array.isArray(value) ? value : noTerms;
}

function booleanSlug(value: Value): readonly string[] {
  return value === true ? ['yes'] : value === false ? ['no'] : noTerms;
}

/** A field that is no taxonomy facets by its values: each distinct one is a term, in ascending order. */
function termsFromValues(field: Field, posts: readonly Post[]) {
  const distinct = new Set<string | number>();
  for (const post of posts) {
    const value = post.values[field.key];
    if (typeof value === 'string' || typeof value === 'number') distinct.add(value);
  }
  const sorted = [...distinct].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
  const maker = new SlugMaker();
  const slugs = new Map(sorted.map((value) => [value, maker.make(slugText(value))]));
  const terms = sorted.map((value): Term => ({ slug: slugs.get(value)!, label: String(value), parent: null }));
  const slugsOf = (value: Value): readonly string[] => {
    const slug = typeof value === 'string' || typeof value === 'number' ? slugs.get(value) : undefined;
    return slug === undefined ? noTerms : [slug];
  };
  return { terms, slugsOf };
}

/** A number keeps its sign and point apart from other numbers: -1.5 → `minus-1-5`. */
function slugText(value: string | number): string {
  return typeof value === 'number' && value < 0 ? `minus ${-value}` : String(value);
}

/** Puts terms depth first, siblings in given order; a term whose parent is missing stands at the top. */
function depthFirst(taxonomy: readonly Term[]): readonly Term[] {
  const known = new Set(taxonomy.map((term) => term.slug));
  const below = new Map<string | null, Term[]>();
  for (const term of taxonomy) {
    const parent = term.parent !== null && known.has(term.parent) ? term.parent : null;
    const siblings = below.get(parent);
    if (siblings) siblings.push(term);
    else below.set(parent, [term]);
  }
  const sorted: Term[] = [];
  const stack = [...(below.get(null) ?? [])].reverse();
  while (stack.length > 0) {
    const term = stack.pop()!;
    sorted.push(term);
    stack.push(...[...(below.get(term.slug) ?? [])].reverse());
  }
  return sorted;
}
