import type { Field } from '../../model/post.js';
import { numbersOf, noTerm, type Values } from './values.js';
import { textAt } from './texts.js';
import type { TermList } from './term-list.js';
import { byCodeUnits, fold } from '../../text/slug.js';
import { sortInSteps } from '../base/sorting.js';
import { inParts, type Steps } from '../base/steps.js';

/** A field that posts are put in order by. */
export interface SortKey {
  field: string;
  order: 'asc' | 'desc';
}

/**
 * What posts are put in order by: a number a post, NaN for one with no value. Texts are ranked by their folded form,
 * terms by the folded label of a post's first.
 */
export function* sortKeys(field: Field, values: Values, terms: TermList | null): Steps<Float64Array> {
  const numbers = numbersOf(values);
  if (numbers) return numbers;
  if (values.form === 'texts') {
    const { texts } = values;
    const size = texts.starts.length - 1;
    if (field.type === 'datetime') {
      return Float64Array.from({ length: size }, (_, p) => momentOf(textAt(texts, p)) ?? NaN);
    }
    const read = field.type === 'date' ? (text: string) => text : fold;
    const keys = new Array<string>(size);
    yield* inParts(size, readInAStep, (from, to) => {
      for (let p = from; p < to; p++) keys[p] = read(textAt(texts, p));
    });
    const ranks = yield* rankTexts(keys);
    for (let p = 0; p < size; p++) if (texts.starts[p] === texts.starts[p + 1]) ranks[p] = NaN;
    return ranks;
  }
  const labels = (terms?.terms ?? []).map((term) => fold(term.label));
  const ranks = ranksOf(labels);
  const rankOf = (number: number) => ranks.get(labels[number]!)!;
  if (values.form === 'term') {
    const none = noTerm(values.numbers);
    return Float64Array.from(values.numbers, (number) => (number === none ? NaN : rankOf(number)));
  }
  if (values.form !== 'terms') throw new Error(`A field kept as ${values.form} has no order.`);
  const { starts, numbers: carried } = values;
  return Float64Array.from({ length: starts.length - 1 }, (_, p) =>
    starts[p] === starts[p + 1] ? NaN : rankOf(carried[starts[p]!]!),
  );
}

/** Texts that are read in one step. */
const readInAStep = 2000;

/** By text: its place among all that differ, ascending by code units. */
function* rankTexts(texts: readonly string[]): Steps<Float64Array> {
  const order = new Uint32Array(texts.length);
  for (let i = 0; i < order.length; i++) order[i] = i;
  yield* sortInSteps(order, (a, b) => byCodeUnits(texts[a]!, texts[b]!) || a - b);
  const ranks = new Float64Array(texts.length);
  yield* inParts(texts.length, readInAStep, (from, to) => {
    for (let i = Math.max(1, from); i < to; i++) {
      const [before, text] = [order[i - 1]!, order[i]!];
      ranks[text] = ranks[before]! + (texts[before] === texts[text] ? 0 : 1);
    }
  });
  return ranks;
}

/** The place of each distinct text among them all. */
function ranksOf(texts: readonly string[]): Map<string, number> {
  // the language's own order of texts is by code units
  return new Map([...new Set(texts)].sort().map((text, rank) => [text, rank]));
}

/**
 * Posts in the order of their keys: those with none come last in both directions, ties fall as they stand in `base`.
 */
export function* orderByKeys(keys: Float64Array, base: Uint32Array, direction: 'asc' | 'desc'): Steps<Uint32Array> {
  let filled = 0;
  let [low, high, whole] = [Infinity, -Infinity, true];
  for (let p = 0; p < keys.length; p++) {
    const key = keys[p]!;
    if (Number.isNaN(key)) continue;
    filled++;
    if (key < low) low = key;
    if (key > high) high = key;
    whole &&= Number.isInteger(key);
  }
  yield;
  const sorted =
    whole && high - low <= keys.length * 4 + 1024
      ? yield* counting(keys, base, direction, low, high)
      : yield* comparing(keys, base, direction, filled);
  yield;
  let end = filled;
  for (let i = 0; i < base.length; i++) if (Number.isNaN(keys[base[i]!]!)) sorted[end++] = base[i]!;
  return sorted;
}

/** Whole keys that lie close, such as days and ranks: a counting sort (Seward, 1954) needs two walks and no compares. */
function* counting(
  keys: Float64Array,
  base: Uint32Array,
  direction: 'asc' | 'desc',
  low: number,
  high: number,
): Steps<Uint32Array> {
  const sorted = new Uint32Array(base.length);
  if (high < low) return sorted;
  const next = new Uint32Array(high - low + 2);
  const placeOf = direction === 'asc' ? (key: number) => key - low : (key: number) => high - key;
  for (let p = 0; p < keys.length; p++) if (!Number.isNaN(keys[p]!)) next[placeOf(keys[p]!) + 1]!++;
  yield;
  for (let i = 1; i < next.length; i++) next[i]! += next[i - 1]!;
  yield;
  for (let i = 0; i < base.length; i++) {
    const key = keys[base[i]!]!;
    if (!Number.isNaN(key)) sorted[next[placeOf(key)]!++] = base[i]!;
  }
  return sorted;
}

function* comparing(
  keys: Float64Array,
  base: Uint32Array,
  direction: 'asc' | 'desc',
  filled: number,
): Steps<Uint32Array> {
  const places = new Uint32Array(base.length);
  for (let i = 0; i < base.length; i++) places[base[i]!] = i;
  yield;
  const sign = direction === 'asc' ? 1 : -1;
  const sorted = new Uint32Array(base.length);
  for (let i = 0, at = 0; i < base.length; i++) if (!Number.isNaN(keys[base[i]!]!)) sorted[at++] = base[i]!;
  yield;
  yield* sortInSteps(sorted.subarray(0, filled), (a, b) => sign * (keys[a]! - keys[b]!) || places[a]! - places[b]!);
  return sorted;
}

/** A datetime as milliseconds; one without a zone is read as UTC, so that every executor agrees. */
export function momentOf(datetime: string): number | null {
  const zoned = /(Z|[+-]\d\d:?\d\d)$/.test(datetime) ? datetime : `${datetime}Z`;
  const moment = Date.parse(zoned);
  return Number.isNaN(moment) ? null : moment;
}
