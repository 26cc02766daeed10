import { dayText, readInterval } from '@ivy/core';

/** No day is typed in more characters. */
const longestInput = 40;

/**
 * Reads a day, month or year as a visitor types it: as an address writes it, as their language does, or in other common
 * ways: `10.4.2026`, `4/10/2026`, `April 10`, `10. April 2026`, `2026-05`, `5/2026`, `2026年4月10日`.
 * @param language  BCP 47; it tells whether 4/10 is in April or October, and what months are called
 * @param today     day number; what has no year is in this one
 * @param isTimed   whether a time of day may follow: `14:30`, `2:30 pm`, `14.30 Uhr`, `14h30`
 * @returns `2026-04-10`, `2026-04`, `2026`, or `2026-04-10T14:30`; null when it can't be read, or is no day that exists
 */
export function readDayInput(text: string, language: string, today: number, isTimed = false): string | null {
  const typed = text.trim().toLowerCase();
  if (typed === '' || typed.length > longestInput) return null;
  const plain = withLatinDigits(typed, language);
  const timed = isTimed ? readTimeOfDay(plain) : null;
  if (!timed) return readDay(plain, language, today);
  const day = readDay(timed.before, language, today);
  return day?.length === 10 ? `${day}T${timed.time}` : null;
}

/** A time of day at the end of a text, and what stands before it. */
function readTimeOfDay(text: string): { before: string; time: string } | null {
  const found = /^(.+?)(?:t|[\s,]+)(\d{1,2})(?:[:.h](\d\d))?(?::\d\d)?\s*(?:([ap])\.?\s?m\.?|uhr|h)?$/.exec(text);
  if (!found) return null;
  const [, before, hour, minute, half] = found;
  // a lone number is a day or a year
  if (minute === undefined && half === undefined && !/(?:uhr|h)$/.test(text)) return null;
  let hours = Number(hour);
  if (half !== undefined) {
    if (hours < 1 || hours > 12) return null;
    hours = (hours % 12) + (half === 'p' ? 12 : 0);
  }
  if (hours > 23 || Number(minute ?? 0) > 59) return null;
  const time = `${String(hours).padStart(2, '0')}:${minute ?? '00'}`;
  return { before: before!, time };
}

function readDay(plain: string, language: string, today: number): string | null {
  const read = readNumbers(plain, language, today) ?? readNamed(plain, language, today);
  // whether there is such a day is told in one place
  return read !== null && readInterval(read, today) !== null ? read : null;
}

/** In figures alone, with anything but letters between them. */
function readNumbers(text: string, language: string, today: number): string | null {
  // what follows a figure as a word for year, month and day says no more than the order does
  const bare = text.replace(/[年月日년월일]/g, ' ').replace(/[\u200e\u200f]/g, '');
  if (!/^[\d\s./\-,]+$/.test(bare)) return null;
  const parts = bare.match(/\d+/g) ?? [];
  const [a = '', b = '', c = ''] = parts;
  if (parts.length === 1) return a.length === 4 ? a : null;
  if (parts.length === 2) {
    if (a.length === 4) return written(a, b);
    if (b.length === 4) return written(b, a);
    return dayFirst(bare, language) ? written(thisYear(today), b, a) : written(thisYear(today), a, b);
  }
  if (parts.length !== 3) return null;
  if (a.length === 4) return written(a, b, c);
  const year = c.length === 2 ? `20${c}` : c;
  return dayFirst(bare, language) ? written(year, b, a) : written(year, a, b);
}

/** With the name of a month, in the language or in English. */
function readNamed(text: string, language: string, today: number): string | null {
  const words = text.match(/[\p{L}\p{M}]+/gu) ?? [];
  const month = words
    .map((word) => monthNamed(word, language) ?? monthNamed(word, 'en'))
    .find((found) => found !== null);
  const numbers = text.match(/\d+/g) ?? [];
  if (!month || numbers.length === 0 || numbers.length > 2) return null;
  const year = numbers.find((number) => number.length === 4);
  const day = numbers.find((number) => number.length <= 2);
  if (numbers.length === 2 && (!year || !day)) return null;
  if (!day) return written(year!, String(month));
  return written(year ?? thisYear(today), String(month), day);
}

/** The number of a month by its name or the beginning of it, three letters at least. */
function monthNamed(word: string, language: string): number | null {
  if (word.length < 3) return null;
  const at = monthNames(language).findIndex((names) => names.some((name) => name.startsWith(word)));
  return at < 0 ? null : at + 1;
}

const knownNames = new Map<string, string[][]>();

/** What each month is called, alone and beside a day. */
function monthNames(language: string): string[][] {
  let names = knownNames.get(language);
  if (!names) {
    const formats = [
      new Intl.DateTimeFormat(language, { month: 'long', timeZone: 'UTC' }),
      new Intl.DateTimeFormat(language, { month: 'short', timeZone: 'UTC' }),
      new Intl.DateTimeFormat(language, { month: 'long', day: 'numeric', timeZone: 'UTC' }),
    ];
    names = Array.from({ length: 12 }, (_, month) =>
      formats.map((format) => {
        const part = format.formatToParts(new Date(Date.UTC(2026, month, 15))).find(({ type }) => type === 'month');
        return (part?.value ?? '').toLowerCase().replace(/\.$/, '');
      }),
    );
    knownNames.set(language, names);
  }
  return names;
}

/** Whether days come before months: with points always, else as the language writes them. */
function dayFirst(text: string, language: string): boolean {
  if (text.includes('.')) return true;
  const order = new Intl.DateTimeFormat(language, { month: 'numeric', day: 'numeric' })
    .formatToParts(0)
    .map(({ type }) => type)
    .filter((type) => type === 'day' || type === 'month');
  return order[0] === 'day';
}

function thisYear(today: number): string {
  return dayText(today).slice(0, 4);
}

function written(year: string, month: string, day?: string): string {
  const parts = day === undefined ? [month] : [month, day];
  return [year, ...parts.map((part) => part.padStart(2, '0'))].join('-');
}

/** A language's own figures as those of ISO 8601. */
function withLatinDigits(text: string, language: string): string {
  const own = new Intl.NumberFormat(language, { useGrouping: false });
  const digits = new Map(Array.from({ length: 10 }, (_, digit) => [own.format(digit), String(digit)]));
  return [...text].map((letter) => digits.get(letter) ?? letter).join('');
}
