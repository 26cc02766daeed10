import { languagesIn, readPageQuery } from './page-query.js';

const plain = { prefix: null, scope: '', driven: '', languages: [] };

test('what a page sets for itself is no part of its address', () => {
  expect(readPageQuery('habitat=mudflat&page=2')).toEqual({
    own: plain,
    from: 1,
    address: 'habitat=mudflat&page=2',
  });
  expect(readPageQuery('~prefix=b-&~scope=kind%3Asurvey&%7Elang=de&~from=3&b-habitat=mudflat&utm=x')).toEqual({
    own: { prefix: 'b-', scope: 'kind:survey', driven: '', languages: ['de'] },
    from: 3,
    address: 'b-habitat=mudflat&utm=x',
  });
});

test('a page that can’t be is the first one, and other names with a tilde stay in the address', () => {
  expect(readPageQuery('~from=0&~x=1')).toEqual({ own: plain, from: 1, address: '~x=1' });
  expect(readPageQuery('~from=-2').from).toBe(1);
  expect(readPageQuery('~from=9999999999').from).toBe(1);
});

test('tags of languages are read as far as they are some', () => {
  expect(languagesIn('de-AT, de;q=0.8, *;q=0.1, en')).toEqual(['de-AT', 'de', 'en']);
  expect(languagesIn(null)).toEqual([]);
});
