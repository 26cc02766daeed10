import { ago, dayOf } from './when.js';

const now = Date.UTC(2026, 4, 18, 12);

test.each([
  [20, 'just now'],
  [-20, 'just now'],
  [4 * 60, '4 minutes ago'],
  [59 * 60 + 59, '1 hour ago'],
  [3 * 3600, '3 hours ago'],
  [26 * 3600, 'yesterday'],
  [12 * 86_400, '12 days ago'],
  [70 * 86_400, '2 months ago'],
  [800 * 86_400, '2 years ago'],
])('%d seconds before now is said as “%s”', (seconds, words) => {
  expect(ago(new Date(now - seconds * 1000).toISOString(), now)).toBe(words);
});

test('a day is written out', () => {
  expect(dayOf('2026-05-18T12:00:00Z')).toBe('18 May 2026');
});
