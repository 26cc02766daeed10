import fc from 'fast-check';
import { asked, collection, field, lensOf } from '../../test/arbitrary.js';
import { buildIndex } from '../engine/index/build.js';
import { answer } from '../answer/answer.js';
import { sortOf } from '../lens/sort.js';
import { encodePart, splitAddress } from '../text/parameters.js';
import { readAddress } from './read.js';
import { AddressWriter, writeAddress } from './write.js';

const index = buildIndex({
  fields: [
    field('habitat', 'terms', { tree: true }),
    field('kind', 'terms'),
    field('open', 'boolean'),
    field('seen', 'date'),
    field('minutes', 'number'),
    field('title', 'text'),
  ],
  taxonomies: {
    habitat: [
      { slug: 'shore', label: 'Shore', parent: null },
      { slug: 'mudflat', label: 'Mudflat', parent: 'shore', aliases: ['mud'] },
      { slug: 'reedbed', label: 'Reedbed', parent: null },
    ],
    kind: [
      { slug: 'survey', label: 'Survey', parent: null },
      { slug: 'vögel-東', label: 'Vögel 東', parent: null },
    ],
  },
  posts: [],
});
const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'tree', field: 'habitat', aliases: ['zone'] },
    { key: 'kind', kind: 'radios', field: 'kind' },
    { key: 'open', kind: 'switch', field: 'open' },
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'seen', kind: 'date-range', field: 'seen' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
  sort: {
    options: [
      { key: 'a', label: 'A', field: 'kind' },
      { key: 'b', label: 'B', field: 'kind' },
    ],
    default: 'b',
  },
});
const now = Date.UTC(2026, 2, 31, 12);
const read = (address: string) => readAddress(address, lens, index, now);
const canonical = (address: string) => writeAddress(read(address).query);
const codes = (address: string) => read(address).notices.map((notice) => notice.code);

test('reading undoes writing', () => {
  fc.assert(
    fc.property(asked, ({ collection: posts, query }) => {
      const back = readAddress(writeAddress(query), query.lens, buildIndex(posts), now);
      const sort = query.sort === sortOf({ ...query, sort: null })?.key ? null : query.sort;
      // which pages stand there already is no part of an address
      const { from: _from, ...written } = query;
      expect(back.query).toEqual({ ...written, sort });
      expect(back.notices).toEqual([]);
    }),
    { numRuns: 1000 },
  );
});

test('an address without a choice is that of the first page without it', () => {
  fc.assert(
    fc.property(asked, ({ query }) => {
      const written = new AddressWriter(query);
      expect(written.whole).toBe(writeAddress(query));
      for (const facet of query.lens.facets) {
        const { [facet.key]: _, ...selections } = query.selections;
        expect(written.without(facet)).toBe(writeAddress({ ...query, selections, page: 1 }));
      }
    }),
    { numRuns: 300 },
  );
});

test('any text at all is read, and its canonical form is stable', () => {
  const piece = fc.oneof(
    fc.constantFrom(
      'habitat',
      'zone',
      'kind',
      'open',
      'sort',
      'page',
      '=',
      '&',
      ',',
      'mudflat',
      'q',
      'seen',
      'minutes',
      '2026',
      '-03',
      '/',
      '..',
      'P3D',
      '0.5',
      '"',
      '-a',
      'x'.repeat(120),
      'mud',
      'shore',
      'yes',
      'no',
      'b',
      '%',
      '%E6',
      '%FF',
      '+',
      '?',
      '#',
      '0',
      '-1',
      '7',
      '%00',
      '\ud800',
    ),
    fc.string({ unit: 'binary', maxLength: 8 }),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const once = canonical(pieces.join(''));
      expect(canonical(once)).toBe(once);
      expect(codes(once)).toEqual([]);
    }),
    { numRuns: 1500 },
  );
});

test('every address gets an answer', () => {
  fc.assert(
    fc.property(collection, fc.string({ unit: 'binary' }), (posts, address) => {
      const on = lensOf({ facets: [{ key: 'habitat', kind: 'tree', field: 'habitat' }] });
      const built = buildIndex(posts);
      const { query, notices } = readAddress(`habitat=${address}`, on, built, now);
      expect(answer(built, query, notices).total).toBe(posts.posts.length);
    }),
    { numRuns: 500 },
  );
});

