import { dayText, monthsBefore } from './calendar.js';

/** Ranges that roll: what each means depends on the day it is asked on. */
const rolling: Readonly<Record<string, (today: number) => string>> = {
  'this-year': (today) => dayText(today).slice(0, 4),
  'last-year': (today) => String(Number(dayText(today).slice(0, 4)) - 1).padStart(4, '0'),
  'this-month': (today) => dayText(today).slice(0, 7),
  'last-month': (today) => dayText(monthsBefore(today, 1)).slice(0, 7),
};

/**
 * The range of a ready choice as an address writes it: a rolling one (`this-year`) as what it means on a day, any other as
 * it stands.
 * @param today  day number
 */
export function presetRange(range: string, today: number): string {
  return Object.hasOwn(rolling, range) ? rolling[range]!(today) : range;
}
