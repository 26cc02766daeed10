import fc from 'fast-check';
import { byCodeUnits } from '../../text/slug.js';
import { edits } from '../../../test/reference-search.js';
import { field, lensOf } from '../../../test/arbitrary.js';
import { answer } from '../../answer/answer.js';
import { buildIndex } from '../index/build.js';
import type { Post } from '../../model/post.js';
import { editDistance, respell } from './respell.js';
import { readWanted, readWords } from './wanted.js';
import { wordsOf } from './words.js';

const texts = (text: string) => wordsOf(text).map(({ word }) => word);

test.each([
  ['Little Térns, 3×', ['little', 'terns', '3']],
  ['don’t stop', ['don', 't', 'stop']],
  ['ﬁsh', ['fish']],
  ['½ mile', ['1', '2', 'mile']],
  ['', []],
])('%j is cut into %j', (text, words) => {
  expect(texts(text)).toEqual(words);
});

test('a script without spaces is cut into words, each with its place', () => {
  const words = wordsOf('東京湾の鳥 terns');
  expect(words.at(-1)).toEqual({ word: 'terns', start: 6, end: 11 });
  expect(words.length).toBeGreaterThan(3);
  for (const { start, end } of words) expect(end).toBeGreaterThan(start);
});

test.each([
  [
    'tern -"low tide" mud',
    [
      [['tern'], false, false],
      [['low', 'tide'], true, true],
      [['mud'], false, false],
    ],
  ],
  ['"open quote', [[['open', 'quote'], true, false]]],
  [
    '-reed-bed',
    [
      [['reed'], false, true],
      [['bed'], false, true],
    ],
  ],
  ['- " " !', []],
])('%j asks for %j', (text, expected) => {
  expect(readWanted(text).map(({ words, phrase, excluded }) => [words, phrase, excluded])).toEqual(expected);
});

test('the distance between words is Levenshtein’s, as far as it is allowed', () => {
  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 6 });
  fc.assert(
    fc.property(word, word, fc.integer({ min: 0, max: 3 }), (a, b, most) => {
      expect(editDistance([...a], [...b], most)).toBe(Math.min(edits(a, b), most + 1));
    }),
    { numRuns: 1000 },
  );
});

test.each([
  ['trn', []],
  ['tarn', ['tern']],
  ['curlwe', []],
  ['oystercatcehr', ['oystercatcher']],
  ['oysterctchr', ['oystercatcher']],
  ['oystrctchr', []],
])('%s may have been meant as %j', (word, near) => {
  const vocabulary = ['curlew', 'oystercatcher', 'tern'];
  expect(respell(word, vocabulary).map((w) => vocabulary[w])).toEqual(near);
});

test('the nearest words are those that comparing with every word finds', () => {
  const letter = fc.constantFrom('a', 'b', 'c', 'é', '𐌰', '𐌱');
  const word = fc.array(letter, { minLength: 1, maxLength: 10 }).map((letters) => letters.join(''));
  fc.assert(
    fc.property(
      fc.uniqueArray(word, { maxLength: 40 }),
      fc.array(letter, { minLength: 3, maxLength: 10 }),
      (words, asked) => {
        const vocabulary = words.sort(byCodeUnits);
        const allowed = asked.length >= 8 ? 2 : asked.length >= 4 ? 1 : -1;
        const distances = vocabulary.map((other) => editDistance(asked, [...other], 2));
        const least = Math.min(allowed, ...distances);
        const nearest = [...distances.keys()].filter((w) => distances[w] === least && least <= allowed);
        expect(respell(asked.join(''), vocabulary)).toEqual(allowed < 0 ? [] : nearest);
      },
    ),
    { numRuns: 1000 },
  );
});

