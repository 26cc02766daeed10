import { hasBit } from '../../engine/base/bits.js';
import { lowerBound } from '../../engine/base/bounds.js';
import { postsUnder, termsOfPost, type TermColumn } from '../../engine/columns/term-column.js';
import { slugsOf, type Selection } from '../../model/selection.js';

import { listed, type Admission, type Miss, type Misses } from '../miss.js';

/** How many of the chosen terms a post must have; of a switch nothing but its other side could be chosen. */
export type TermMatch = 'any' | 'all' | 'one' | 'switch';

/** How posts stand to chosen terms: measured in steps up and down the tree from their own to the nearest they lack. */
export function termMisses(column: TermColumn, selection: Selection, match: TermMatch): Misses {
  const chosen = slugsOf(selection).flatMap((slug) => column.numbers.get(slug) ?? []);
  const steps = chosen.map((wanted) => stepsTo(column, wanted));
  const label = (t: number) => column.terms[t]!.label;
  /** By chosen term: how far each post is from it. Worked out of the posts of terms, since many posts are asked for at once. */
  let measured: Uint16Array[] | undefined;

  /** Of the lowest terms of a post, the one nearest to a chosen term that the post lacks. */
  const nearestOf = (own: readonly number[]): { by: number | null; term: number | null } => {
    let best: { by: number | null; term: number | null } = { by: null, term: null };
    for (const t of lowestOf(column, own)) {
      best.term ??= t;
      for (let i = 0; i < chosen.length; i++) {
        if (own.includes(chosen[i]!)) continue;
        const by = steps[i]!(t);
        if (best.by === null || by < best.by) best = { by, term: t };
      }
    }
    return best;
  };

  const admit = (post: number): Admission | null => {
    const own = termsOfPost(column, post);
    if (match === 'all') {
      const stay = chosen.filter((t) => own.includes(t));
      const left = listed(chosen.filter((t) => !own.includes(t)).map(label));
      if (stay.length === 0 || left === '') return null;
      return { selection: { type: 'terms', terms: slugsIn(column, stay) }, text: `without ${left}` };
    }
    const { term } = nearestOf(own);
    if (term === null || match === 'switch') return null;
    if (selection.type === 'term') {
      return { selection: { type: 'term', term: column.terms[term]!.slug }, text: `${label(term)} instead` };
    }
    if (match === 'one') {
      return { selection: { type: 'terms', terms: slugsIn(column, [term]) }, text: `${label(term)} instead` };
    }
    // one that stands above some that are chosen takes their place
    const others = chosen.filter((t) => !isUnder(column, t, term));
    const text = others.length < chosen.length ? `all of ${label(term)}` : `also ${label(term)}`;
    return { selection: { type: 'terms', terms: slugsIn(column, [...others, term]) }, text };
  };

  return {
    value: (post) => {
      const own = lowestOf(column, termsOfPost(column, post));
      const first = own.filter((t) => chosen.some((c) => c === t || isUnder(column, t, c)));
      const names = [...new Set([...first, ...own])].map(label);
      if (names.length === 0) return null;
      return names.length > 2 ? `${names[0]} +${names.length - 1}` : names.join(', ');
    },
    admit,
    by: (post) => {
      // where one chosen term is enough, a post that does not pass has none of them
      measured ??=
        match === 'all'
          ? chosen.map((_, i) => stepsOfPosts(column, steps[i]!))
          : [stepsOfPosts(column, (t) => Math.min(...steps.map((to) => to(t))))];
      let by = noStep;
      for (let i = 0; i < measured.length; i++) {
        if (match !== 'all' || !holdsPost(column, chosen[i]!, post)) by = Math.min(by, measured[i]![post]!);
      }
      return by === noStep ? null : by;
    },
    passed: (post) => {
      const own = termsOfPost(column, post);
      return `It has ${listed(chosen.filter((t) => own.includes(t)).map(label))}.`;
    },
    failed: (post) => {
      const own = termsOfPost(column, post);
      const { by, term } = nearestOf(own);
      const miss: Miss = { by, unit: 'steps', nearest: term === null ? null : column.terms[term]!.slug };
      if (own.length === 0) return { reason: 'It has no value here.', miss };
      const has = listed(lowestOf(column, own).map(label));
      const missing = listed(chosen.filter((t) => !own.includes(t)).map(label), 'or');
      return {
        reason: missing === '' ? `It has ${has}, which is not what is chosen.` : `It has ${has}, not ${missing}.`,
        miss,
      };
    },
  };
}

function slugsIn(column: TermColumn, terms: readonly number[]): string[] {
  return terms.map((t) => column.terms[t]!.slug).sort();
}

function isUnder(column: TermColumn, term: number, above: number): boolean {
  for (let t = column.parents[term]!; t >= 0; t = column.parents[t]!) if (t === above) return true;
  return false;
}

/** What stands for a post that has no term to begin at. */
const noStep = 0xffff;

/** How many steps each post is from what is chosen, by the nearest of its own lowest terms. O(posts under all terms). */
function stepsOfPosts(column: TermColumn, steps: (from: number) => number): Uint16Array {
  const found = new Uint16Array(column.size).fill(noStep);
  const below = column.terms.map((): number[] => []);
  column.parents.forEach((parent, t) => below[parent]?.push(t));
  for (let t = 0; t < column.terms.length; t++) {
    const by = steps(t);
    const children = below[t]!;
    for (const post of postsUnder(column, [t]).list) {
      if (by < found[post]! && !children.some((child) => holdsPost(column, child, post))) found[post] = by;
    }
  }
  return found;
}

/** Whether a post stands under a term. */
function holdsPost({ sets, postings }: TermColumn, term: number, post: number): boolean {
  const set = sets[term];
  if (set) return hasBit(set, post);
  const list = postings[term];
  return list !== undefined && list !== null && list[lowerBound(list, post)] === post;
}

/** Those of a post’s terms that have none of the others below them. */
function lowestOf(column: TermColumn, own: readonly number[]): number[] {
  return own.filter((t) => !own.some((other) => column.parents[other] === t));
}

/** Steps up and down a tree to one term from any other, each worked out once; all tops hang from one root. */
function stepsTo(column: TermColumn, wanted: number): (from: number) => number {
  const above = new Map<number, number>();
  let up = 0;
  for (let t = wanted; t >= 0; t = column.parents[t]!) above.set(t, up++);
  above.set(-1, up);
  const known = new Map<number, number>();
  return (from) => {
    let steps = known.get(from);
    if (steps !== undefined) return steps;
    steps = 0;
    let t = from;
    for (; !above.has(t); t = column.parents[t]!) steps++;
    steps += above.get(t)!;
    known.set(from, steps);
    return steps;
  };
}
