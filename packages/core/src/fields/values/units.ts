import { monthNumber } from './months.js';

/** No number with its unit is written in more characters. */
const longest = 60;

/** A text without its unit, in whatever case that is written. */
export function withoutUnit(text: string, unit: string): string {
  const t = text.trim();
  const [low, sign] = [t.toLowerCase(), unit.toLowerCase()];
  if (low.endsWith(sign)) return t.slice(0, t.length - unit.length).replace(/\.?\s*$/, '');
  return low.startsWith(sign) ? t.slice(unit.length) : t;
}

/** A number and a word after or before it: `12 min`, `3.5km`, `USD 40`. */
const measured =
  /^(?:([+-]?[\d.,'’\s]*\d)\s*(\p{L}[\p{L}²³/.]{0,11})|(USD|EUR|GBP|CHF|JPY|CNY|INR|AUD|CAD|SEK|NOK|DKK|PLN|CZK|HUF|Rs|kr|R\$)\.?\s*([+-]?\d[\d.,'’\s]*))$/u;

/** What stands behind figures and is no unit: the second of a row, and half of a day. */
const noUnit = /^(?:st|nd|rd|th|am|pm|a|b|c|d|e)$/i;

/** The unit that the numbers of a field have, where nearly all have the same one; else undefined. */
export function unitOf(texts: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const text of texts) {
    const m = text.length > longest ? null : measured.exec(text.trim());
    const unit = m?.[2] ?? m?.[3];
    if (unit && !noUnit.test(unit) && monthNumber(unit) === 0) counts.set(unit, (counts.get(unit) ?? 0) + 1);
  }
  const [unit, count] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  return texts.length > 1 && count >= texts.length * 0.8 ? unit : undefined;
}
