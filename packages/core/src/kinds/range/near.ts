import { daysIn, dayText, numberOf } from '../../dates/calendar.js';
import { readInterval } from '../../dates/interval.js';

/** The range of days that a text which is none most likely means: days that are not, written in other ways, or with other signs. */
export function nearDates(value: string): { value: string; label: string } | null {
  const ends = value
    .trim()
    .split(/\s*(?:\/|–|—|\.\.\.?|\bto\b)\s*/)
    .filter((end) => end !== '');
  const days = ends.slice(0, 2).map(nearDay);
  if (days.length === 0 || days.includes(null)) return null;
  const isOpen = /^(\.\.|\/)/.test(value.trim());
  const near = days.length === 2 ? days.join('/') : isOpen ? `../${days[0]}` : days[0]!;
  return readInterval(near, 0) ? { value: near, label: near } : null;
}

/** A year, month or day; a month or day that is none becomes the last there is. */
function nearDay(text: string): string | null {
  const [, year, month, day] = /^(\d{4})(?:[-./]?(\d{1,2}))?(?:[-./]?(\d{1,2}))?\b/.exec(text) ?? [];
  if (year === undefined) return null;
  if (month === undefined) return year;
  const m = Math.min(12, Math.max(1, Number(month)));
  const padded = `${year}-${String(m).padStart(2, '0')}`;
  if (day === undefined) return padded;
  const d = Math.min(daysIn(Number(year), m), Math.max(1, Number(day)));
  return dayText(numberOf(Number(year), m, d));
}

/** The range of numbers that a text which is none most likely means. */
export function nearNumbers(value: string): { value: string; label: string } | null {
  const numbers = [...value.replace(/(\d),(\d)/g, '$1.$2').matchAll(/(?<![\d.])-?\d+(?:\.\d+)?/g)].map(([one]) => one);
  const [first, second] = numbers;
  if (first === undefined) return null;
  const near =
    second !== undefined
      ? `${first}/${second.replace(/^-/, '')}`
      : /^\s*(\.\.|<|up|max)/i.test(value)
        ? `../${first}`
        : `${first}/${/[+>]|\.\.\s*$/.test(value) ? '..' : first}`;
  return { value: near, label: near };
}
