import { fill, fillPlural } from '../text/fill.js';
import { wordsOf } from './texts.js';

test('a lens’s own words stand over the language’s, empty ones do not', () => {
  expect(wordsOf({ sort: 'Order', posts: '' })).toMatchObject({ sort: 'Order', posts: '{n} post|{n} posts' });
});

test('names in braces are filled, unknown ones stay', () => {
  expect(fill('of {total} {x}', { total: 5 })).toBe('of 5 {x}');
});

test.each([
  ['en', 1, '1 note'],
  ['en', 0, '0 notes'],
  ['en', 1200, '1,200 notes'],
  ['de', 1200, '1.200 notes'],
  ['ja', 1, '1 note'],
])('in %s, %i is %s', (language, n, expected) => {
  expect(fillPlural('{n} note|{n} notes', n, language)).toBe(expected);
});
