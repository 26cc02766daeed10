import fc from 'fast-check';
import { readAddressList } from './address-list.js';

const found = (text: string) => {
  const read = readAddressList(text);
  return typeof read === 'string'
    ? read
    : read.addresses.map(({ address, name }) => (name ? `${name}: ${address}` : address));
};

test('a list is URLs one a line, with or without their pages; what is none is named with its line', () => {
  const text =
    'https://wardens.example/notes?habitat=mudflat,reedbed\n\n/notes\n# for the letter\n?q=little+tern\nkind=survey&page=2\nsee above\n';
  expect(found(text)).toEqual([
    'https://wardens.example/notes?habitat=mudflat,reedbed',
    '/notes',
    '?q=little+tern',
    'kind=survey&page=2',
  ]);
  expect(readAddressList(text)).toMatchObject({
    skipped: [{ line: 7, text: 'see above', reason: 'It is no address.' }],
  });
});

test('of a table the column of addresses is found, and what each is called', () => {
  const csv =
    '\uFEFFTitle;Visits;Where\nHome;12;/notes?habitat=mudflat\n"Board; north";3;/notes?habitat=reedbed,lagoon\n';
  expect(found(csv)).toEqual(['Home: /notes?habitat=mudflat', 'Board; north: /notes?habitat=reedbed,lagoon']);
  expect(found('name,address\nA,"https://a.example/?k=a,b"\nB,nothing\n')).toEqual(['A: https://a.example/?k=a,b']);
});

test('a sitemap gives its addresses; entities are characters, and pictures are no pages', () => {
  const xml = `<?xml version="1.0" encoding="UTF-8"?>
<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="urn:pictures">
  <url><loc>https://wardens.example/notes?habitat=mudflat&amp;kind=survey</loc><lastmod>2026-05-01</lastmod>
    <image:image><image:loc>https://wardens.example/a.png</image:loc></image:image></url>
  <url><loc><![CDATA[https://wardens.example/notes?q=a&page=2]]></loc></url>
</urlset>`;
  expect(found(xml)).toEqual([
    'https://wardens.example/notes?habitat=mudflat&kind=survey',
    'https://wardens.example/notes?q=a&page=2',
  ]);
});

test('what is no list is refused with what it is', () => {
  expect(found('')).toMatch(/empty/);
  expect(found('A note about the estuary.\nAnother one.')).toMatch(/no address/);
  expect(found('<sitemapindex><sitemap><loc>https://a.example/s.xml</loc></sitemap></sitemapindex>')).toMatch(
    /list of sitemaps/,
  );
  expect(found('<rss><channel/></rss>')).toMatch(/no sitemap/);
  expect(found('<urlset><url>')).toMatch(/can’t be read/);
  const bomb = '<!DOCTYPE a [<!ENTITY x "xxxxxxxx">]><urlset><url><loc>&x;</loc></url></urlset>';
  expect(found(bomb)).toMatch(/document type/);
});

test('no text makes it throw', () => {
  const part = fc.constantFrom(
    '<urlset>',
    '<loc>',
    '</loc>',
    '"',
    ',',
    ';',
    '\t',
    '\n',
    '?a=b',
    '/x',
    '&',
    'https://a.example/',
    '<',
    'é',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(part, { maxLength: 30 }).map((all) => all.join('')),
      ),
      (text) => {
        const read = readAddressList(text);
        expect(typeof read === 'string' ? read.length > 10 : read.addresses.length > 0).toBe(true);
      },
    ),
    { numRuns: 500 },
  );
});