test('what is asked for twice counts once, and no more than 32 words are read', () => {
  expect(readWords('tern Tern tern -tern').wanted).toHaveLength(2);
  const many = readWords(Array.from({ length: 40 }, (_, i) => `w${i}`).join(' '));
  expect([many.wanted.length, many.isCut]).toEqual([32, true]);
  // a character that folds to four words, the last and the next first run together
  const folded = readWords('\ufdfa'.repeat(200));
  expect([folded.wanted.length, folded.isCut]).toEqual([5, false]);
  const phrase = readWords(`"${'a b '.repeat(30)}"`);
  expect([phrase.wanted[0]!.words.length, phrase.isCut]).toEqual([32, true]);
});

const post = (id: string, title: string, body = ''): Post => ({ id, values: { title, body } });
const index = buildIndex({
  fields: [field('title', 'text', { role: 'title' }), field('body', 'text')],
  taxonomies: {},
  posts: [
    post('a', 'Terns', 'little tern over the mud'),
    post('b', 'A tern', 'and no other word'),
    post('c', 'Mud', 'tern tern tern and a long text that goes on and on about nothing much at all'),
    post('d', 'Oystercatchers', 'on the mud'),
  ],
});
const lens = lensOf({
  facets: [{ key: 'q', kind: 'search', fields: ['title', 'body'] }],
  card: {
    parts: [
      { show: 'title', field: 'title' },
      { show: 'text', field: 'body' },
    ],
  },
});
const find = (text: string) =>
  answer(index, { lens, selections: { q: { type: 'search', text } }, sort: null, page: 1 });
const ids = (text: string) => find(text).items.map((item) => item.id);

test('more words met whole stand above any number of beginnings, and then BM25 decides', () => {
  // a: whole once and a beginning in its title, four in all; b: whole once in its title; c: whole three times, but long
  expect(ids('tern')).toEqual(['a', 'b', 'c']);
  expect(ids('terns')).toEqual(['a']);
  const plenty = buildIndex({
    fields: index.fields.slice(),
    taxonomies: {},
    posts: [
      post('x', 'Terns terns terns', 'terns'),
      post('y', 'Notes', 'a long walk to see nothing but the one tern on the far bank'),
    ],
  });
  const found = answer(plenty, { lens, selections: { q: { type: 'search', text: 'tern' } }, sort: null, page: 1 });
  expect(found.items.map((item) => item.id)).toEqual(['y', 'x']);
});

test('BM25 weighs how often against how long, with b at 0.75', () => {
  // twice in 27 words against once in 10, with a mean of 18.5: the two are equal at b = 0.7255, so the short text wins
  // at 0.75 and would lose at 0.7
  const words = (count: number) => Array.from({ length: count }, (_, i) => `other${i}`).join(' ');
  const two = buildIndex({
    fields: index.fields.slice(),
    taxonomies: {},
    posts: [post('long', '', `tern tern ${words(25)}`), post('short', '', `tern ${words(9)}`)],
  });
  const inBody = lensOf({ facets: [{ key: 'q', kind: 'search', fields: ['body'] }] });
  const found = answer(two, { lens: inBody, selections: { q: { type: 'search', text: 'tern' } }, sort: null, page: 1 });
  expect(found.items.map((item) => item.id)).toEqual(['short', 'long']);
});

test('phrases, exclusions and respelling', () => {
  expect(ids('"little tern"')).toEqual(['a']);
  expect(ids('"tern little"')).toEqual([]);
  expect(ids('mud -tern')).toEqual(['d']);
  const slip = find('oystercatchrs');
  expect([slip.matched, slip.notices.map(({ code, value }) => [code, value])]).toEqual([
    1,
    [['respelled', 'oystercatchers']],
  ]);
});

test('what matched is marked in the original text', () => {
  const [first] = find('"little tern" mu').items;
  expect(first!.marks).toEqual({
    body: [
      [0, 6],
      [7, 11],
      [21, 24],
    ],
  });
  expect(find('ter').items.find((item) => item.id === 'a')!.marks).toEqual({ title: [[0, 5]], body: [[7, 11]] });
});
