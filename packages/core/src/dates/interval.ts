import { dayNumber, dayText, daysIn, monthsBefore, numberOf } from './calendar.js';

/** An interval as an address gives it, in calendar days; null is an open end. */
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
  const t = text.trim();
  const duration = /^P(\d{1,4})([DWMY])$/.exec(t);
  if (duration) return lastPeriod(Number(duration[1]), duration[2]!, today);
  const parts = t.split('/');
  if (parts.length > 2) return null;
  if (parts.length === 1) {
    const period = readPeriod(t);
    return period && { from: dayText(period.first), to: dayText(period.last) };
  }
  const [start, end] = parts.map((part) => part.trim()) as [string, string];
  const from = isOpen(start) ? null : readPeriod(start);
  const to = isOpen(end) ? null : readPeriod(end);
  if ((!isOpen(start) && !from) || (!isOpen(end) && !to) || (!from && !to)) return null;
  // a reversed range is turned round whole, so that 2026/2025 covers both years
  const [low, high] = from && to && from.first > to.last ? [to, from] : [from, to];
  return { from: low && dayText(low.first), to: high && dayText(high.last) };
}

/** Whether the ends of an interval stand the wrong way round. */
export function isReversed(text: string): boolean {
  const [start, end] = text.split('/').map((part) => readPeriod(part.trim()));
  return Boolean(start && end && start.first > end.last);
}

function isOpen(text: string): boolean {
  return text === '..' || text === '';
}

function readPeriod(text: string): { first: number; last: number } | null {
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

function lastPeriod(n: number, unit: string, today: number): Interval | null {
  if (n === 0) return null;
  const from =
    unit === 'D'
      ? today - n + 1
      : unit === 'W'
        ? today - 7 * n + 1
        : monthsBefore(today, unit === 'M' ? n : 12 * n) + 1;
  return { from: dayText(from), to: dayText(today) };
}
