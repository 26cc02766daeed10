import { readFile } from '../read-file.js';

const today = '2026-06-30';
const event = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'].join('\r\n');
const read = (events: string[], options = {}, more = '') => {
  const text = ['BEGIN:VCALENDAR', more, ...events, 'END:VCALENDAR'].filter(Boolean).join('\r\n');
  return [...readFile(new TextEncoder().encode(text), 'a.ics', { today, options }).records];
};
const starts = (events: string[], options = {}) => read(events, options).map(({ start }) => start);

test('an event that lasts so long ends then, and one of a day on that day', () => {
  const long = event('UID:1', 'SUMMARY:A', 'DTSTART:20260601T080000Z', 'DURATION:PT90M');
  const day = event('UID:2', 'SUMMARY:B', 'DTSTART;VALUE=DATE:20260602');
  expect(read([long, day])).toMatchObject([
    { start: '2026-06-01T08:00:00Z', end: '2026-06-01T09:30:00Z', all_day: 'no' },
    { start: '2026-06-02', end: '2026-06-02', all_day: 'yes' },
  ]);
});

test('what recurs is listed up to the horizon one sets, and without end up to a year', () => {
  const monthly = event('UID:1', 'SUMMARY:A', 'DTSTART:20260115T080000Z', 'RRULE:FREQ=MONTHLY');
  expect(starts([monthly], { months: 1 }).at(-1)).toBe('2026-07-15T08:00:00Z');
  expect(starts([monthly]).at(-1)).toBe('2027-06-15T08:00:00Z');
  expect(starts([monthly], { months: 1 })[0]).toBe('2026-01-15T08:00:00Z');
});

test('rules by days of the week, with days left out and added', () => {
  const weekly = event(
    ...['UID:1', 'SUMMARY:A', 'DTSTART:20260601T080000Z', 'RRULE:FREQ=WEEKLY;BYDAY=MO,TH;UNTIL=20260615T235959Z'],
    ...['EXDATE:20260604T080000Z', 'RDATE:20260620T080000Z'],
  );
  expect(starts([weekly]).sort()).toEqual([
    ...[
      '2026-06-01T08:00:00Z',
      '2026-06-08T08:00:00Z',
      '2026-06-11T08:00:00Z',
      '2026-06-15T08:00:00Z',
      '2026-06-20T08:00:00Z',
    ],
  ]);
});

test('each time has an id of its own, and the one that was moved its own words', () => {
  const series = event('UID:s', 'SUMMARY:Count', 'DTSTART:20260601T080000Z', 'RRULE:FREQ=DAILY;COUNT=3');
  const moved = event('UID:s', 'RECURRENCE-ID:20260602T080000Z', 'SUMMARY:Count, later', 'DTSTART:20260602T100000Z');
  const all = read([series, moved]);
  expect(new Set(all.map(({ id }) => id)).size).toBe(3);
  expect(all.map(({ title, start }) => `${String(title)} ${String(start)}`)).toEqual([
    'Count 2026-06-01T08:00:00Z',
    'Count, later 2026-06-02T10:00:00Z',
    'Count 2026-06-03T08:00:00Z',
  ]);
});

test('an exception without its event stands for itself', () => {
  const moved = event('UID:s', 'RECURRENCE-ID:20260602T080000Z', 'SUMMARY:Alone', 'DTSTART:20260602T100000Z');
  expect(read([moved])).toMatchObject([{ title: 'Alone' }]);
});

test('hours follow the zone through summer and winter', () => {
  const zone = `BEGIN:VTIMEZONE\r\nTZID:X\r\nBEGIN:DAYLIGHT\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0200\r\nDTSTART:19700329T020000\r\nRRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU\r\nEND:DAYLIGHT\r\nBEGIN:STANDARD\r\nTZOFFSETFROM:+0200\r\nTZOFFSETTO:+0100\r\nDTSTART:19701025T030000\r\nRRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU\r\nEND:STANDARD\r\nEND:VTIMEZONE`;
  const all = read(
    [event('UID:1', 'SUMMARY:A', 'DTSTART;TZID=X:20260901T100000', 'RRULE:FREQ=MONTHLY;COUNT=3')],
    {},
    zone,
  );
  expect(all.map(({ start }) => start)).toEqual([
    ...['2026-09-01T10:00:00+02:00', '2026-10-01T10:00:00+02:00', '2026-11-01T10:00:00+01:00'],
  ]);
});

test('what else an event says comes along', () => {
  const said = event(
    ...[
      'UID:1',
      'SUMMARY:A',
      'DTSTART:20260601T080000',
      'LOCATION:Quay\\, north',
      'URL:https://a.example/1',
      'STATUS:CANCELLED',
    ],
    ...['GEO:53.5;7.1', 'CATEGORIES:Walk', 'CATEGORIES:Shore,Walk', 'LAST-MODIFIED:20260501T000000Z'],
  );
  expect(read([said])).toMatchObject([
    {
      ...{ start: '2026-06-01T08:00:00', location: 'Quay, north', url: 'https://a.example/1', status: 'cancelled' },
      ...{ latitude: '53.5', longitude: '7.1', tags: ['Walk', 'Shore'], updated: '2026-05-01T00:00:00Z' },
    },
  ]);
});

test('twenty thousand events are read in a moment', () => {
  const began = performance.now();
  const many = Array.from({ length: 20_000 }, (_, i) =>
    event(`UID:${i}`, `SUMMARY:A ${i}`, 'DTSTART;VALUE=DATE:20260601'),
  );
  expect(read(many)).toHaveLength(20_000);
  expect(performance.now() - began).toBeLessThan(15_000);
});
