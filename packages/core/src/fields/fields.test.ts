import { plainText } from '../text/plain-text.js';
import { slugify } from '../text/slug.js';
import { readNumber } from './values/numbers.js';
import { readDay, readMoment } from './values/dates.js';
import { describeFields } from './describe.js';
import { discoverFields } from './discover.js';
import { findFindings } from '../../test/findings.js';
import { readPosts } from './read/read-posts.js';

const rows = Array.from({ length: 12 }, (_, i) => ({
  note_id: `n-${i}`,
  title: `Note number ${i}`,
  summary: `A longer piece of text about what was seen on day ${i} of the walk.`,
  image: `/pictures/${i}.svg`,
  url: `https://example.org/notes/${i}`,
  published: `2026-01-0${(i % 9) + 1}T10:00:00Z`,
  observed: i === 3 ? 'late May' : `2026-02-${10 + i}`,
  habitat: i % 2 ? 'Shore > Mudflat' : 'Shore > Shingle | Wetland > Reedbed',
  tags: i % 3 ? 'tern;eel' : 'tern',
  kind: ['Survey', 'Sighting'][i % 2],
  minutes: String(i % 4),
  height: i === 5 ? '' : `${i}.5`,
  open: i % 2 ? 'yes' : 'no',
  body: '<p>Some <b>words</b></p>',
}));

test('tells what every field is', () => {
  const found = Object.fromEntries(
    discoverFields(rows).map((field) => [
      field.key,
      [field.type, field.role, field.separator, field.pathSeparator].join(' ').trim(),
    ]),
  );
  expect(found).toEqual({
    note_id: 'text id',
    title: 'text title',
    summary: 'text summary',
    image: 'image image',
    url: 'link link',
    published: 'datetime published',
    observed: 'date',
    habitat: 'terms  | >',
    tags: 'terms  ;',
    kind: 'terms',
    minutes: 'number',
    height: 'number',
    open: 'boolean',
    body: 'html body',
  });
});

const idOf = (records: Record<string, string>[]) => discoverFields(records).find(({ role }) => role === 'id')?.key;
const named = (values: readonly string[], key: string) =>
  values.map((value, i) => ({ [key]: value, about: `What is told of ${i} of them`, house: `${i % 2}-a` }));

test.each([
  ['Nr', ['V-01', 'V-02', 'V-03']],
  ['Artikelnummer', ['100', '200', '300']],
  ['номер', ['А1', 'А2', 'А3']],
  ['ISBN', ['978-3-1', '978-3-2', '978-3-3']],
  // by what it holds, whatever it is called
  ['Signatur', ['B-1', 'B-2', 'C-1', 'C-2', 'D-7']],
])('posts are known by %s', (key, values) => {
  expect(idOf(named(values, key))).toBe(key);
});

test.each([
  // two are the same, so that posts would be lost
  ['Nr', ['V-01', 'V-02', 'V-02', 'V-03']],
  ['Signatur', ['B-1', 'B-2', '', 'C-2', 'D-7']],
  ['Signatur', ['Otter', 'Eel', 'Tern', 'Gull', 'Reed']],
  ['Signatur', ['1 a', '2 b', '3 c', '4 d', '5 e']],
  // what people are reached by is nobody's name, and where they live neither
  [
    'Phone number',
    ['+44 20 7946 0001', '+44 20 7946 0002', '+44 20 7946 0003', '+44 20 7946 0004', '+44 20 7946 0005'],
  ],
  ['Telefonnummer', ['0151-2345671', '0151-2345672', '0151-2345673', '0151-2345674', '0151-2345675']],
  ['mobile', ['0151-2345671', '0151-2345672', '0151-2345673', '0151-2345674', '0151-2345675']],
  ['IBAN', ['DE02120300000000202051', 'DE02500105170137075030', 'DE02100500000054540402', 'DE1', 'DE2']],
  // words that end like one
  ['Vino', ['Albana', 'Barbera', 'Cannonau', 'Dolcetto', 'Erbaluce']],
  ['href', ['https://a.example/1', 'https://a.example/2', 'https://a.example/3']],
  // of so few, much has a value of its own by chance
  ['Signatur', ['B-1', 'B-2', 'C-1']],
])('%s of %p names no post', (key, values) => {
  expect(idOf(named(values, key))).toBeUndefined();
});

test('what has an address of its own is known by that, where nothing is called an id', () => {
  const records = named(['B-1', 'B-2', 'B-3', 'B-4', 'B-5'], 'Signatur').map((one, i) => ({
    ...one,
    url: `https://example.org/${i}`,
  }));
  expect(idOf(records)).toBeUndefined();
});

test('reads lists, objects and numbers of JSON', () => {
  const records = [
    { id: 1, name: 'A', tags: ['x', 'y'], terms: [{ name: 'Mud', slug: 'm' }], n: 1.5, on: true },
    { id: 2, name: 'B', tags: ['y'], terms: [], n: -2, on: false },
  ];
  const reading = readPosts(records, discoverFields(records));
  expect(reading.posts[0]).toEqual({
    id: '1',
    values: { id: 1, name: 'A', tags: ['x', 'y'], terms: ['mud'], n: 1.5, on: true },
  });
  expect(reading.posts[1]!.values.terms).toBeUndefined();
});

