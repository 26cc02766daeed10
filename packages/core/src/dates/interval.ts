import { dayNumber, dayText, daysIn, monthsBefore, numberOf } from './calendar.js';
import { minuteNumber, minuteText, minutesADay } from './minute.js';

/** An interval as an address gives it, in calendar days or in minutes; null is an open end. */
export interface Interval {
  from: string | null;
  to: string | null;
}

/**
 * Reads an interval of days (ISO 8601): `2026-03-01/2026-05-31`, `2026-03-01/..`, `../2026-05-31`; a lone day, month
 * or year is that period, and may stand at either end; `P30D` alone is the last 30 days up to `today`.
 * @param today  day number
 * @returns null when it can't be read, or when both ends are open
 */
export function readInterval(text: string, today: number): Interval | null {
  return readEnds(text, readPeriod, dayText, (duration) => lastPeriod(duration, today));
}

/**
 * The same in minutes of a local clock: an end may also be a minute, `2026-03-01T14:30`, or an hour, `2026-03-01T14`. A
 * day, month or year is all of its minutes.
 */
export function readTimes(text: string, today: number): Interval | null {
  return readEnds(text, readMinutes, minuteText, (duration) => inMinutes(lastPeriod(duration, today)));
}

/** Whether the ends of an interval of days or minutes stand the wrong way round. */
export function isReversed(text: string): boolean {
  const [start, end] = text.split('/').map((part) => readMinutes(part.trim()));
  return Boolean(start && end && start.first > end.last);
}

/** A year, a month, a day, an hour or a minute: the first and last day or minute of it. */
interface Period {
  first: number;
  last: number;
}

function readEnds(
  text: string,
  read: (part: string) => Period | null,
  write: (value: number) => string,
  readLast: (duration: RegExpExecArray) => Period | null,
): Interval | null {
  const t = text.trim();
  const duration = /^P(\d{1,4})([DWMY])$/.exec(t);
  const parts = t.split('/');
  if (parts.length > 2) return null;
  if (parts.length === 1) {
    const period = duration ? readLast(duration) : read(t);
    return period && { from: write(period.first), to: write(period.last) };
  }
  const [start, end] = parts.map((part) => part.trim()) as [string, string];
  const from = isOpen(start) ? null : read(start);
  const to = isOpen(end) ? null : read(end);
  if ((!isOpen(start) && !from) || (!isOpen(end) && !to) || (!from && !to)) return null;
  // a reversed range is turned round whole, so that 2026/2025 covers both years
  const [low, high] = from && to && from.first > to.last ? [to, from] : [from, to];
  return { from: low && write(low.first), to: high && write(high.last) };
}

function isOpen(text: string): boolean {
  return text === '..' || text === '';
}

function readPeriod(text: string): Period | null {
  const day = dayNumber(text);
  if (day !== null) return { first: day, last: day };
  const m = /^(\d{4})(?:-(\d{2}))?$/.exec(text);
  if (!m) return null;
  const year = Number(m[1]);
  if (m[2] === undefined) return { first: numberOf(year, 1, 1), last: numberOf(year, 12, 31) };
  const month = Number(m[2]);
  if (month < 1 || month > 12) return null;
  return { first: numberOf(year, month, 1), last: numberOf(year, month, daysIn(year, month)) };
}

function readMinutes(text: string): Period | null {
  const hour = /^(.{10}T\d\d)(:\d\d)?$/.exec(text);
  if (!hour) return inMinutes(readPeriod(text));
  const first = minuteNumber(hour[1]! + (hour[2] ?? ':00'));
  return first === null ? null : { first, last: hour[2] ? first : first + 59 };
}

function inMinutes(days: Period | null): Period | null {
  return days && { first: days.first * minutesADay, last: (days.last + 1) * minutesADay - 1 };
}

function lastPeriod([, count, unit]: RegExpExecArray, today: number): Period | null {
  const n = Number(count);
  if (n === 0) return null;
  const first =
    unit === 'D'
      ? today - n + 1
      : unit === 'W'
        ? today - 7 * n + 1
        : monthsBefore(today, unit === 'M' ? n : 12 * n) + 1;
  return { first, last: today };
}
