import { addressesBeside, fieldsOfIds, isCalledAfter, joinedRecords, joinOf } from './joins.js';
import { withoutLinks } from './hal.js';
import { readFile } from '../read-file.js';

const notes = [
  { id: 1, title: 'A', author: 7, tags: [3, 4], minutes: 5 },
  { id: 2, title: 'B', author: 8, tags: [3], minutes: 5 },
  { id: 3, title: 'C', author: 7, tags: [], minutes: 9 },
];

test('ids are what comes again or stands in lists, and is neither the post’s own nor a measure', () => {
  expect(fieldsOfIds(notes)).toEqual(['author', 'tags']);
});

test('a list that knows most ids tells their names, and what it does not know stays', () => {
  const authors = [
    { id: 7, name: 'Ann', slug: 'ann' },
    { id: 9, name: 'Cy' },
    { id: 8, name: 'Bo' },
  ];
  const join = joinOf('author', '/authors', notes, authors)!;
  expect([join.key, join.label]).toEqual(['id', 'name']);
  const told = [...joinedRecords(notes, [join])];
  expect(told.map(({ author }) => author)).toEqual(['Ann', 'Bo', 'Ann']);
  expect(joinOf('author', '/authors', notes, [{ id: 70, name: 'Ann' }])).toBeNull();
  expect(joinOf('author', '/authors', notes, [{ id: 7, age: 3 }])).toBeNull();
  expect([...joinedRecords([{ tags: [3, 99] }], [{ ...join, field: 'tags', labels: { 3: 'Birds' } }])]).toEqual([
    { tags: ['Birds', 99] },
  ]);
});

test.each([
  ['author_id', 'authors', true],
  ['category', 'categories', true],
  ['meta.author', 'author', true],
  ['author', 'tags', false],
])('%s is called after %s: %s', (field, list, is) => {
  expect(isCalledAfter(field, list)).toBe(is);
});

test('names are looked for beside the endpoint', () => {
  expect(addressesBeside('https://a.example/api/v2/notes?per=5', 'category_ids')).toEqual([
    'https://a.example/api/v2/categories',
    'https://a.example/api/v2/category',
  ]);
  expect(addressesBeside('https://a.example/data/notes.json', 'author')[0]).toBe('https://a.example/data/authors.json');
});

test('what is embedded takes the place of the ids that stand for it', () => {
  const record = {
    ...{ id: 1, author: 7, habitats: [3, 4], kinds: [5] },
    _links: { self: { href: '/n/1' }, author: { href: '/a/7' } },
    _embedded: {
      author: { id: 7, name: 'Ann' },
      terms: [
        [
          { id: 3, name: 'Mudflat' },
          { id: 4, name: 'Lagoon' },
        ],
        [{ id: 5, name: 'Walk' }],
      ],
    },
  };
  expect(withoutLinks(record)).toEqual({
    ...{ id: 1, url: '/n/1', author: 'Ann', kinds: [{ id: 5, name: 'Walk' }] },
    habitats: [
      { id: 3, name: 'Mudflat' },
      { id: 4, name: 'Lagoon' },
    ],
  });
  expect(withoutLinks({ a: 1 })).toEqual({ a: 1 });
});

test('ids that another list of the same document has names for are told by them', () => {
  const document = {
    authors: [
      { id: 7, name: 'Ann' },
      { id: 8, name: 'Bo' },
    ],
    notes,
  };
  const { records, joins } = readFile(new TextEncoder().encode(JSON.stringify(document)), 'a.json');
  expect([...records].map(({ author }) => author)).toEqual(['Ann', 'Bo', 'Ann']);
  expect(joins).toEqual([{ field: 'author', from: '/authors', key: 'id', label: 'name' }]);
});
