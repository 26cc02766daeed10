import type { Arena } from '../kernel/arena.js';
import { wordsOf, type Bits } from '../base/bits.js';
import { inParts, type Steps } from '../base/steps.js';
import type { Numbers, Rows } from './term-rows.js';

/** The posts of each of some terms. */
export interface TermSets {
  /** How many posts stand under each term. */
  sizes: Uint32Array;
  /** The posts under a term, ascending: kept for terms on few posts, null for the others. */
  postings: (Uint32Array | null)[];
  /** The posts under a term as a set: kept for terms on many posts, null for the others. */
  sets: (Bits | null)[];
  /** The same as it lies in the index's arena; null where it does not. */
  packed: PackedPostings | null;
}

/** Sets and lists of a column as they lie in an arena, each kind in a row, so that one call counts all. */
export interface PackedPostings {
  arena: Arena;
  /** Terms kept as sets, and those kept as lists, in the order they lie in. */
  dense: readonly number[];
  sparse: readonly number[];
  sets: Int32Array;
  lists: Int32Array;
  /** Addresses where the lists end. */
  ends: Int32Array;
}

/**
 * Share of posts from which a set is both smaller and quicker than a list: at 1 in 32 they take the same room.
 */
const denseShare = 1 / 32;

/** Posts gone along in one step. */
const postsInAStep = 20_000;

/** Turns rows over: from the terms of each post to the posts of each term. */
/** Posts gone along in one step. */
export function* setsOfRows(terms: number, rows: Rows, size: number, arena: Arena | null): Steps<TermSets> {
  const { kept, fill } = roomForTerms(sizesIn(terms, rows), size, arena);
  yield;
  if (rows.form === 'one') {
    yield* inParts(rows.values.length, postsInAStep, (from, to) => fillOne(fill, rows.values, from, to));
  } else {
    yield* inParts(rows.starts.length - 1, postsInAStep, (from, to) =>
      fillMany(fill, rows.starts, rows.values, from, to),
    );
  }
  return kept;
}

/** How many posts stand under each term. */
export function sizesIn(terms: number, { values }: Rows): Uint32Array {
  const sizes = new Uint32Array(terms);
  for (let i = 0; i < values.length; i++) if (values[i]! < terms) sizes[values[i]!]!++;
  return sizes;
}

/** Where the posts of each term go: from `next` on, among the words of sets or the posts of lists. */
export interface Fill {
  isSet: Uint8Array;
  next: Uint32Array;
  bits: Bits;
  lists: Uint32Array;
}

/**
 * Makes room for the posts of terms, of which each has so many: empty sets, and lists with anything in them. All lists
 * are one run of memory, and all sets: thousands of small ones cost more than what is in them.
 */
export function roomForTerms(sizes: Uint32Array, size: number, arena: Arena | null): { kept: TermSets; fill: Fill } {
  const words = wordsOf(size);
  const [dense, sparse]: [number[], number[]] = [[], []];
  let listed = 0;
  for (let t = 0; t < sizes.length; t++) {
    if (sizes[t]! > size * denseShare) {
      dense.push(t);
    } else {
      sparse.push(t);
      listed += sizes[t]!;
    }
  }
  const placed = arena && {
    bits: arena.keep(dense.length * words),
    lists: arena.keep(listed),
    ends: arena.keep(sparse.length),
  };
  const bits = placed?.bits ?? new Int32Array(dense.length * words);
  const listWords = placed?.lists ?? new Int32Array(listed);
  const fill: Fill = {
    isSet: new Uint8Array(sizes.length),
    next: new Uint32Array(sizes.length),
    bits,
    lists: new Uint32Array(listWords.buffer, listWords.byteOffset, listed),
  };
  const postings = new Array<Uint32Array | null>(sizes.length).fill(null);
  const sets = new Array<Bits | null>(sizes.length).fill(null);
  dense.forEach((t, i) => {
    fill.isSet[t] = 1;
    fill.next[t] = i * words;
    sets[t] = bits.subarray(i * words, (i + 1) * words);
  });
  let end = 0;
  for (const t of sparse) {
    fill.next[t] = end;
    postings[t] = fill.lists.subarray(end, (end += sizes[t]!));
  }
  let packed: PackedPostings | null = null;
  if (arena && placed?.bits && placed.lists && placed.ends) {
    const { ends } = placed;
    sparse.forEach((t, i) => (ends[i] = listWords.byteOffset + (fill.next[t]! + sizes[t]!) * 4));
    packed = { arena, dense, sparse, sets: bits, lists: listWords, ends };
  }
  return { kept: { sizes, postings, sets, packed }, fill };
}

// as with counting, the loops stand alone, each over one form of rows

function fillOne({ isSet, next, bits, lists }: Fill, values: Numbers, from: number, upTo: number): void {
  const count = next.length;
  for (let p = from; p < upTo; p++) {
    const t = values[p]!;
    if (t >= count) continue;
    if (isSet[t] === 1) bits[next[t]! + (p >>> 5)]! |= 1 << (p & 31);
    else lists[next[t]!++] = p;
  }
}

function fillMany(
  { isSet, next, bits, lists }: Fill,
  starts: Uint32Array,
  values: Numbers,
  from: number,
  upTo: number,
): void {
  for (let p = from, i = starts[from]!; p < upTo; p++) {
    const end = starts[p + 1]!;
    for (; i < end; i++) {
      const t = values[i]!;
      if (isSet[t] === 1) bits[next[t]! + (p >>> 5)]! |= 1 << (p & 31);
      else lists[next[t]!++] = p;
    }
  }
}
