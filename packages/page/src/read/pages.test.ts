import { Page } from '../../test/page.js';

const item = (title: string, kind: string) =>
  `<li><a data-ivy-field="title" href="n/${title}">${title}</a> <b data-ivy-field="kind">${kind}</b></li>`;
const pages: Record<string, string[]> = {
  1: [item('a', 'Works'), item('b', 'Call')],
  2: [item('c', 'Works'), item('d', 'Works')],
  3: [item('e', 'Call')],
};
const pager = (page: number) =>
  `<nav data-ivy-pager="notices">${page > 1 ? `<a rel="prev" href="?page=${page - 1}">Back</a>` : ''}<a href="?page=1">1</a>${page < 3 ? `<a rel="next" href="?page=${page + 1}">Next</a>` : ''}</nav>`;
const body = (page: number) =>
  `<form data-ivy-for="notices"><select name="kind"><option value="">All</option><option>Works</option><option>Call</option></select></form>
  <b data-ivy-total="notices"></b><ul data-ivy-list="notices">${pages[page]!.join('')}</ul>${pager(page)}`;

let asked: string[];
let answers: (url: string) => { ok: boolean; url: string; text: () => Promise<string> };
let page: Page;
beforeEach(() => {
  asked = [];
  answers = (url) => ({
    ok: true,
    url,
    text: () => Promise.resolve(`<!doctype html>${body(Number(new URL(url).searchParams.get('page') ?? 1))}`),
  });
  globalThis.fetch = ((url: string) => {
    asked.push(url.replace(location.origin, ''));
    return Promise.resolve(answers(url));
  }) as unknown as typeof fetch;
});
afterEach(() => page.close());

test('what the other pages have is chosen from as well, and the page keeps its size and its pager', async () => {
  page = await Page.open(body(1));
  expect([asked, page.shown, page.text('[data-ivy-total]')]).toEqual([
    ['/notices?page=2', '/notices?page=3'],
    ['a', 'b'],
    '5',
  ]);
  await page.type('[name=kind]', 'Works');
  expect([page.shown, page.text('nav'), location.search]).toEqual([['a', 'c'], '1 2 Next', '?kind=works']);
  await page.press('nav a[rel=next]');
  expect([page.shown, location.search]).toEqual([['d'], '?kind=works&page=2']);
  // what stood on another page leads where it led from there
  expect(page.element<HTMLAnchorElement>('li:not([hidden]) a').href).toBe(`${location.origin}/n/d`);
});

test('a page in the middle has those before it too', async () => {
  page = await Page.open(body(2), '?page=2');
  expect([asked.sort(), page.shown, page.text('[data-ivy-total]'), location.search]).toEqual([
    ['/notices?page=1', '/notices?page=3'],
    ['c', 'd'],
    '5',
    '?page=2',
  ]);
});

test('a page that can’t be read is told, and the rest serves', async () => {
  answers = (url) => ({ ok: !url.includes('page=3'), url, text: () => Promise.resolve(body(2)) });
  page = await Page.open(body(1));
  expect([page.text('[data-ivy-total]'), page.told[0]]).toEqual([
    '4',
    expect.stringContaining('not every page of it could be read'),
  ]);
});

test('a page of another site is not followed', async () => {
  page = await Page.open(body(1).replace('href="?page=2"', 'href="https://elsewhere.example/2"'));
  expect([asked, page.text('[data-ivy-total]'), page.shown]).toEqual([[], '2', ['a', 'b']]);
});

test('pages that lead round in a circle end', async () => {
  answers = (url) => ({ ok: true, url, text: () => Promise.resolve(body(1)) });
  page = await Page.open(body(1));
  expect(asked).toEqual(['/notices?page=2']);
});

test('a last page that is shorter does not make the others shorter', async () => {
  pages[2] = ['c', 'd'].map((title) => item(title, 'Works'));
  page = await Page.open(body(3), '?page=3');
  expect([page.shown, page.text('nav').endsWith('3')]).toEqual([['e'], true]);
  await page.press('nav a[rel=prev]');
  expect(page.shown).toEqual(['c', 'd']);
});

test('a page that draws its list anew keeps what came from its other pages', async () => {
  page = await Page.open(body(1));
  page.element('[data-ivy-list]').innerHTML = [item('x', 'Works'), item('y', 'Call')].join('');
  await page.settle();
  expect([page.shown, page.text('[data-ivy-total]')]).toEqual([['x', 'y'], '5']);
  await page.type('[name=kind]', 'Works');
  expect(page.shown).toEqual(['x', 'c']);
});

test('a page that has no item itself has those of the others', async () => {
  page = await Page.open(body(1).replace(/<ul data-ivy-list="notices">.*<\/ul>/, '<ul data-ivy-list="notices"></ul>'));
  expect([page.shown, page.text('[data-ivy-total]')]).toEqual([['c', 'd'], '3']);
});
