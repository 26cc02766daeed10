import type { FacetSettings, Settings } from '../index.js';
import { wordSet } from '../index.js';
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
  ['number-range', '3/8', '3 – 8 min', minutes],
  ['number-range', '3/3', '3 min', minutes],
  ['number-range', '1200/..', 'from 1,200 min', minutes],
  ['number-range', '../8', 'up to 8', undefined],
  ['date-range', '2026-03-01/2026-05-31', 'Mar 1 – May 31, 2026', seen],
  ['date-range', '2026-03-01/2026-03-01', 'Mar 1, 2026', seen],
  ['date-range', '2026/..', 'from 2026', seen],
  ['date-range', 'P30D', 'Last 30 days', seen],
  ['date-range', 'P7D', 'P7D', seen],
] as const)('a %s of %s reads “%s”', (kind, value, words, facet) => {
  expect(rangeText(kind, value, settings('en'), facet).replace(/\u2009/g, ' ')).toBe(words);
});

test('numbers and days are written as the language writes them', () => {
  expect(rangeText('number-range', '1200/..', settings('de'))).toBe('ab 1.200');
  expect(rangeText('date-range', '../2026-05-31', settings('ja'))).toBe('2026/05/31まで');
});