test('makes a tree of paths, each term once, and says what it could not read', () => {
  const reading = readPosts(rows, discoverFields(rows));
  expect(reading.taxonomies.habitat).toEqual([
    { slug: 'shore', label: 'Shore', parent: null },
    { slug: 'shingle', label: 'Shingle', parent: 'shore' },
    { slug: 'wetland', label: 'Wetland', parent: null },
    { slug: 'reedbed', label: 'Reedbed', parent: 'wetland' },
    { slug: 'mudflat', label: 'Mudflat', parent: 'shore' },
  ]);
  const found = findFindings(rows).map(({ id, posts, values, text }) => [id, posts, values, text]);
  expect(found).toContainEqual(['unreadable-values~observed', 1, ['late May'], 'One date cannot be read.']);
  expect(found).toContainEqual(['gaps~height', 1, [], 'One post has nothing here.']);
});

test('finds spellings that may be one term', () => {
  const records = ['Mudflat', 'mudflat ', 'Mud flat', 'Mudflat', 'Reed', 'Reed', 'Reed', 'Mudflat'].map((kind, i) => ({
    id: `${i}`,
    kind,
  }));
  const reading = readPosts(records, discoverFields(records));
  expect(findFindings(records).map(({ code, posts, values, text }) => [code, posts, values, text])).toEqual([
    ['near-twins', 2, ['Mudflat', 'mudflat', 'Mud flat'], '3 spellings may be one term.'],
  ]);
  expect(reading.taxonomies.kind!.map((term) => term.slug)).toEqual(['mudflat', 'mudflat-2', 'mud-flat', 'reed']);
});

test('a record without values, or with an id that was there before, is rejected with its number', () => {
  const records = [
    { id: 'a', title: 'One' },
    { id: '', title: '' },
    { id: 'b', title: 'Two' },
    { id: 'a', title: 'Again' },
  ];
  const fields = discoverFields(records).map((field) =>
    field.key === 'id' ? { ...field, role: 'id' as const } : field,
  );
  expect(readPosts(records, fields).rejected.map((one) => one.record)).toEqual([2, 4]);
});

test('slugs stay the same when a file is brought in again', () => {
  const records = [{ kind: 'New' }, { kind: 'Survey' }];
  const fields = [{ ...discoverFields(rows).find((field) => field.key === 'kind')! }];
  const known = { kind: [{ slug: 'old-slug', label: 'Survey', parent: null }] };
  expect(readPosts(records, fields, known).posts.map((post) => post.values.kind)).toEqual([['new'], ['old-slug']]);
});

test('a link that would run a script is no link', () => {
  const records = [{ url: 'https://example.org/a' }, { url: 'javascript:alert(1)' }];
  const fields = [{ ...discoverFields(rows).find((field) => field.key === 'url')! }];
  expect(readPosts(records, fields).posts.map((post) => post.values.url)).toEqual(['https://example.org/a', undefined]);
});

test.each([
  ['2026-03-05', true, '2026-03-05'],
  ['5/3/2026', true, '2026-03-05'],
  ['5/3/2026', false, '2026-05-03'],
  ['5.3.2026', false, '2026-03-05'],
  ['5 March 2026', true, '2026-03-05'],
  ['Mar 5, 2026', true, '2026-03-05'],
  ['29.2.2024', true, '2024-02-29'],
  ['29.2.2026', true, null],
  ['31/02/2026', true, null],
  ['late May', true, null],
])('%s is the day %s', (text, dayFirst, expected) => {
  expect(readDay(text, dayFirst)).toBe(expected);
});

test.each([
  ['2026-03-05T10:20', '2026-03-05T10:20:00'],
  ['2026-03-05 10:20:30Z', '2026-03-05T10:20:30Z'],
  ['2026-03-05T10:20:30.123+0130', '2026-03-05T10:20:30+01:30'],
  ['Sat, 07 Mar 2026 10:00:00 +0100', '2026-03-07T10:00:00+01:00'],
  ['2026-03-05T25:00', null],
])('%s is the moment %s', (text, expected) => {
  expect(readMoment(text)).toBe(expected);
});

test('numbers are plain figures; an id with a leading zero is not one', () => {
  expect(['12', '-0.5', '1,250.5', '007', '1,25', ''].map((text) => readNumber(text))).toEqual([
    12,
    -0.5,
    1250.5,
    null,
    null,
    null,
  ]);
});

test('slugs take letters of any script and never a comma', () => {
  expect(['Terns & gulls', 'Äsche, klein', '東京 湾', '!!!'].map(slugify)).toEqual([
    'terns-and-gulls',
    'äsche-klein',
    '東京-湾',
    'x',
  ]);
});

test('the words of HTML, and nothing of its scripts', () => {
  expect(plainText('<p>Tea &amp; <b>toast</b> &#x41;</p><script>alert(1)</script>')).toBe('Tea & toast A');
});

test('describes what a field holds', () => {
  const described = describeFields(readPosts(rows, discoverFields(rows)));
  const minutes = described.find((field) => field.key === 'minutes')!;
  expect([minutes.filled, minutes.distinct, minutes.spread!.low, minutes.spread!.high]).toEqual([12, 4, 0, 3]);
  expect(minutes.spread!.counts.reduce((sum, count) => sum + count, 0)).toBe(12);
  expect(described.find((field) => field.key === 'kind')!.samples).toEqual(['Survey', 'Sighting']);
});