test.each([
  ['habitat=reedbed&habitat=mudflat', 'habitat=mudflat,reedbed', []],
  ['?habitat=reedbed,mudflat', 'habitat=mudflat,reedbed', []],
  ['habitat=shore,mudflat', 'habitat=mudflat', []],
  ['habitat=mud', 'habitat=mudflat', ['moved']],
  ['zone=reedbed', 'habitat=reedbed', ['moved']],
  ['habitat=mudfat', '', ['unknown-term']],
  ['habitat=', '', []],
  ['kind=survey,v%C3%B6gel-%E6%9D%B1', 'kind=survey', ['single-choice']],
  ['kind=v%C3%B6gel-%E6%9D%B1', 'kind=v%C3%B6gel-%E6%9D%B1', []],
  ['open=yes', 'open=yes', []],
  ['open=perhaps', '', ['bad-switch']],
  ['sort=a', 'sort=a', []],
  ['sort=b', '', []],
  ['sort=z', '', ['unknown-sort']],
  ['q=tern&sort=b', 'q=tern&sort=b', []],
  ['page=3', 'page=3', []],
  ['page=0', '', ['page-clamped']],
  ['page=two', '', ['page-clamped']],
  ['q=little+tern', 'q=little+tern', []],
  ['q=+a,b++%22c+d%22+', 'q=a,b+%22c+d%22', []],
  ['q=%21', '', []],
  ['seen=2026-03', 'seen=2026-03-01/2026-03-31', []],
  ['seen=P30D', 'seen=2026-03-02/2026-03-31', []],
  ['seen=2026-05/2026-03', 'seen=2026-03-01/2026-05-31', ['range-reversed']],
  ['seen=soon', '', ['bad-date']],
  ['seen=2025&seen=2026', 'seen=2025-01-01/2025-12-31', ['single-choice']],
  ['minutes=5/10', 'minutes=5/10', []],
  ['minutes=5/', 'minutes=5/..', []],
  ['minutes=../-0.50', 'minutes=../-0.5', []],
  ['minutes=10/5', 'minutes=5/10', ['range-reversed']],
  ['minutes=7', 'minutes=7/7', []],
  ['minutes=ten', '', ['bad-number']],
  ['page=2&open=no&kind=survey&habitat=reedbed&sort=a', 'habitat=reedbed&kind=survey&open=no&sort=a&page=2', []],
])('%s is read as %s', (address, expected, notices) => {
  expect(canonical(address)).toBe(expected);
  expect(codes(address)).toEqual(notices);
});

test('what is not the lens’s stays as it came, in its order', () => {
  expect(read('utm=a%20b&habitat=reedbed&x&y=%FF').foreign).toEqual(['utm=a%20b', 'x', 'y=%FF']);
});

test('a prefix keeps two lenses on one page apart', () => {
  const prefixed = lensOf({ ...lens, address: { ...lens.address, prefix: 'n-' } });
  const { query, foreign } = readAddress('habitat=reedbed&n-habitat=mudflat&n-page=2', prefixed, index, now);
  expect(foreign).toEqual(['habitat=reedbed']);
  expect(writeAddress(query)).toBe('n-habitat=mudflat&n-page=2');
});

test('limits hold: fifty values a facet, 8,192 characters in all', () => {
  const many = Array.from({ length: 60 }, (_, i) => `t${i}`).join(',');
  expect(codes(`habitat=${many}`).filter((code) => code === 'too-many')).toEqual(['too-many']);
  expect(codes(`habitat=${'x'.repeat(8200)}`)).toEqual(['too-long']);
});

test('writing keeps , / : and . readable and a space a plus', () => {
  expect(encodePart('a b,c/d:e.f&g=h')).toBe('a+b,c/d:e.f%26g%3Dh');
  expect(splitAddress('a=b+c%2Bd')).toEqual([{ name: 'a', value: 'b c+d', raw: 'a=b+c%2Bd' }]);
});

test('marked posts are kept by id; those that are gone are passed over, and there is an end to them', () => {
  const posts = Array.from({ length: 210 }, (_, i) => ({ id: `p${i}`, values: {} }));
  const marked = buildIndex({ fields: [], taxonomies: {}, posts });
  const own = lensOf({ facets: [{ key: 'saved', kind: 'favourites' }] });
  const asked = (address: string) => readAddress(address, own, marked, now);
  expect(writeAddress(asked('saved=p9,gone&saved=p10,p9').query)).toBe('saved=p10,p9');
  expect(asked('saved=p9,gone').notices).toEqual([
    { code: 'unknown-post', facet: 'saved', value: 'gone', text: 'There is no post “gone” any more.' },
  ]);
  expect(asked('saved=gone').query.selections).toEqual({});
  const many = asked(`saved=${posts.map((post) => post.id).join()}`);
  expect(many.notices.map((notice) => notice.code)).toEqual(['too-many']);
  expect(answer(marked, many.query).matched).toBe(200);
});

describe('a switch that starts as yes', () => {
  const lens = lensOf({ facets: [{ key: 'open', kind: 'switch', field: 'open', start: 'yes' }] });
  const index = buildIndex({ fields: [field('open', 'boolean')], taxonomies: {}, posts: [] });
  test.each([
    ['', true, ''],
    ['open=yes', true, ''],
    ['open=no', false, 'open=no'],
    ['open=either', undefined, 'open=either'],
    // a form whose box is not ticked sends the empty value alone, one whose box is ticked both
    ['open=', undefined, 'open=either'],
    ['open=&open=yes', true, ''],
    ['open=perhaps', true, ''],
  ])('reads “%s”', (address, on, canonical) => {
    const { query } = readAddress(address, lens, index, now);
    expect(query.selections.open).toEqual(on === undefined ? undefined : { type: 'switch', on });
    expect(writeAddress(query)).toBe(canonical);
  });
});
