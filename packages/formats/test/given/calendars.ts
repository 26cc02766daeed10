import type { GivenCase } from './case.js';

const event = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
const calendar = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n');
const zone = [
  ...['BEGIN:VTIMEZONE', 'TZID:Europe/Berlin', 'BEGIN:DAYLIGHT', 'TZOFFSETFROM:+0100', 'TZOFFSETTO:+0200'],
  ...['DTSTART:19700329T020000', 'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'END:DAYLIGHT', 'BEGIN:STANDARD'],
  ...['TZOFFSETFROM:+0200', 'TZOFFSETTO:+0100', 'DTSTART:19701025T030000', 'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU'],
  ...['END:STANDARD', 'END:VTIMEZONE'],
];

export const calendars: Record<string, GivenCase> = {
  'an event in a zone': {
    name: 'a.ics',
    bytes: calendar(
      ...zone,
      ...event(
        'UID:1',
        'SUMMARY:Walk\\, long',
        'DTSTART;TZID=Europe/Berlin:20260501T100000',
        'DTEND;TZID=Europe/Berlin:20260501T120000',
        'CATEGORIES:Walk,Shore',
        'ORGANIZER;CN=Ann Reed:mailto:a@a.example',
      ),
    ),
    ...{ format: 'ics', records: 1 },
    first: {
      ...{ id: '1', title: 'Walk, long', start: '2026-05-01T10:00:00+02:00', end: '2026-05-01T12:00:00+02:00' },
      ...{ tags: ['Walk', 'Shore'], organizer: 'Ann Reed', all_day: 'no' },
    },
  },
  'an event of whole days, whose end is the day after': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Fair', 'DTSTART;VALUE=DATE:20260501', 'DTEND;VALUE=DATE:20260504')),
    },
    ...{ format: 'ics', records: 1, first: { start: '2026-05-01', end: '2026-05-03', all_day: 'yes' } },
  },
  'an event each week, with one left out and one moved': {
    name: 'a.ics',
    bytes: calendar(
      ...event(
        'UID:1',
        'SUMMARY:Count',
        'DTSTART:20260601T080000Z',
        'DTEND:20260601T090000Z',
        'RRULE:FREQ=WEEKLY;COUNT=4',
        'EXDATE:20260608T080000Z',
      ),
      ...event(
        'UID:1',
        'RECURRENCE-ID:20260615T080000Z',
        'SUMMARY:Count, later',
        'DTSTART:20260615T100000Z',
        'DTEND:20260615T110000Z',
      ),
    ),
    ...{ format: 'ics', records: 3, first: { start: '2026-06-01T08:00:00Z' }, last: { start: '2026-06-22T08:00:00Z' } },
  },
  'an event without end, up to a horizon': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Tide', 'DTSTART:20260101T080000Z', 'RRULE:FREQ=MONTHLY')),
    },
    ...{ options: { months: 2 }, format: 'ics', records: 8, last: { start: '2026-08-01T08:00:00Z' } },
  },
  'lines that are folded': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:A walk along the', '  wall', 'DTSTART:20260601T080000Z')),
    },
    ...{ format: 'ics', records: 1, first: { title: 'A walk along the wall' } },
  },
  'an event without a beginning among others': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Lost'), ...event('UID:2', 'SUMMARY:Here', 'DTSTART:20260601')),
    },
    ...{ format: 'ics', records: 1, rejected: [undefined] },
  },
  'two calendars in one file': {
    ...{ name: 'a.ics', format: 'ics', records: 2 },
    bytes: `${calendar(...event('UID:1', 'SUMMARY:A', 'DTSTART:20260601T080000Z'))}\r\n${calendar(...event('UID:2', 'SUMMARY:B', 'DTSTART:20260602T080000Z'))}`,
  },
};
