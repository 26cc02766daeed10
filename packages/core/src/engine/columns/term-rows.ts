import type { TermList } from '../store/term-list.js';
import { inParts, type Steps } from '../base/steps.js';
import { noTerm, termNumbers, type Values } from '../store/values.js';

export type Numbers = Uint16Array | Uint32Array;

/**
 * The terms of each post, in one of two forms. `one`: a term number a post, `none` where it has none; for flat fields
 * with one value each, at two bytes a post. `many`: the terms of post `p`, those above them included, are
 * `values[starts[p] … starts[p + 1])`.
 */
export type Rows =
  { form: 'one'; values: Numbers; none: number } | { form: 'many'; starts: Uint32Array; values: Numbers };

/** Rows, and whether they are the very arrays of the values they come from. */
export interface RowsOf {
  rows: Rows;
  isShared: boolean;
}

/** The number of each flag among the terms `yes` and `no`; past them for none. */
const termOfFlag = [0xffff, 1, 0];

/** The terms of each post out of the values of a field of terms or of yes and no. */
export function* rowsOf(terms: TermList, values: Values): Steps<RowsOf> {
  if (values.form === 'flags') {
    const numbers = new Uint16Array(values.flags.length);
    for (let p = 0; p < numbers.length; p++) numbers[p] = termOfFlag[values.flags[p]!]!;
    return { rows: yield* rowsOfOne(terms, numbers), isShared: false };
  }
  if (values.form === 'term') {
    const rows = yield* rowsOfOne(terms, values.numbers);
    return { rows, isShared: rows.form === 'one' };
  }
  if (values.form !== 'terms') throw new Error(`A field kept as ${values.form} has no terms of its own.`);
  const rows = yield* rowsWithAbove(terms, values.starts, values.numbers);
  return { rows, isShared: rows.values === values.numbers };
}

/** Rows of posts that carry one term each. */
function* rowsOfOne(terms: TermList, numbers: Numbers): Steps<Rows> {
  const none = noTerm(numbers);
  if (terms.parents.every((parent) => parent < 0)) return { form: 'one', values: numbers, none };
  const starts = new Uint32Array(numbers.length + 1);
  const values = numbers.slice();
  let at = 0;
  for (let p = 0; p < numbers.length; p++) {
    if (numbers[p] !== none) values[at++] = numbers[p]!;
    starts[p + 1] = at;
  }
  return yield* rowsWithAbove(terms, starts, values.slice(0, at));
}

/** Enters each post under the terms above its own too, once each. Rows that stay as they are are shared. */
function* rowsWithAbove({ parents }: TermList, starts: Uint32Array, numbers: Numbers): Steps<Rows> {
  const size = starts.length - 1;
  const isFlat = parents.every((parent) => parent < 0);
  if (isFlat && !mayRepeat(starts, numbers)) return { form: 'many', starts, values: numbers };
  const depths = depthsOf(parents);
  // lastSeen[t] is the last post that was put under t: a parent of two carried terms is entered once
  const lastSeen = new Int32Array(parents.length).fill(-1);
  const all = new Uint32Array(size + 1);
  yield* inParts(size, postsInAStep, (from, to) => {
    for (let p = from; p < to; p++) {
      const [start, end] = [starts[p]!, starts[p + 1]!];
      let count = 0;
      // most posts have one term, and nothing to enter twice
      if (end - start === 1) count = depths[numbers[start]!]!;
      else {
        for (let i = start; i < end; i++) {
          for (let t = numbers[i]!; t >= 0 && lastSeen[t] !== p; t = parents[t]!) {
            lastSeen[t] = p;
            count++;
          }
        }
      }
      all[p + 1] = all[p]! + count;
    }
  });
  const values = termNumbers(parents.length, all[size]!);
  lastSeen.fill(-1);
  let at = 0;
  yield* inParts(size, postsInAStep, (from, to) => {
    for (let p = from; p < to; p++) {
      const [start, end] = [starts[p]!, starts[p + 1]!];
      for (let i = start; i < end; i++) {
        for (let t = numbers[i]!; t >= 0 && lastSeen[t] !== p; t = parents[t]!) {
          lastSeen[t] = p;
          values[at++] = t;
        }
      }
    }
  });
  return { form: 'many', starts: all, values };
}

/** Posts gone along in one step. */
const postsInAStep = 20_000;

/** Terms of a post that are soonest compared each with each. */
const fewTerms = 16;

/** Whether a post may carry a term twice: looked up where posts have few terms. */
function mayRepeat(starts: Uint32Array, numbers: Numbers): boolean {
  for (let p = 0, start = 0; p + 1 < starts.length; p++) {
    const end = starts[p + 1]!;
    if (end - start > fewTerms) return true;
    for (let i = start + 1; i < end; i++) {
      for (let j = start; j < i; j++) if (numbers[i] === numbers[j]) return true;
    }
    start = end;
  }
  return false;
}

/** How many terms there are from each up to the top, itself included. Parents come before their children. */
function depthsOf(parents: Int32Array): Uint32Array {
  const depths = new Uint32Array(parents.length);
  for (let t = 0; t < depths.length; t++) depths[t] = parents[t]! < 0 ? 1 : depths[parents[t]!]! + 1;
  return depths;
}
