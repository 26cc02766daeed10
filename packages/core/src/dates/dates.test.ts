import fc from 'fast-check';
import { daySteps, numberSteps } from '../kinds/range/steps.js';
import { dayNumber, dayText, monthsBefore, partsOf } from './calendar.js';
import { isReversed, readInterval, readTimes } from './interval.js';
import { minuteNumber, minuteText } from './minute.js';
import { zoneDays } from './zone.js';

const today = dayNumber('2026-03-31')!;

test.each([
  ['2026-03-01/2026-05-31', '2026-03-01', '2026-05-31'],
  ['2026-03-01/..', '2026-03-01', null],
  ['../2026-05-31', null, '2026-05-31'],
  ['2026-05-31/2026-03-01', '2026-03-01', '2026-05-31'],
  ['2026', '2026-01-01', '2026-12-31'],
  ['2024-02', '2024-02-01', '2024-02-29'],
  ['2026-03-05', '2026-03-05', '2026-03-05'],
  ['2025/2026-02', '2025-01-01', '2026-02-28'],
  ['2026/2025', '2025-01-01', '2026-12-31'],
  ['P30D', '2026-03-02', '2026-03-31'],
  ['P4W', '2026-03-04', '2026-03-31'],
  ['P1M', '2026-03-01', '2026-03-31'],
  ['P6M', '2025-10-01', '2026-03-31'],
  ['P1Y', '2025-04-01', '2026-03-31'],
])('%s is from %s to %s', (text, from, to) => {
  expect(readInterval(text, today)).toEqual({ from, to });
});

test.each(['', '..', '../..', 'soon', '2026-02-30', '2026-13', '26', '2026/2027/2028', 'P0D', 'P30X', '2026-3-1'])(
  '%j is no interval',
  (text) => {
    expect(readInterval(text, today)).toBeNull();
  },
);

test.each(['2026-0a-01', '2026/01/01', '+026-01-01', '2026-01-1 ', '2026-02-29', '2100-02-29', ' 2026-1-1', ''])(
  '%j is no day',
  (text) => {
    expect(dayNumber(text)).toBeNull();
  },
);

test('ends the wrong way round are told', () => {
  expect(['2026/2025', '2025/2026', '2026/..', '2026'].map(isReversed)).toEqual([true, false, false, false]);
});

test('the parts of a day are those of the calendar', () => {
  fc.assert(
    fc.property(fc.integer({ min: -800_000, max: 3_000_000 }), (day) => {
      const moment = new Date(day * 86_400_000);
      expect(partsOf(day)).toEqual({
        year: moment.getUTCFullYear(),
        month: moment.getUTCMonth() + 1,
        date: moment.getUTCDate(),
      });
    }),
    { numRuns: 2000 },
  );
});

test('day numbers and days are each other’s inverse', () => {
  fc.assert(
    fc.property(fc.integer({ min: -700_000, max: 2_900_000 }), (day) => expect(dayNumber(dayText(day))).toBe(day)),
  );
  expect(dayText(monthsBefore(dayNumber('2026-03-31')!, 1))).toBe('2026-02-28');
});

test('the day of a moment in a zone is what Intl says, clock changes and odd zones included', () => {
  const zones = ['UTC', 'Europe/Berlin', 'America/St_Johns', 'Pacific/Apia', 'Asia/Kathmandu', 'Australia/Lord_Howe'];
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.integer({ min: Date.UTC(1990, 0), max: Date.UTC(2040, 0) }),
      (zone, moment) => {
        const expected = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(moment);
        expect(dayText(zoneDays(zone).dayAt(moment))).toBe(expected);
      },
    ),
    { numRuns: 1000 },
  );
});

