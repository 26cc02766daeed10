import type { FacetSettings, Settings } from '@ivy/core';
import { wordSet } from '@ivy/core';
import { endsOf, rangeText } from './range-text.js';

const settings = (language: string) => ({ texts: wordSet(language), language }) as Settings;
const minutes = { unit: 'min' } as FacetSettings;
const seen = { presets: [{ label: 'Last 30 days', range: 'P30D' }] } as unknown as FacetSettings;

test.each([
  [undefined, ['', '']],
  ['../..', ['', '']],
  ['2026-03-01/..', ['2026-03-01', '']],
  ['../5', ['', '5']],
  ['2026-03', ['2026-03', '2026-03']],
  ['P30D', ['', '']],
])('the ends of %j are %j', (value, ends) => {
  expect(endsOf(value)).toEqual(ends);
});

test.each([
  ['numbers', '3/8', '3 – 8 min', minutes],
  ['numbers', '3/3', '3 min', minutes],
  ['numbers', '1200/..', 'from 1,200 min', minutes],
  ['numbers', '../8', 'up to 8', undefined],
  ['days', '2026-03-01/2026-05-31', 'Mar 1 – May 31, 2026', seen],
  ['days', '2026-03-01/2026-03-01', 'Mar 1, 2026', seen],
  ['days', '2026/..', 'from 2026', seen],
  ['days', 'P30D', 'Last 30 days', seen],
  ['days', 'P7D', 'P7D', seen],
  ['times', '2026-03-01T14:30/2026-03-01T18:00', 'Mar 1, 2026, 2:30 – 6:00 PM', undefined],
  ['times', '2026-03-01T14:30/..', 'from Mar 1, 2026, 2:30 PM', undefined],
  ['times', '2026-03/..', 'from 2026-03', undefined],
] as const)('a %s of %s reads “%s”', (kind, value, words, facet) => {
  expect(rangeText(kind, value, settings('en'), facet).replace(/[\u2009\u202f]/g, ' ')).toBe(words);
});

test('numbers and days are written as the language writes them', () => {
  expect(rangeText('numbers', '1200/..', settings('de'))).toBe('ab 1.200');
  expect(rangeText('days', '../2026-05-31', settings('ja'))).toBe('2026/05/31まで');
});
