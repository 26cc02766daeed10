import { dayNumber, dayText } from '../../dates/calendar.js';
import { isReversed, readInterval } from '../../dates/interval.js';
import { choice, list, object, text, withDefault, type TypeOf } from '../../shape/shape.js';
import { nameOf } from '../name.js';
import { range } from '../range/config.js';
import { histogramOf } from '../range/histogram.js';
import { daySteps } from '../range/steps.js';
import { rangeKind, type RangeFacetAnswer } from '../range/range-kind.js';
import { firstReadable, reversed } from '../range/read.js';

const shape = object({
  ...range,
  /** `day`: one day is picked and not two ends. */
  pick: withDefault(choice('range', 'day'), () => 'range' as const),
  /** Ranges offered by a press: an interval as an address takes it, such as `P30D` or `2026`, or `this-year` and the like. */
  presets: withDefault(
    list(object({ label: text({ min: 1, max: 60 }), range: text({ min: 1, max: 40 }) }), 12),
    () => [],
  ),
});
export type DateRangeConfig = TypeOf<typeof shape> & { kind: 'date-range' };
export type DateFacetAnswer = RangeFacetAnswer<string>;

/** A stretch of days, or one day. */
export const dateRange = rangeKind<DateRangeConfig, string, Pick<DateRangeConfig, 'pick' | 'presets'>>({
  shape,
  noun: 'range of days',
  texts: ['presets/*/label'],
  isDaily: true,
  types: ['date', 'datetime'],
  fieldNoun: 'a field of dates',
  read: ({ key }, values, { today, notices }) =>
    firstReadable(key, values, notices, { code: 'bad-date', noun: 'a range of days' }, (value) => {
      const interval = readInterval(value, today);
      if (!interval) return undefined;
      if (isReversed(value)) notices.push(reversed(key, value));
      return { type: 'days', ...interval };
    }),
  endsOf: (selection) => {
    if (selection.type !== 'days') return [null, null];
    const end = (day: string | null) => (day === null ? null : dayNumber(day));
    return [end(selection.from), end(selection.to)];
  },
  column: (index, { zone }, field, orElse) => index.days(field, zone, orElse),
  selected: (selection) => (selection?.type === 'days' ? { from: selection.from, to: selection.to } : null),
  histogram: (columns, under) => {
    const found = histogramOf(columns, under, daySteps);
    if (!found) return { bounds: null, buckets: [] };
    return {
      bounds: { from: dayText(found.low), to: dayText(found.high) },
      buckets: found.edges.map(({ first, last }, i) => ({ from: first!, to: last!, count: found.counts[i]! })),
    };
  },
  of: 'days',
  words: { unit: 'days', text: dayText, distance: (by) => `${by} ${by === 1 ? 'day' : 'days'}` },
  written: dayText,
  why: 'It holds days.',
  warnings: ({ type, label }) => {
    if (type === 'date' || type === 'datetime') return [];
    const sentence = `“${label}” holds no days that can be read. Mend its type at the source, or read another field.`;
    return [{ code: 'unreadable-dates', broken: true, text: sentence }];
  },
  changes: (was, is, tell) => {
    if (was.kind !== is.kind) return;
    const before = was as DateRangeConfig;
    const name = nameOf(is, [is.field]);
    const ranges = ({ presets }: DateRangeConfig) => presets.map((preset) => preset.label).join(', ') || 'none';
    tell(`${name} is picked another way`, before.pick, is.pick);
    tell(`${name} offers other ranges`, ranges(before), ranges(is));
  },
  settings: ({ pick, presets }) => ({ pick, presets }),
});
