import { daysIn } from '../../dates/calendar.js';
import { monthNumber } from './months.js';

/** How the dates of a field are written where a file leaves it open: 3/4/2026 is 3 April or March 4. */
export type DayFirst = boolean;

/** No date is written in more characters: longer texts are not even looked at. */
const longestDate = 100;

/** `5 March 2026`, `Do., 5. März 2026`, `5 de marzo de 2026`, `le 1er mai 2026`, `5 марта 2026 г.` */
const dayMonthYear =
  /^(?:\p{L}+[.,]{0,2}\s+)?(\d{1,2})(?:st|nd|rd|th|er|º)?\.?\s+(?:de\s+|d[’'])?([\p{L}\p{M}]{3,14})\.?,?\s+(?:del?\s+)?(\d{4})(?:\s*г\.?)?$/u;

/**
 * Reads a calendar day: `2026-03-05`, `2026/3/5`, `5.3.2026`, `5/3/2026`, `5 March 2026`, `March 5, 2026`, and
 * months by name in two dozen languages.
 * @param day  what is made of a year, a month and a day: `nearestDay` for one that exists in any case
 * @returns `YYYY-MM-DD`, or null when it is no day that exists
 */
export function readDay(text: string, dayFirst: DayFirst, day: MakeDay = realDay): string | null {
  if (text.length > longestDate) return null;
  const t = text.trim();
  let m = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(t);
  if (m) return day(Number(m[1]), Number(m[2]), Number(m[3]));
  m = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/.exec(t);
  if (m) {
    const [a, b] = [Number(m[1]), Number(m[3])];
    return dayFirst || m[2] === '.' ? day(Number(m[4]), b, a) : day(Number(m[4]), a, b);
  }
  // with a month by name the year comes last; to make the expressions that know letters of all scripts is dear
  if (!/\d{4}\D{0,4}$/.test(t)) return null;
  m = dayMonthYear.exec(t);
  if (m) return day(Number(m[3]), monthNumber(m[2]!), Number(m[1]));
  m = /^(?:\p{L}+,\s+)?([\p{L}\p{M}]{3,14})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/u.exec(t);
  return m ? day(Number(m[3]), monthNumber(m[1]!), Number(m[2])) : null;
}

/** Whether a text is a day written with slashes or hyphens, of which either of the first two figures could be the month. */
export function isSlashedDay(text: string): boolean {
  const m = slashedDay.exec(text.length > longestDate ? '' : text.trim());
  return m !== null && Number(m[1]) <= 12 && Number(m[2]) <= 12 && m[1] !== m[2];
}

const slashedDay = /^(\d{1,2})[/-](\d{1,2})[/-]\d{4}$/;

/** Seconds or milliseconds since 1970, between 2001 and 2100: others are numbers like any. */
const sinceEpoch = /^(?:[1-3]\d{9}|40\d{8}|[1-3]\d{12}|40\d{11})$/;

/** Whether a text could be a moment as computers count them; whether it is one, what it is called tells. */
export function isSinceEpoch(text: string): boolean {
  return sinceEpoch.test(text);
}

function momentSince(count: number): string {
  return `${new Date(count < 1e11 ? count * 1000 : count).toISOString().slice(0, 19)}Z`;
}

/**
 * Reads a moment: an ISO 8601 day and time (`T` or a space between), with `Z`, an offset, or no zone, or the
 * mail form of feeds (`Sat, 07 Mar 2026 10:00:00 +0100`).
 * @returns `YYYY-MM-DDTHH:mm:ss` and its zone as it came
 */
export function readMoment(text: string): string | null {
  if (text.length > longestDate) return null;
  const t = text.trim();
  if (sinceEpoch.test(t)) return momentSince(Number(t));
  let m =
    /^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})[T ](\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s?(Z|[+-]\d{2}:?\d{2})?$/i.exec(
      t,
    );
  if (m) {
    const date = realDay(Number(m[1]), Number(m[3]), Number(m[4]));
    return date && join(date, m[5]!.padStart(2, '0'), m[6]!, m[7], m[8]);
  }
  if (!t.includes(':')) return null;
  m =
    /^(?:\p{L}{3},\s+)?(\d{1,2})\s+(\p{L}{3})\s+(\d{4})\s+(\d{2}):(\d{2})(?::(\d{2}))?\s+(GMT|UTC|Z|[+-]\d{4})$/iu.exec(
      t,
    );
  if (!m) return null;
  const date = realDay(Number(m[3]), monthNumber(m[2]!), Number(m[1]));
  return date && join(date, m[4]!, m[5]!, m[6], /^[+-]/.test(m[7]!) ? m[7] : 'Z');
}

/**
 * Tells by a field's days in which order it writes the slashed ones: month first where more have a second figure above 12
 * than a first.
 */
export class DayOrder {
  #monthFirst = 0;
  #dayFirst = 0;

  add(text: string): void {
    if (text.length > longestDate) return;
    const m = slashedDay.exec(text.trim());
    if (!m) return;
    if (Number(m[1]) > 12) this.#dayFirst++;
    else if (Number(m[2]) > 12) this.#monthFirst++;
  }

  /** How many could be read in one order alone. */
  get proof(): { dayFirst: number; monthFirst: number } {
    return { dayFirst: this.#dayFirst, monthFirst: this.#monthFirst };
  }

  get isDayFirst(): DayFirst {
    return this.#monthFirst <= this.#dayFirst;
  }
}

function join(date: string, hour: string, minute: string, second = '00', zone = ''): string | null {
  if (Number(hour) > 23 || Number(minute) > 59 || Number(second) > 59) return null;
  const offset = zone.toUpperCase().replace(/^([+-]\d{2})(\d{2})$/, '$1:$2');
  return `${date}T${hour}:${minute}:${second}${offset}`;
}

/** Makes a day of its parts; null where there is none. */
type MakeDay = (year: number, month: number, date: number) => string | null;

/** As it is, where there is such a day. */
function realDay(year: number, month: number, date: number): string | null {
  if (year < 1 || month < 1 || month > 12 || date < 1 || date > daysIn(year, month)) return null;
  const pad = (n: number, width: number) => String(n).padStart(width, '0');
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(date, 2)}`;
}

/** The last of the month, for a day that comes after it: 31 February is the 28th. */
export function nearestDay(year: number, month: number, date: number): string | null {
  if (month < 1 || month > 12 || date > 31) return null;
  return realDay(year, month, Math.min(date, daysIn(year, month)));
}
