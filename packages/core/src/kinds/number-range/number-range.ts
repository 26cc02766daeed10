import { object, optional, text, whole, withDefault, type TypeOf } from '../../shape/shape.js';
import { nameOf } from '../name.js';
import { range } from '../range/config.js';
import { histogramOf } from '../range/histogram.js';
import { numberCut, numberSteps } from '../range/steps.js';
import { rangeKind, type RangeFacetAnswer } from '../range/range-kind.js';
import { firstReadable, reversed } from '../range/read.js';

const shape = object({
  ...range,
  /** A word after each number. */
  unit: withDefault(text({ max: 30 }), () => ''),
  /** What the slider moves by; without it, 1 for whole numbers. */
  step: optional(whole(1, 1_000_000)),
});
export type NumberRangeConfig = TypeOf<typeof shape> & { kind: 'number-range' };
export type NumberFacetAnswer = RangeFacetAnswer<number>;

/** A stretch of numbers. */
export const numberRange = rangeKind<NumberRangeConfig, number, Pick<NumberRangeConfig, 'unit' | 'step'>>({
  shape,
  noun: 'range of numbers',
  texts: ['unit'],
  isDaily: false,
  types: ['number'],
  fieldNoun: 'a field of numbers',
  // `5/10`, `5/..`, `../10`, or a lone number for just that
  read: ({ key }, values, { notices }) =>
    firstReadable(key, values, notices, { code: 'bad-number', noun: 'a range of numbers' }, (value) => {
      const parts = value.trim().split('/');
      if (parts.length > 2) return undefined;
      const [start, end] = parts.length === 1 ? [parts[0]!, parts[0]!] : (parts as [string, string]);
      const [from, to] = [readEnd(start), readEnd(end)];
      if (from === undefined || to === undefined || (from === null && to === null)) return undefined;
      if (from === null || to === null || from <= to) return { type: 'numbers', from, to };
      notices.push(reversed(key, value));
      return { type: 'numbers', from: to, to: from };
    }),
  endsOf: (selection) => (selection.type === 'numbers' ? [selection.from, selection.to] : [null, null]),
  column: (index, _locale, field, orElse) => index.numbers(field, orElse),
  selected: (selection) => (selection?.type === 'numbers' ? { from: selection.from, to: selection.to } : null),
  cut: ({ start, end }, low, high) => numberCut(low, high, start.whole && end.whole),
  histogram: (columns, under) => {
    const isWhole = columns.start.whole && columns.end.whole;
    const found = histogramOf(columns, under, (low, high) => numberSteps(low, high, isWhole));
    if (!found) return { bounds: null, buckets: [] };
    return {
      bounds: { from: found.low, to: found.high },
      buckets: found.edges.map(({ from, to }, i) => ({ from, to, count: found.counts[i]! })),
    };
  },
  of: 'numbers',
  words: { unit: 'units', text: String, distance: String },
  written: (value) => value,
  why: 'It holds numbers.',
  changes: (was, is, tell) => {
    if (was.kind !== is.kind) return;
    const before = was as NumberRangeConfig;
    const name = nameOf(is, [is.field]);
    tell(`${name} has another unit`, before.unit || 'none', is.unit || 'none');
    tell(`${name} moves by other steps`, String(before.step ?? 'finest'), String(is.step ?? 'finest'));
  },
  settings: ({ unit, step }) => ({ unit, ...(step !== undefined && { step }) }),
});

/** @returns null for an open end, undefined when it can't be read */
function readEnd(end: string): number | null | undefined {
  const bare = end.trim();
  if (bare === '..' || bare === '') return null;
  if (!/^[+-]?\d{1,15}(\.\d{1,10})?$/.test(bare)) return undefined;
  // -0 and 0 are one number, and are written as one
  return Number(bare) + 0;
}
