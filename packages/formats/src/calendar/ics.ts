import { addTo } from '../add-to.js';
import type { RawRecord, Rejection } from '@ivy/core';
import ICAL from 'ical.js';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenText, Reading } from '../format.js';
import { limits } from '../limits.js';

export const ics: Format = {
  name: 'ics',
  label: 'iCalendar',
  endings: ['ics', 'ical', 'ifb'],
  types: ['text/calendar'],
  isPlain: true,
  begins: (start) => /^BEGIN:VCALENDAR/i.test(start),
  read: readIcs,
};

/** Months from today on up to which events that recur are listed, where nobody says how many. */
const usualMonths = 12;
/** Times one event is listed, and steps that are gone to find them. */
const most = { times: 1000, steps: 20_000 };

/**
 * Reads iCalendar (RFC 5545): each event a record, with where it begins and ends; one that recurs as often as it takes
 * place up to a horizon, each time with its own exceptions.
 */
function readIcs({ text, options, today }: GivenText): Reading {
  const months = Math.max(1, Math.min(options.months ?? usualMonths, 120));
  const calendar = calendarOf(text);
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  const rejected: Rejection[] = [];
  const records: RawRecord[] = [];
  // exceptions are given to their events below: each event would look through all others for them
  const alone = { exceptions: [] };
  const events = calendar.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component, alone));
  const exceptions = new Map<string, ICAL.Event[]>();
  for (const event of events) {
    if (event.isRecurrenceException()) addTo(exceptions, event.uid, event);
  }
  const whole = new Set(events.filter((event) => !event.isRecurrenceException()).map(({ uid }) => uid));
  events.forEach((event, i) => {
    // an exception whose event is not in the file stands for itself
    if (event.isRecurrenceException() && whole.has(event.uid)) return;
    try {
      for (const record of recordsOf(event, exceptions.get(event.uid) ?? [], { today, months })) {
        if (records.length >= limits.records) {
          throw new FileProblem(
            'too-many',
            `The calendar has more than ${limits.records} events. Bring in fewer months.`,
          );
        }
        records.push(record);
      }
    } catch (error) {
      if (error instanceof FileProblem) throw error;
      const summary = event.summary || event.uid || `event ${i + 1}`;
      rejected.push({
        record: i + 1,
        reason: `“${summary.slice(0, 80)}” can’t be read as an event.`,
        code: 'broken-row',
      });
    }
  });
  if (records.length === 0) {
    const words = 'The calendar has no event that takes place. Bring it in once it has some, or for more months.';
    throw new FileProblem('no-posts', words);
  }
  return { records, rejected, options: { months } };
}

function calendarOf(text: string): ICAL.Component {
  try {
    // several calendars in one file are one
    const parsed: unknown = ICAL.parse(withDays(text.replace(/^\ufeff/, '').trim()));
    const all = (typeof (parsed as unknown[])[0] === 'string' ? [parsed] : parsed) as unknown[][];
    const [first, ...rest] = all.map((one) => new ICAL.Component(one));
    if (!first || first.name !== 'vcalendar') throw new Error('no calendar');
    for (const other of rest) for (const part of [...other.getAllSubcomponents()]) first.addSubcomponent(part);
    return first;
  } catch {
    throw new FileProblem('broken-file', 'The calendar is broken: it does not go from BEGIN to END. Save it again.');
  }
}

/** Days that do not say that they are no moments are met often, and mean nothing else. */
function withDays(text: string): string {
  return text.replace(/^(DTSTART|DTEND|EXDATE|RDATE|RECURRENCE-ID):(\d{8}(?:,\d{8})*)\r?$/gm, '$1;VALUE=DATE:$2');
}

/** One time that an event takes place. */
interface Occurrence {
  item: ICAL.Event;
  startDate: ICAL.Time;
  endDate: ICAL.Time | null;
  recurrenceId: ICAL.Time;
}

interface Horizon {
  today: string;
  months: number;
}

