import { dayNumber, dayText } from './calendar.js';

/*
 * Minutes of a local clock as whole numbers: minutes since 1 January 1970, 00:00, of a calendar in which every day has
 * 1,440 of them. Moments are brought to their zone first.
 */

export const minutesADay = 1440;

/** The number of a minute `YYYY-MM-DDTHH:MM`; what follows it is passed over. Null when there is no such minute. */
export function minuteNumber(text: string): number | null {
  const time = /^T([01]\d|2[0-3]):([0-5]\d)/.exec(text.slice(10));
  const day = dayNumber(text.slice(0, 10));
  return time && day !== null ? day * minutesADay + Number(time[1]) * 60 + Number(time[2]) : null;
}

/** The inverse. */
export function minuteText(minute: number): string {
  const day = Math.floor(minute / minutesADay);
  const ofDay = minute - day * minutesADay;
  const two = (n: number) => String(n).padStart(2, '0');
  return `${dayText(day)}T${two(Math.floor(ofDay / 60))}:${two(ofDay % 60)}`;
}
