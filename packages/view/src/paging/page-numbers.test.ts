import { dateText } from '../date-text.js';
import { pageNumbers } from './page-numbers.js';

test.each([
  [1, 1, '1'],
  [1, 5, '1 2 … 5'],
  [3, 5, '1 2 3 4 5'],
  [5, 9, '1 … 4 5 6 … 9'],
  [4, 9, '1 2 3 4 5 … 9'],
  [9, 9, '1 … 8 9'],
])('on page %i of %i the pager says %s', (page, pages, expected) => {
  expect(
    pageNumbers(page, pages)
      .map((n) => n ?? '…')
      .join(' '),
  ).toBe(expected);
});

test('no gap hides a single page', () => {
  for (let pages = 1; pages < 30; pages++) {
    for (let page = 1; page <= pages; page++) {
      const numbers = pageNumbers(page, pages);
      numbers.forEach((n, i) => {
        if (n === null) expect(numbers[i + 1]! - numbers[i - 1]!).toBeGreaterThan(2);
      });
      expect(numbers).toContain(page);
    }
  }
});

test('a day is that day everywhere, a moment the day it is in the lens’s zone', () => {
  const on = (zone: string) => ({ language: 'en-GB', zone });
  expect(dateText('2026-03-01', on('Pacific/Auckland'))).toBe('1 Mar 2026');
  expect(dateText('2026-03-01T23:30:00Z', on('UTC'))).toBe('1 Mar 2026');
  expect(dateText('2026-03-01T23:30:00Z', on('Europe/Berlin'))).toBe('2 Mar 2026');
  expect(dateText('2026-03-01T23:30:00', on('Europe/Berlin'))).toBe('1 Mar 2026');
});
