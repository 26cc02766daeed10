import fc from 'fast-check';
import { field, lensOf } from '../../../test/arbitrary.js';
import { readAddress } from '../../address/read.js';
import { writeAddress } from '../../address/write.js';
import { answer } from '../../answer/answer.js';
import { buildIndex } from '../../engine/index/build.js';
import { checkLens } from '../../lens/check.js';
import { lensSchema, readLens } from '../../lens/lens.js';
import type { TermFacetAnswer } from '../terms/answer.js';
import { articlesOf, letterOf, rowOf } from './alphabet.js';

const titles = ['Avocet', 'ärger', 'The Bittern', '“Curlew”', '7 terns', 'étude', 'dunlin', '   ', '½ tide'];
const fields = [field('title', 'text', { role: 'title' }), field('kind', 'terms')];
const index = buildIndex({
  fields,
  taxonomies: { kind: [{ slug: 'wader', label: 'Wader', parent: null }] },
  posts: titles.map((title, i) => ({ id: `p${i}`, values: { title, ...(i % 2 === 0 && { kind: ['wader'] }) } })),
});
const lens = (more: object = {}, rest: object = {}) =>
  lensOf({
    facets: [
      { key: 'letter', kind: 'letters', field: 'title', ...more },
      { key: 'kind', kind: 'checkboxes', field: 'kind' },
    ],
    ...rest,
  });
const ask = (address: string, on = lens()) => answer(index, readAddress(address, on, index, 0).query);
const counts = (address: string, on = lens()) =>
  Object.fromEntries(
    (ask(address, on).facets[0] as TermFacetAnswer).options
      .filter((option) => option.count > 0)
      .map((option) => [option.label, option.count]),
  );

test('posts stand under the first letter of their folded text, digits under one, all else under another', () => {
  expect(counts('')).toEqual({ A: 2, D: 1, E: 1, T: 1, '0–9': 2, Other: 1 });
  const { options } = ask('').facets[0] as TermFacetAnswer;
  // a row is whole: letters without posts stand in it too
  expect(options.map((option) => option.label).join('')).toBe('ABCDEFGHIJKLMNOPQRSTUVWXYZ0–9Other');
  expect((ask('', lens({ zero: 'hide' })).facets[0] as TermFacetAnswer).options).toHaveLength(6);
});

test('one letter or several; what is counted beside them is counted without them', () => {
  expect(
    ask('letter=a,d')
      .items.map((item) => item.title)
      .sort(),
  ).toEqual(['Avocet', 'dunlin', 'ärger']);
  expect(counts('letter=a')).toEqual(counts(''));
  expect(counts('kind=wader')).toEqual({ A: 1, D: 1, T: 1, '0–9': 2 });
  expect(ask('letter=0-9').matched).toBe(2);
  expect(ask('letter=other').matched).toBe(1);
});

test('an address may say a letter in capitals or with its accent; what is none is told', () => {
  const read = (address: string, on = lens()) => readAddress(address, on, index, 0);
  expect(writeAddress(read('letter=A,É,d').query)).toBe('letter=a,d,e');
  expect(read('letter=ж').notices.map((notice) => notice.code)).toEqual(['unknown-term']);
  const one = read('letter=d,a', lens({ single: true }));
  expect([writeAddress(one.query), one.notices.map((notice) => notice.code)]).toEqual(['letter=d', ['single-choice']]);
});

test('a leading article counts, unless the lens passes it over', () => {
  expect(counts('', lens({ articles: 'pass' }))).toMatchObject({ B: 1 });
  expect(counts('', lens({ articles: 'pass' }, { language: 'de' }))).toMatchObject({ T: 1 });
  expect(letterOf('The', articlesOf('en'))).toBe('t');
  expect(letterOf("L'été", articlesOf('fr'))).toBe('e');
  expect(letterOf('Eine Ente', articlesOf('de-AT'))).toBe('e');
  expect(letterOf('Einen Zug', articlesOf('de'))).toBe('z');
});

test('letters stand in the order of the language, whatever script they are of', () => {
  const found = new Set(['z', 'ø', 'a', '0-9']);
  expect(rowOf(found, 'da').slice(-3)).toEqual(['z', 'ø', '0-9']);
  expect(rowOf(found, 'en').indexOf('ø')).toBe(rowOf(found, 'en').indexOf('o') + 1);
  expect(rowOf(new Set(['я', 'а']), 'ru')).toHaveLength(31);
  expect(rowOf(new Set(['東', '西']), 'ja').sort()).toEqual(['東', '西']);
  expect(rowOf(new Set(['other']), 'en')).toEqual(['other']);
});

test('any text stands under one letter at most, and that letter is in the row', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), fc.constantFrom('en', 'fr', 'ru'), (text, language) => {
      const letter = letterOf(text, articlesOf(language));
      if (letter === null) return expect(text.normalize('NFKD').replace(/\p{M}/gu, '').trim()).toBe('');
      expect(rowOf(new Set([letter]), language)).toContain(letter);
    }),
    { numRuns: 500 },
  );
});

test('only a field of text has letters; its settings are in the schema', () => {
  expect(checkLens(lens({ field: 'kind' }), fields)).toEqual([
    { pointer: '/facets/0/field', message: 'must be a field of text, and “kind” is not' },
  ]);
  const wrong = readLens({ facets: [{ key: 'a', kind: 'letters', field: 'title', articles: 'no' }] });
  expect(wrong.ok ? [] : wrong.problems.map(({ pointer }) => pointer)).toEqual(['/facets/0/articles']);
  expect(JSON.stringify(lensSchema())).toContain('"const":"letters"');
});
