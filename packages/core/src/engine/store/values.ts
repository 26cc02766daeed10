import { dayText } from '../../dates/calendar.js';
import type { Value } from '../../model/post.js';
import { gatherNumbers, gatherRuns, gatherStarts, type GatherMap } from './gather-map.js';
import { packTexts } from './text-packer.js';
import { pickTexts, textAt, type Texts } from './texts.js';
import type { TermList } from './term-list.js';

/** One term a post at most: its number, or `none`. */
export interface OneTerm {
  form: 'term';
  numbers: Uint16Array | Uint32Array;
}

/** The terms of post `p` in their own order: `numbers[starts[p] … starts[p + 1])`. */
export interface ManyTerms {
  form: 'terms';
  starts: Uint32Array;
  numbers: Uint16Array | Uint32Array;
}

/**
 * The values of one field over all posts, in the most compact form that gives each back as it was: terms by number,
 * days and whole numbers in 16 bits or 32, other numbers as they are, yes and no in a byte, all else as text.
 */
export type Values =
  | OneTerm
  | ManyTerms
  | { form: 'days' | 'wholes'; numbers: Wholes }
  | { form: 'numbers'; numbers: Float64Array }
  | { form: 'flags'; flags: Uint8Array }
  | { form: 'texts'; texts: Texts };

/** Whole numbers as narrow as they allow: days from 1880 to 2059 go in 16 bits. */
export type Wholes = Int16Array | Int32Array;

/** Stands for "no value" among 32-bit numbers, and among those of 16 bits. */
export const noNumber = -0x80000000;
const noShort = -0x8000;

/** Stands for "no value" among some whole numbers. */
export function noWhole(numbers: Wholes): number {
  return numbers.BYTES_PER_ELEMENT === 2 ? noShort : noNumber;
}

/** The same in 16 bits, where all fit; `noNumber` stands for "no value" in what is given. */
export function narrowWholes(numbers: Int32Array): Wholes {
  for (let p = 0; p < numbers.length; p++) {
    const number = numbers[p]!;
    if (number !== noNumber && (number <= noShort || number > 0x7fff)) return numbers;
  }
  const narrow = new Int16Array(numbers.length);
  for (let p = 0; p < narrow.length; p++) narrow[p] = numbers[p] === noNumber ? noShort : numbers[p]!;
  return narrow;
}

function widened(numbers: Wholes): Int32Array {
  if (numbers instanceof Int32Array) return numbers;
  const wide = new Int32Array(numbers.length);
  for (let p = 0; p < wide.length; p++) wide[p] = numbers[p] === noShort ? noNumber : numbers[p]!;
  return wide;
}
export const [noFlag, flagNo, flagYes] = [0, 1, 2] as const;

/** Stands for "no term" among term numbers: one past any term. */
export function noTerm(numbers: Uint16Array | Uint32Array): number {
  return numbers.BYTES_PER_ELEMENT === 2 ? 0xffff : 0xffffffff;
}

/** An array for the numbers of some terms, as narrow as they allow. */
export function termNumbers(terms: number, size: number): Uint16Array | Uint32Array {
  return terms < 0xffff ? new Uint16Array(size) : new Uint32Array(size);
}

/** One number a post where no post has more than one term. */
export function narrowTerms(starts: Uint32Array, numbers: Uint16Array | Uint32Array, most: number): Values {
  if (most > 1) return { form: 'terms', starts, numbers };
  const size = starts.length - 1;
  const Numbers = numbers.BYTES_PER_ELEMENT === 2 ? Uint16Array : Uint32Array;
  const own = new Numbers(size).fill(noTerm(numbers));
  for (let p = 0; p < size; p++) if (starts[p + 1]! > starts[p]!) own[p] = numbers[starts[p]!]!;
  return { form: 'term', numbers: own };
}

/** The value of a post as it was read; undefined where it has none. */
export function valueAt(values: Values, post: number, terms: TermList | null): Value | undefined {
  switch (values.form) {
    case 'term': {
      const number = values.numbers[post]!;
      return number === noTerm(values.numbers) ? undefined : [terms!.terms[number]!.slug];
    }
    case 'terms': {
      const [start, end] = [values.starts[post]!, values.starts[post + 1]!];
      return start === end
        ? undefined
        : Array.from(values.numbers.subarray(start, end), (number) => terms!.terms[number]!.slug);
    }
    case 'days':
      return values.numbers[post] === noWhole(values.numbers) ? undefined : dayText(values.numbers[post]!);
    case 'wholes':
      return values.numbers[post] === noWhole(values.numbers) ? undefined : values.numbers[post];
    case 'numbers':
      return Number.isNaN(values.numbers[post]!) ? undefined : values.numbers[post];
    case 'flags':
      return values.flags[post] === noFlag ? undefined : values.flags[post] === flagYes;
    case 'texts':
      return textAt(values.texts, post) || undefined;
  }
}

/** The values of a field as numbers to compare and to count by; NaN where there is none or it is no number. */
export function numbersOf(values: Values): Float64Array | null {
  if (values.form === 'numbers') return values.numbers;
  if (values.form === 'days' || values.form === 'wholes') return withNaN(values.numbers, noWhole(values.numbers), 0);
  return values.form === 'flags' ? withNaN(values.flags, noFlag, flagNo) : null;
}

