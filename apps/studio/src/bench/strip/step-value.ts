import { dayNumber, dayText } from '@ivy/core';

/** A text in a box, and where the caret stands in it. */
export interface Caret {
  text: string;
  at: number;
}

/** What stands between the signs of an interval: a day, a month, a year or a number. */
const ends = /-?\d[\d.-]*/g;

/**
 * Steps what the caret stands in: a day by a day, a month by a month, a number by one.
 * @returns null where it stands in nothing that can be stepped
 */
export function stepValue({ text, at }: Caret, by: 1 | -1): Caret | null {
  for (const { 0: found, index } of text.matchAll(ends)) {
    if (at < index || at > index + found.length) continue;
    const stepped = afterStep(found, by);
    if (stepped === null) return null;
    return {
      text: text.slice(0, index) + stepped + text.slice(index + found.length),
      at: Math.min(at, index + stepped.length),
    };
  }
  return null;
}

function afterStep(word: string, by: 1 | -1): string | null {
  const day = /^\d{4}-\d{2}-\d{2}$/.test(word) ? dayNumber(word) : null;
  if (day !== null) return dayText(day + by);
  const [, year, month] = /^(\d{4})-(\d{2})$/.exec(word) ?? [];
  if (year !== undefined) {
    const months = Number(year) * 12 + Number(month) - 1 + by;
    return `${Math.floor(months / 12)}-${String((months % 12) + 1).padStart(2, '0')}`;
  }
  return /^-?\d+$/.test(word) ? String(Number(word) + by) : null;
}