function* recordsOf(event: ICAL.Event, exceptions: readonly ICAL.Event[], horizon: Horizon): Iterable<RawRecord> {
  if (!event.startDate) throw new Error('an event without a beginning');
  if (!event.isRecurring()) {
    yield recordOf(event, event.startDate, event.endDate, event.uid);
    return;
  }
  for (const exception of exceptions) event.relateException(exception);
  const until = shifted(horizon.today, horizon.months);
  const iterator = event.iterator();
  const times: ICAL.Time[] = [];
  for (let step = 0; step < most.steps; step++) {
    const next = iterator.next() as ICAL.Time | null;
    if (!next || next.toString() > until) break;
    times.push(next);
    // of a series that goes on for decades the latest times are listed
    if (times.length > most.times) times.shift();
  }
  for (const time of times) {
    // the type that the library gives this names one that it does not export
    const details: unknown = event.getOccurrenceDetails(time);
    const { item, startDate, endDate, recurrenceId } = details as Occurrence;
    yield recordOf(item, startDate, endDate, `${event.uid}/${recurrenceId.toString()}`);
  }
}

function recordOf(event: ICAL.Event, start: ICAL.Time, end: ICAL.Time | null, id: string): RawRecord {
  const { component } = event;
  const text = (name: string) => {
    const value: unknown = component.getFirstPropertyValue(name);
    if (typeof value === 'string') return value.trim();
    return value instanceof ICAL.Time ? value.toString() : '';
  };
  const organizer = component.getFirstProperty('organizer');
  const name = organizer?.getFirstParameter('cn');
  const categories = component.getAllProperties('categories').flatMap((property) => property.getValues() as unknown[]);
  const tags = categories.filter((one): one is string => typeof one === 'string').map((one) => one.trim());
  const [latitude, longitude] = geoOf(component.getFirstPropertyValue('geo'));
  const record: RawRecord = {
    id: id || undefined,
    title: event.summary?.trim() ?? '',
    description: event.description?.trim() ?? '',
    start: momentOf(start),
    end: end ? lastOf(end, start) : '',
    all_day: start.isDate ? 'yes' : 'no',
    location: event.location?.trim() ?? '',
    url: text('url'),
    tags: [...new Set(tags)].filter((tag) => tag !== ''),
    organizer: name ?? '',
    status: text('status').toLowerCase(),
    latitude,
    longitude,
    updated: text('last-modified'),
    zone: start.isDate || start.zone.tzid === 'floating' ? '' : start.zone.tzid,
  };
  return Object.fromEntries(
    Object.entries(record).filter(([, value]) => value !== '' && value !== undefined && !isEmptyList(value)),
  );
}

function isEmptyList(value: unknown): boolean {
  return Array.isArray(value) && value.length === 0;
}

/** A day alone, or a moment where the event takes place: its own hour and its distance from UTC where a zone is said. */
function momentOf(time: ICAL.Time): string {
  const bare = time.toString();
  if (time.isDate) return bare.slice(0, 10);
  if (bare.endsWith('Z') || time.zone.tzid === 'floating') return bare.slice(0, 20);
  const offset = time.utcOffset();
  const sign = offset < 0 ? '-' : '+';
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  return `${bare.slice(0, 19)}${sign}${two(Math.abs(offset) / 3600)}:${two((Math.abs(offset) % 3600) / 60)}`;
}

/** The end as people say it: of whole days the last one, since iCalendar gives the first that is free again. */
function lastOf(end: ICAL.Time, start: ICAL.Time): string {
  if (!end.isDate) return momentOf(end);
  const last = end.clone();
  if (end.compare(start) > 0) last.adjust(-1, 0, 0, 0);
  return momentOf(last);
}

function geoOf(value: unknown): [string, string] {
  const parts = Array.isArray(value) ? value.map(String) : typeof value === 'string' ? value.split(';') : [];
  return parts.length === 2 ? [parts[0]!, parts[1]!] : ['', ''];
}

/** A day some months from another, as `YYYY-MM-DD` and what sorts after all moments of it. */
function shifted(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return `${new Date(Date.UTC(year, month - 1 + months, Math.min(date, 28))).toISOString().slice(0, 10)}U`;
}
