import { readFile } from '@ivy/formats';
import { writeAtom } from './atom.js';
import type { Entry, Feed } from './feed.js';
import { writeJsonFeed } from './json-feed.js';

const bare: Entry = {
  ...{
    id: 'urn:ivy-lens:notes:1',
    title: 'One',
    link: '',
    image: '',
    published: '',
    summary: '',
    author: '',
    tags: [],
  },
};
const feedOf = (...entries: Entry[]): Feed => ({
  ...{ title: 'Notes & "more"', language: 'de', id: 'urn:ivy-lens:lens:notes', updated: '2026-03-04T00:00:00.000Z' },
  ...{ self: 'https://a.example/feed?a=1&b=2', page: 'https://a.example/l/notes?a=1&b=2', entries },
});

test('a post says what it has, and nothing of what it has not', () => {
  const { items } = JSON.parse(writeJsonFeed(feedOf(bare))) as { items: object[] };
  expect(items).toEqual([{ id: bare.id, title: 'One', content_text: 'One' }]);
  const atom = writeAtom(feedOf(bare));
  const entry = /<entry>.*<\/entry>/.exec(atom)![0];
  expect(entry).toBe(`<entry><id>${bare.id}</id><title>One</title><updated>2026-03-04T00:00:00.000Z</updated></entry>`);
});

test('signs of XML stand in addresses, titles and terms as they are meant', () => {
  const entry = {
    ...bare,
    title: '<b> & "c"',
    link: 'https://a.example/?x=1&y=2',
    tags: ['A & B'],
    summary: 'a\u0000b',
  };
  const atom = writeAtom(feedOf(entry));
  const { records } = readFile(new TextEncoder().encode(atom), 'feed.atom');
  const [record] = [...records] as Record<string, unknown>[];
  expect(Object.values(record!).flat()).toEqual(
    expect.arrayContaining(['<b> & "c"', 'https://a.example/?x=1&y=2', 'A & B', 'ab']),
  );
  expect(atom).toContain('xml:lang="de"');
  expect(atom).toContain('href="https://a.example/l/notes?a=1&amp;b=2"');
});

test('a feed without posts is one', () => {
  expect(JSON.parse(writeJsonFeed(feedOf()))).toMatchObject({ language: 'de', items: [] });
  expect(writeAtom(feedOf())).not.toContain('<entry>');
});
