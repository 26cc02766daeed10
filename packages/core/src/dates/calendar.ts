/*
 * Calendar days as whole numbers: days since 1 January 1970 in the proleptic Gregorian calendar. No zone is involved.
 */

/** The number of a day `YYYY-MM-DD`; null when there is no such day. */
export function dayNumber(day: string): number | null {
  if (day.length !== 10 || day[4] !== '-' || day[7] !== '-') return null;
  const [year, month, date] = [digits(day, 0, 4), digits(day, 5, 7), digits(day, 8, 10)];
  if (year < 0 || month < 1 || month > 12 || date < 1) return null;
  const at = year * 12 + month - 1;
  const number = monthStart(at) + date - 1;
  return date > 28 && number >= monthStart(at + 1) ? null : number;
}

/**
 * The first days of months, from January of the year 0 on, as they were asked for: sources hold days by the million. So
 * much is added to each that none is 0, which stands for one not yet asked for.
 */
const monthStarts = new Int32Array(10_000 * 12 + 1);
const shift = 1_000_000;

function monthStart(at: number): number {
  if (monthStarts[at] === 0) monthStarts[at] = numberOf(Math.floor(at / 12), (at % 12) + 1, 1) + shift;
  return monthStarts[at]! - shift;
}

/** A piece of a text as a whole number; -1 where it is not digits alone. */
function digits(text: string, start: number, end: number): number {
  let number = 0;
  for (let i = start; i < end; i++) {
    const digit = text.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9) return -1;
    number = number * 10 + digit;
  }
  return number;
}

/** The number of a day that is known to exist. Years below 100 are taken as they stand. The way back of `partsOf`. */
export function numberOf(year: number, month: number, date: number): number {
  const fromMarch = month <= 2 ? year - 1 : year;
  const era = Math.floor(fromMarch / 400);
  const yearOfEra = fromMarch - era * 400;
  const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + date - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146_097 + dayOfEra - 719_468;
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

/**
 * The year, month (from 1) and date of a day number. After Hinnant's "chrono-compatible low-level date algorithms":
 * years are counted from March, so that a leap day is the last of its year, in eras of 400 years, which are all alike.
 */
export function partsOf(day: number): { year: number; month: number; date: number } {
  const fromMarch = day + 719_468;
  const era = Math.floor(fromMarch / 146_097);
  const dayOfEra = fromMarch - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const monthFromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const date = dayOfYear - Math.floor((153 * monthFromMarch + 2) / 5) + 1;
  const month = monthFromMarch < 10 ? monthFromMarch + 3 : monthFromMarch - 9;
  return { year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0), month, date };
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
