/*
 * Calendar days as whole numbers: days since 1 January 1970 in the proleptic Gregorian calendar. No zone is involved.
 */

const msPerDay = 86_400_000;

/** The number of a day `YYYY-MM-DD`; null when there is no such day. */
export function dayNumber(day: string): number | null {
  const m = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day);
  if (!m) return null;
  const [year, month, date] = [Number(m[1]), Number(m[2]), Number(m[3])];
  if (month < 1 || month > 12 || date < 1 || date > daysIn(year, month)) return null;
  return numberOf(year, month, date);
}

/** The number of a day that is known to exist. Years below 100 are taken as they stand. */
export function numberOf(year: number, month: number, date: number): number {
  const moment = new Date(0);
  moment.setUTCFullYear(year, month - 1, date);
  return Math.round(moment.getTime() / msPerDay);
}

const texts = new Map<number, string>();
/** Days whose text is kept: some 50 years. */
const textsKept = 20_000;

/** A day number as `YYYY-MM-DD`. */
export function dayText(day: number): string {
  let text = texts.get(day);
  if (text === undefined) {
    text = writeDay(day);
    if (texts.size < textsKept) texts.set(day, text);
  }
  return text;
}

function writeDay(day: number): string {
  const { year, month, date } = partsOf(day);
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(date, 2)}`;
}

export function partsOf(day: number): { year: number; month: number; date: number } {
  const moment = new Date(day * msPerDay);
  return { year: moment.getUTCFullYear(), month: moment.getUTCMonth() + 1, date: moment.getUTCDate() };
}

/** Days in a month. */
export function daysIn(year: number, month: number): number {
  if (month === 2) return (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0 ? 29 : 28;
  return [4, 6, 9, 11].includes(month) ? 30 : 31;
}

/** A day some months before another; the 31st of a shorter month is its last day. */
export function monthsBefore(day: number, months: number): number {
  const { year, month, date } = partsOf(day);
  const index = year * 12 + (month - 1) - months;
  const [y, m] = [Math.floor(index / 12), (((index % 12) + 12) % 12) + 1];
  return numberOf(y, m, Math.min(date, daysIn(y, m)));
}

function pad(n: number, width: number): string {
  return String(n).padStart(width, '0');
}
