import { isReversed, readTimes } from '../../dates/interval.js';
import { minuteNumber, minuteText } from '../../dates/minute.js';
import { object, type TypeOf } from '../../shape/shape.js';
import { range } from '../range/config.js';
import { histogramOf } from '../range/histogram.js';
import { firstReadable, reversed } from '../range/read.js';
import { rangeKind, type RangeFacetAnswer } from '../range/range-kind.js';
import { minuteSteps } from '../range/steps.js';

const shape = object(range);
export type TimeRangeConfig = TypeOf<typeof shape> & { kind: 'time-range' };
export type TimeFacetAnswer = RangeFacetAnswer<string>;

/** A stretch of time to the minute, by the clock of the lens's zone. Both minutes are included, as days are. */
export const timeRange = rangeKind<TimeRangeConfig, string, object>({
  shape,
  noun: 'range of times',
  texts: [],
  // the last days up to today are other ones tomorrow
  isDaily: true,
  types: ['datetime'],
  fieldNoun: 'a field of dates with a time',
  read: ({ key }, values, { today, notices }) =>
    firstReadable(key, values, notices, { code: 'bad-date', noun: 'a range of times' }, (value) => {
      const interval = readTimes(value, today);
      if (!interval) return undefined;
      if (isReversed(value)) notices.push(reversed(key, value));
      return { type: 'times', ...interval };
    }),
  endsOf: (selection) => {
    if (selection.type !== 'times') return [null, null];
    const end = (minute: string | null) => (minute === null ? null : minuteNumber(minute));
    return [end(selection.from), end(selection.to)];
  },
  column: (index, { zone }, field, orElse) => index.minutes(field, zone, orElse),
  selected: (selection) => (selection?.type === 'times' ? { from: selection.from, to: selection.to } : null),
  histogram: (columns, under) => {
    const found = histogramOf(columns, under, minuteSteps);
    if (!found) return { bounds: null, buckets: [] };
    return {
      bounds: { from: minuteText(found.low), to: minuteText(found.high) },
      buckets: found.edges.map(({ first, last }, i) => ({ from: first!, to: last!, count: found.counts[i]! })),
    };
  },
  of: 'times',
  words: { unit: 'minutes', text: (minute) => minuteText(minute).replace('T', ' '), distance: distanceText },
  written: minuteText,
  // days suit it better, until someone wants the hours
  why: null,
  changes: () => undefined,
  settings: () => ({}),
});

/** Minutes in the largest unit that tells them to a tenth: `40 minutes`, `3 hours`, `12 days`. */
function distanceText(minutes: number): string {
  const [count, noun] =
    minutes < 90 ? [minutes, 'minute'] : minutes < 2880 ? [minutes / 60, 'hour'] : [minutes / 1440, 'day'];
  const rounded = Math.round(count * 10) / 10;
  return `${rounded} ${noun}${rounded === 1 ? '' : 's'}`;
}
