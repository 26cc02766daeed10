import fc from 'fast-check';
import { dayNumber, dayText } from '@ivy/core';
import { dayExample } from './day-example.js';
import { readDayInput } from './day-input.js';

const today = dayNumber('2026-11-27')!;

test.each([
  ['2026-04-10', 'en', '2026-04-10'],
  ['2026-05', 'en', '2026-05'],
  ['2026', 'en', '2026'],
  ['10.4.2026', 'en', '2026-04-10'],
  ['10.4.26', 'de', '2026-04-10'],
  ['10.4.', 'de', '2026-04-10'],
  ['4/10/2026', 'en-US', '2026-04-10'],
  ['10/4/2026', 'en-GB', '2026-04-10'],
  ['5/2026', 'en', '2026-05'],
  ['April 10', 'en', '2026-04-10'],
  ['Apr 10, 2025', 'en', '2025-04-10'],
  ['10 april 2025', 'en', '2025-04-10'],
  ['10. März 2026', 'de', '2026-03-10'],
  ['March 2026', 'de', '2026-03'],
  ['2026年4月10日', 'ja', '2026-04-10'],
  ['١٠‏/٤‏/٢٠٢٦', 'ar-EG', '2026-04-10'],
  ['31.2.2026', 'de', null],
  ['2026-13', 'en', null],
  ['soon', 'en', null],
  ['10', 'en', null],
  ['', 'en', null],
  ['1 2 3 4', 'en', null],
  ['x'.repeat(5000), 'en', null],
])('%s in %s is %s', (text, language, read) => {
  expect(readDayInput(text, language, today)).toBe(read);
});

test.each([
  ['2026-04-10T14:30', 'en', '2026-04-10T14:30'],
  ['2026-04-10 14:30', 'en', '2026-04-10T14:30'],
  ['10.4.2026, 14.30 Uhr', 'de', '2026-04-10T14:30'],
  ['10.4. 9 Uhr', 'de', '2026-04-10T09:00'],
  ['10 avril 2026 14h30', 'fr', '2026-04-10T14:30'],
  ['April 10, 2:30 pm', 'en-US', '2026-04-10T14:30'],
  ['4/10/2026 12 am', 'en-US', '2026-04-10T00:00'],
  ['4/10/2026 12:15 p.m.', 'en-US', '2026-04-10T12:15'],
  ['2026年4月10日 14:30', 'ja', '2026-04-10T14:30'],
  ['10.4.2026', 'de', '2026-04-10'],
  ['2026', 'en', '2026'],
  ['2026-04 14:30', 'en', null],
  ['2026-04-10 25:00', 'en', null],
  ['2026-04-10 13 pm', 'en', null],
  ['14:30', 'en', null],
])('%s in %s is the time %s', (text, language, read) => {
  expect(readDayInput(text, language, today, true)).toBe(read);
});

test('whatever a language writes as a day is read as that day', () => {
  const languages = ['en-US', 'en-GB', 'de', 'fr', 'ja', 'ar', 'sv', 'nl', 'es', 'pl', 'pt-BR', 'ko'];
  const styles = ['short', 'medium', 'long'] as const;
  const days = fc.integer({ min: dayNumber('2001-01-01')!, max: dayNumber('2039-12-31')! });
  fc.assert(
    fc.property(fc.constantFrom(...languages), fc.constantFrom(...styles), days, (language, dateStyle, day) => {
      // of two figures for a year, 01 could be a day: they are read, but not whatever the order
      const text =
        dateStyle === 'short'
          ? dayExample(language, dayText(day))
          : new Intl.DateTimeFormat(language, { dateStyle, timeZone: 'UTC' }).format(day * 86_400_000);
      expect([text, readDayInput(text, language, today)]).toEqual([text, dayText(day)]);
    }),
    { numRuns: 500 },
  );
});
