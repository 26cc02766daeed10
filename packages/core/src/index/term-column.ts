import type { Field, Post, Term, Value } from '../model/post.js';
import { SlugMaker } from '../text/slug.js';
import { emptyBits, setBit, type Bits } from './bits.js';

/**
 * The terms of one field over all posts. A post stands under each term it carries and under all terms above it,
 * once each, so that "has the term or any below it" is one look-up.
 */
export interface TermColumn {
  /** Depth first, parents before children. */
  terms: readonly Term[];
  /** Term number by present slug, then by old slugs. */
  numbers: ReadonlyMap<string, number>;
  /** Number of the term above; -1 at the top. */
  parents: Int32Array;
  depths: Uint8Array;
  /** Row-major: the terms of post `p` are `values[starts[p] … starts[p + 1])`. */
  starts: Uint32Array;
  values: Uint32Array;
  /** Term-major: the posts of term `t`, ascending, are `posts[postStarts[t] … postStarts[t + 1])`. */
  postStarts: Uint32Array;
  posts: Uint32Array;
  /** Posts with any value. */
  filled: Bits;
}

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

  const numbers = new Map<string, number>();
  terms.forEach((term, t) => numbers.set(term.slug, t));
  terms.forEach((term, t) => {
    for (const alias of term.aliases ?? []) if (!numbers.has(alias)) numbers.set(alias, t);
  });
  const parents = new Int32Array(terms.length).fill(-1);
  const depths = new Uint8Array(terms.length);
  terms.forEach((term, t) => {
    const parent = term.parent === null ? undefined : numbers.get(term.parent);
    if (parent === undefined || parent >= t) return;
    parents[t] = parent;
    depths[t] = depths[parent]! + 1;
  });

  const starts = new Uint32Array(posts.length + 1);
  const filled = emptyBits(posts.length);
  const values: number[] = [];
  // lastSeen[t] is the last post that was put under t: a parent of two carried terms is entered once
  const lastSeen = new Int32Array(terms.length).fill(-1);
  posts.forEach((post, p) => {
    const value = post.values[field.key];
    for (const slug of value === undefined ? noTerms : slugsOf(value)) {
      for (let t = numbers.get(slug) ?? -1; t >= 0 && lastSeen[t] !== p; t = parents[t]!) {
        lastSeen[t] = p;
        values.push(t);
      }
    }
    starts[p + 1] = values.length;
    if (starts[p + 1]! > starts[p]!) setBit(filled, p);
  });

  const postStarts = new Uint32Array(terms.length + 1);
  for (const t of values) postStarts[t + 1]!++;
  for (let t = 0; t < terms.length; t++) postStarts[t + 1]! += postStarts[t]!;
  const next = postStarts.slice(0, terms.length);
  const byTerm = new Uint32Array(values.length);
  for (let p = 0; p < posts.length; p++) {
    for (let i = starts[p]!; i < starts[p + 1]!; i++) byTerm[next[values[i]!]!++] = p;
  }
  return {
    terms,
    numbers,
    parents,
    depths,
    starts,
    values: Uint32Array.from(values),
    postStarts,
    posts: byTerm,
    filled,
  };
}

/** How many posts stand under a term. */
export function termSize(column: TermColumn, term: number): number {
  return column.postStarts[term + 1]! - column.postStarts[term]!;
}

/** Adds the posts of a term to a set. */
export function addTerm(column: TermColumn, term: number, target: Bits): void {
  for (let i = column.postStarts[term]!; i < column.postStarts[term + 1]!; i++) setBit(target, column.posts[i]!);
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