test('histograms: days up to a 62-day spread, months up to six years, years beyond', () => {
  const unit = (low: string, high: string) => {
    const steps = daySteps(dayNumber(low)!, dayNumber(high)!);
    const { from, to } = steps.edges(steps.place(dayNumber(low)!));
    return to === from ? 'days' : to - from < 31 ? 'months' : 'years';
  };
  expect(unit('2026-01-01', '2026-01-01')).toBe('days');
  expect(unit('2026-01-01', '2026-03-03')).toBe('days');
  expect(unit('2026-01-01', '2026-03-04')).toBe('months');
  expect(unit('2020-01-31', '2025-12-01')).toBe('months');
  expect(unit('2020-01-31', '2026-01-01')).toBe('years');
});

test('numbers are cut into at most twenty round steps', () => {
  const edges = (low: number, high: number, whole: boolean) => {
    const steps = numberSteps(low, high, whole);
    return [steps.place(high) - steps.place(low) + 1, steps.edges(steps.place(low))];
  };
  expect(edges(1, 16, true)).toEqual([16, { from: 1, to: 1 }]);
  expect(edges(-3, 97, true)).toEqual([11, { from: -10, to: -1 }]);
  expect(edges(0.3, 6.2, false)).toEqual([13, { from: 0, to: 0.5 }]);
  expect(edges(0.13, 0.19, false)).toEqual([13, { from: 0.13, to: 0.135 }]);
  fc.assert(
    fc.property(
      fc.double({ min: -1e9, max: 1e9, noNaN: true }),
      fc.double({ min: 0, max: 1e9, noNaN: true }),
      fc.boolean(),
      (low, spread, whole) => {
        const [from, to] = whole ? [Math.floor(low), Math.floor(low + spread)] : [low, low + spread];
        expect(edges(from, to, whole)[0]).toBeLessThanOrEqual(20);
      },
    ),
  );
});

test.each([
  ['2026-03-01T14:30/2026-03-01T18:00', '2026-03-01T14:30/2026-03-01T18:00'],
  ['2026-03-01T14', '2026-03-01T14:00/2026-03-01T14:59'],
  ['2026-03-01T14:05', '2026-03-01T14:05/2026-03-01T14:05'],
  ['2026-03-01T08/2026-03-02', '2026-03-01T08:00/2026-03-02T23:59'],
  ['2026-02', '2026-02-01T00:00/2026-02-28T23:59'],
  ['../2026-03-01T07:59', '../2026-03-01T07:59'],
  ['2026-03-01T18:00/2026-03-01T14:30', '2026-03-01T14:30/2026-03-01T18:00'],
  ['P2D', '2026-02-28T00:00/2026-03-01T23:59'],
  ['2026-03-01T24:00', null],
  ['2026-03-01T14:60', null],
  ['2026-02-30T10:00', null],
  ['2026-03T10:00', null],
  ['../..', null],
])('times %s are %s', (text, expected) => {
  const read = readTimes(text, dayNumber('2026-03-01')!);
  expect(read && `${read.from ?? '..'}/${read.to ?? '..'}`).toBe(expected);
});

test('minutes and their texts are each other’s inverse', () => {
  fc.assert(
    fc.property(fc.integer({ min: -900_000_000, max: 4_000_000_000 }), (minute) =>
      expect(minuteNumber(minuteText(minute))).toBe(minute),
    ),
  );
});

test('the minute of a moment in a zone is what Intl says, clock changes and odd zones included', () => {
  const zones = ['UTC', 'Europe/Berlin', 'America/St_Johns', 'Asia/Kathmandu', 'Australia/Lord_Howe'];
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.integer({ min: Date.UTC(1990, 0), max: Date.UTC(2040, 0) }),
      (zone, moment) => {
        const format = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' });
        const minute = zoneDays(zone).minuteOf(new Date(moment).toISOString());
        expect(minuteText(minute!).replace('T', ' ')).toBe(format.format(moment));
      },
    ),
    { numRuns: 500 },
  );
  expect(zoneDays('Europe/Berlin').minuteOf('2026-03-01')).toBe(minuteNumber('2026-03-01T00:00'));
  expect(zoneDays('Europe/Berlin').minuteOf('2026-03-01T09:30:20')).toBe(minuteNumber('2026-03-01T09:30'));
  expect(zoneDays('Europe/Berlin').minuteOf('soon')).toBeNull();
});