// a plain loop: to map over typed arrays with a function is many times slower
function withNaN(numbers: Wholes | Uint8Array, none: number, less: number): Float64Array {
  const all = new Float64Array(numbers.length);
  for (let p = 0; p < all.length; p++) all[p] = numbers[p] === none ? NaN : numbers[p]! - less;
  return all;
}

/**
 * The values of posts picked from two stores, both by the same terms.
 * @param terms  how many terms there are, for a field of terms
 */
export function pickValues(old: Values, added: Values, gatherMap: GatherMap, terms: number): Values {
  const size = gatherMap.rows.length;
  if (old.form === 'texts' || added.form === 'texts') {
    return { form: 'texts', texts: pickTexts(textsOf(old), textsOf(added), gatherMap) };
  }
  if (old.form === 'flags' && added.form === 'flags') {
    return { form: 'flags', flags: gatherNumbers(new Uint8Array(size), old.flags, added.flags, gatherMap) };
  }
  if (old.form === 'days' && added.form === 'days') {
    return { form: 'days', numbers: pickWholes(old.numbers, added.numbers, gatherMap) };
  }
  if (old.form === 'wholes' && added.form === 'wholes') {
    return { form: 'wholes', numbers: pickWholes(old.numbers, added.numbers, gatherMap) };
  }
  const [before, after] = [numbersOf(old), numbersOf(added)];
  if (before && after)
    return { form: 'numbers', numbers: gatherNumbers(new Float64Array(size), before, after, gatherMap) };
  if (old.form === 'term' && added.form === 'term') {
    return { form: 'term', numbers: gatherNumbers(termNumbers(terms, size), old.numbers, added.numbers, gatherMap) };
  }
  return pickTerms(manyOf(old), manyOf(added), gatherMap, terms);
}

function pickWholes(old: Wholes, added: Wholes, gatherMap: GatherMap): Wholes {
  if (old instanceof Int16Array && added instanceof Int16Array) {
    return gatherNumbers(new Int16Array(gatherMap.rows.length), old, added, gatherMap);
  }
  return gatherNumbers(new Int32Array(gatherMap.rows.length), widened(old), widened(added), gatherMap);
}

function pickTerms(old: ManyTerms, added: ManyTerms, gatherMap: GatherMap, terms: number): Values {
  const { starts, numbers } = pickMany(old, added, gatherMap, terms);
  let most = 0;
  for (let p = 0; p + 1 < starts.length && most < 2; p++) most = Math.max(most, starts[p + 1]! - starts[p]!);
  return narrowTerms(starts, numbers, most);
}

/** The terms of posts picked from two lists, both by the same terms, of which there are `terms`. */
export function pickMany(
  old: Omit<ManyTerms, 'form'>,
  added: Omit<ManyTerms, 'form'>,
  gatherMap: GatherMap,
  terms: number,
): Omit<ManyTerms, 'form'> {
  const starts = gatherStarts(old.starts, added.starts, gatherMap);
  const numbers = termNumbers(terms, starts[gatherMap.rows.length]!);
  return {
    starts,
    numbers: gatherRuns(numbers, starts, [old.numbers, old.starts], [added.numbers, added.starts], gatherMap),
  };
}

/** Terms a post each or several, as several. */
export function manyOf(values: Values): ManyTerms {
  if (values.form === 'terms') return values;
  if (values.form !== 'term') throw new Error(`A field of terms is kept as ${values.form}.`);
  const none = noTerm(values.numbers);
  const starts = new Uint32Array(values.numbers.length + 1);
  for (let p = 0; p < values.numbers.length; p++) starts[p + 1] = starts[p]! + (values.numbers[p] === none ? 0 : 1);
  return { form: 'terms', starts, numbers: values.numbers.filter((number) => number !== none) };
}

/** Days written out, beside values that are text already. */
function textsOf(values: Values): Texts {
  if (values.form === 'texts') return values.texts;
  if (values.form !== 'days') throw new Error(`A field of text is kept as ${values.form}.`);
  const { numbers } = values;
  const none = noWhole(numbers);
  return packTexts(numbers.length, (p) => (numbers[p] === none ? undefined : dayText(numbers[p]!)));
}

/** Whether a number stands between two places. */
export function isAmong(numbers: ArrayLike<number>, number: number, from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (numbers[i] === number) return true;
  return false;
}

/** Term numbers changed to those of another list of terms: those that are gone are left out, those that are one now once. */
export function renumberTerms(values: Values, to: Int32Array, terms: number): Values {
  const { starts: before, numbers: old } = manyOf(values);
  const starts = new Uint32Array(before.length);
  const numbers = termNumbers(terms, old.length);
  let [end, most] = [0, 0];
  for (let p = 0; p + 1 < before.length; p++) {
    for (let i = before[p]!; i < before[p + 1]!; i++) {
      const number = to[old[i]!]!;
      if (number >= 0 && !isAmong(numbers, number, starts[p]!, end)) numbers[end++] = number;
    }
    starts[p + 1] = end;
    most = Math.max(most, end - starts[p]!);
  }
  return narrowTerms(starts, numbers.slice(0, end), most);
}
