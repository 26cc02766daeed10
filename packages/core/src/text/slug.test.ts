import { humanise, slugify, SlugMaker } from './slug.js';

test('a slug keeps letters of any script and is never cut in the middle of one', () => {
  expect(slugify('Café & Bar')).toBe('café-and-bar');
  expect(slugify('!!!')).toBe('x');
  expect(slugify(`${'a'.repeat(79)}𐐨b`)).toBe('a'.repeat(79));
  expect(slugify('x '.repeat(100_000))).toHaveLength(79);
});

test('thousands of texts that give one slug each get their own, without trying all numbers for each', () => {
  const maker = new SlugMaker();
  maker.keep('x-3');
  const start = Date.now();
  const slugs = Array.from({ length: 100_000 }, (_, i) => maker.make('!'.repeat(1 + (i % 50))));
  expect(Date.now() - start).toBeLessThan(3_000);
  expect(slugs.slice(0, 3)).toEqual(['x', 'x-2', 'x-4']);
  expect(new Set(slugs).size).toBe(100_000);
});

test('a slug that is to be short has room for its number', () => {
  const maker = new SlugMaker();
  const slugs = Array.from({ length: 12 }, () => maker.make('a long name', 8));
  expect(slugs.slice(0, 3)).toEqual(['a-long-n', 'a-long-2', 'a-long-3']);
  expect(slugs.every((slug) => slug.length <= 8)).toBe(true);
});

test.each([
  ['observed_on', 'Observed on'],
  ['readingTime', 'Reading time'],
  ['IMDB Rating', 'IMDB Rating'],
  ['imdbID', 'Imdb ID'],
  ['IMDBRating', 'IMDB rating'],
  ['url', 'Url'],
  ['ISBN', 'ISBN'],
  ['DESCRIPTION', 'Description'],
  ['FIRST_NAME', 'First name'],
  ['New York', 'New York'],
  ['date observed', 'Date observed'],
  ['---', '---'],
])('the field %s is called %s', (key, label) => {
  expect(humanise(key)).toBe(label);
});
