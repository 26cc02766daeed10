import { dayNumber, numberOf } from './calendar.js';
import { minuteNumber } from './minute.js';

const msPerHour = 3_600_000;
const msPerDay = 24 * msPerHour;

/**
 * Tells the calendar day of moments in a zone. Asking `Intl` takes microseconds, so a zone's offset is asked once for
 * the start of each UTC day; where it differs from the next day's, a clock changed in between, and each moment of
 * that day is asked for alone.
 */
export class ZoneDays {
  readonly #format: Intl.DateTimeFormat;
  readonly #offsets = new Map<number, number>();

  constructor(zone: string) {
    this.#format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      calendar: 'iso8601',
      numberingSystem: 'latn',
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    });
  }

  /** The day number of a date or datetime as posts hold them; null when it is neither. */
  dayOf(value: string): number | null {
    if (value.length === 10) return dayNumber(value);
    // without a zone it is already a reading of the local clock: its day is the day it says
    if (!isMoment(value)) return dayNumber(value.slice(0, 10));
    const moment = Date.parse(value);
    return Number.isNaN(moment) ? null : this.dayAt(moment);
  }

  /** The minute of the local clock, as `minuteNumber` has it; a date alone is its first. Null when it is neither. */
  minuteOf(value: string): number | null {
    if (!isMoment(value)) return minuteNumber(value.length === 10 ? `${value}T00:00` : value);
    const moment = Date.parse(value);
    return Number.isNaN(moment) ? null : Math.floor(this.#localAt(moment) / 60_000);
  }

  /** The day number at a moment. */
  dayAt(moment: number): number {
    return Math.floor(this.#localAt(moment) / msPerDay);
  }

  /** What the local clock shows at a moment, in milliseconds since its 1 January 1970, 00:00. */
  #localAt(moment: number): number {
    const utcDay = Math.floor(moment / msPerDay);
    const before = this.#offsetAtStart(utcDay);
    return moment + (before === this.#offsetAtStart(utcDay + 1) ? before : this.#offset(moment));
  }

  #offsetAtStart(utcDay: number): number {
    let offset = this.#offsets.get(utcDay);
    if (offset === undefined) {
      offset = this.#offset(utcDay * msPerDay);
      this.#offsets.set(utcDay, offset);
    }
    return offset;
  }

  /** Local time less UTC at a moment, in milliseconds. */
  #offset(moment: number): number {
    const parts: Record<string, number> = {};
    for (const { type, value } of this.#format.formatToParts(moment)) parts[type] = Number(value);
    const local =
      numberOf(parts.year!, parts.month!, parts.day!) * msPerDay +
      parts.hour! * msPerHour +
      parts.minute! * 60_000 +
      parts.second! * 1000;
    return local - Math.floor(moment / 1000) * 1000;
  }
}

/** Whether a date-time says its zone. Without one it is a reading of the local clock. */
function isMoment(value: string): boolean {
  return /(Z|[+-]\d\d:?\d\d)$/.test(value) && value.length > 10;
}

const zones = new Map<string, ZoneDays>();

/** The days of a zone, made once. */
export function zoneDays(zone: string): ZoneDays {
  let days = zones.get(zone);
  if (!days) zones.set(zone, (days = new ZoneDays(zone)));
  return days;
}
