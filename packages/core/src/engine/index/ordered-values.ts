import { minutesADay } from '../../dates/minute.js';
import { zoneDays } from '../../dates/zone.js';
import { textAt, type Texts } from '../store/texts.js';
import { numbersOf, type Values } from '../store/values.js';

/** By post: the day number of a date by the clock of a zone, NaN where there is none; null for what holds no dates. */
export function daysIn(values: Values | undefined, size: number, zone: string): Float64Array | null {
  if (values?.form === 'days') return numbersOf(values);
  const days = zoneDays(zone);
  return values?.form === 'texts' ? readTexts(values.texts, size, (text) => days.dayOf(text)) : null;
}

/** The same in minutes. A date alone is its first. */
export function minutesIn(values: Values | undefined, size: number, zone: string): Float64Array | null {
  if (values?.form === 'days') return numbersOf(values)!.map((day) => day * minutesADay);
  const clock = zoneDays(zone);
  return values?.form === 'texts' ? readTexts(values.texts, size, (text) => clock.minuteOf(text)) : null;
}

function readTexts(texts: Texts, size: number, read: (text: string) => number | null): Float64Array {
  return Float64Array.from({ length: size }, (_, post) => read(textAt(texts, post)) ?? NaN);
}
