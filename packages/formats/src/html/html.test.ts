import { readFile } from '../read-file.js';

const read = (page: string, address = 'https://a.example/list/') => [
  ...readFile(new TextEncoder().encode(`<!doctype html>${page}`), 'a.html', { address }).records,
];
const ld = (value: unknown) => `<script type="application/ld+json">${JSON.stringify(value)}</script>`;

test('what marks most is read: a page with one entry and a list in JSON-LD is that list', () => {
  const things = [1, 2, 3].map((i) => ({ '@type': 'NewsArticle', headline: `N${i}` }));
  const page = `<div class="h-entry"><b class="p-name">One</b></div>${ld({ '@graph': things })}`;
  expect(read(page).map(({ title }) => title)).toEqual(['N1', 'N2', 'N3']);
});

test('a list that names its things elsewhere is those things', () => {
  const page = ld({
    '@graph': [
      { '@type': 'ItemList', itemListElement: [{ '@id': '#b' }, { '@id': '#a' }] },
      { '@type': 'Event', '@id': '#a', name: 'A' },
      { '@type': 'Event', '@id': '#b', name: 'B' },
    ],
  });
  expect(read(page).map(({ title }) => title)).toEqual(['B', 'A']);
});

test('a way through the site is no list of posts', () => {
  const crumbs = {
    '@type': 'BreadcrumbList',
    itemListElement: [1, 2, 3, 4].map((i) => ({ '@type': 'ListItem', position: i, name: `C${i}` })),
  };
  const page = `${ld(crumbs)}${ld([1, 2].map((i) => ({ '@type': 'Product', name: `P${i}`, offers: { price: i, priceCurrency: 'EUR' } })))}`;
  expect(read(page)).toMatchObject([{ title: 'P1', 'offers.price': '1' }, { title: 'P2' }]);
});

test('microdata: things within things, values in attributes, several of one name', () => {
  const item = (i: number) => `<article itemscope itemtype="http://schema.org/Event"><h3 itemprop="name">E${i}</h3>
<time itemprop="startDate" datetime="2026-05-0${i}">x</time><meta itemprop="keywords" content="walk, shore">
<span itemprop="performer">Ann</span><span itemprop="performer">Bo</span><img itemprop="image" src="/i/${i}.png">
<div itemprop="location" itemscope itemtype="http://schema.org/Place"><b itemprop="name">Quay</b></div></article>`;
  expect(read([1, 2].map(item).join(''))[0]).toEqual({
    ...{ title: 'E1', start: '2026-05-01', tags: ['walk', 'shore'], performer: ['Ann', 'Bo'], location: 'Quay' },
    image: 'https://a.example/i/1.png',
  });
});

test('microformats: what is not said follows from the heading and the first link', () => {
  const entry = (i: number) =>
    `<li class="h-entry"><h2><a href="${i}">Title ${i}</a></h2><p class="p-summary">S${i}</p><abbr class="dt-published" title="2026-05-0${i}">May</abbr></li>`;
  expect(read(`<ul>${entry(1)}${entry(2)}</ul>`)).toEqual([
    { title: 'Title 1', url: 'https://a.example/list/1', summary: 'S1', date_published: '2026-05-01' },
    { title: 'Title 2', url: 'https://a.example/list/2', summary: 'S2', date_published: '2026-05-02' },
  ]);
});

test('addresses are relative to the page, or to what it says they are', () => {
  const entry =
    '<div class="h-entry"><a class="u-url p-name" href="1">A</a></div><div class="h-entry"><a class="u-url p-name" href="javascript:x">B</a></div>';
  expect(read(`<base href="/notes/">${entry}`).map(({ url }) => url)).toEqual(['https://a.example/notes/1', undefined]);
  expect(read(entry)[0]!.url).toBe('https://a.example/list/1');
});

test('what frames a page is no list, however long it is', () => {
  const links = Array.from(
    { length: 20 },
    (_, i) => `<li><a href="/m/${i}">A long entry of the menu ${i}</a></li>`,
  ).join('');
  const cards = [1, 2, 3]
    .map((i) => `<section class="c"><h3><a href="/${i}">Walk ${i} along the wall</a></h3><p>Words on it.</p></section>`)
    .join('');
  expect(read(`<nav><ul>${links}</ul></nav><footer><ul>${links}</ul></footer><main>${cards}</main>`)).toHaveLength(3);
});

test('terms and values beside them are fields', () => {
  const card = (i: number) =>
    `<div class="w"><h3>Walk ${i}</h3><dl><dt>Leader:</dt><dd>Ann ${i}</dd><dt>Level</dt><dd>Easy</dd></dl></div>`;
  expect(read(`<main>${[1, 2, 3].map(card).join('')}</main>`)[0]).toEqual({
    title: 'Walk 1',
    leader: 'Ann 1',
    level: 'Easy',
    text: ['Leader:', 'Level'],
  });
});

test('a page with nothing that repeats is refused with what would do', () => {
  expect(() => read('<main><h1>About us</h1><p>Words.</p></main>')).toThrow('Nothing on this page repeats as posts do');
});
