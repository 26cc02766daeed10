import { nextInHeader, nextOf, numberedPage, waysToTry } from './next-page.js';

const json = (value: unknown) => new TextEncoder().encode(JSON.stringify(value));
const at = 'https://a.example/api/notes?kind=x';
const next = (value: unknown, more: object = {}) =>
  nextOf({ address: at, link: '', format: 'json', bytes: json(value), ...more });

test.each([
  ['</api/notes?page=2>; rel="next"', '/api/notes?page=2'],
  ['<a?page=1>; rel=prev, <a?page=3>; rel=next', 'a?page=3'],
  ['<a>; title="one, two; three"; rel="last next"', 'a'],
  ['<a>; rel="first"', null],
  ['', null],
])('the header %j leads to %j', (header, target) => {
  expect(nextInHeader(header)).toBe(target);
});

test.each([
  [{ next: '/api/notes?after=9' }, 'https://a.example/api/notes?after=9', 'next'],
  [{ meta: { next_page: 'https://a.example/2' } }, 'https://a.example/2', 'meta.next_page'],
  [{ _links: { next: { href: '?page=2' } } }, 'https://a.example/api/notes?page=2', '_links.next'],
  [{ '@odata.nextLink': 'https://a.example/s' }, 'https://a.example/s', '@odata.nextLink'],
  [
    { version: 'https://jsonfeed.org/version/1.1', next_url: 'https://a.example/f2' },
    'https://a.example/f2',
    'next_url',
  ],
])('%j leads on', (body, address, field) => {
  expect(next(body)).toEqual({ address, paging: { by: 'field', field } });
});

test.each([
  { next: null },
  { next: 'token-9' },
  { next: at },
  { items: [{ next: '/2' }] },
  { next: 'javascript:alert(1)' },
])('%j leads nowhere', (body) => {
  expect(next(body)).toBeNull();
});

test('feeds and pages lead on by their links', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  const feed = bytes('<feed><link rel="self" href="/a"/><link rel="next" href="/a?page=2&amp;x=1"/></feed>');
  expect(next({}, { bytes: feed, format: 'atom' })?.address).toBe('https://a.example/a?page=2&x=1');
  const page = bytes('<html><a rel="nofollow next" href="?page=2">Older</a>');
  expect(next({}, { bytes: page, format: 'html' })?.address).toBe('https://a.example/api/notes?page=2');
});

test('numbers go on from those the address has', () => {
  expect(waysToTry('https://a.example/?start=20')).toEqual([{ by: 'offset', parameter: 'start' }]);
  expect(numberedPage('https://a.example/?p=3', { by: 'page', parameter: 'p' }, 2, 40)).toBe('https://a.example/?p=5');
  expect(numberedPage('https://a.example/', { by: 'offset', parameter: 'offset' }, 2, 40)).toBe(
    'https://a.example/?offset=40',
  );
});
