import { act } from 'react';
import { BesideServer } from '../../test/beside-server.js';
import { fieldOf } from '../../test/field-of.js';
import { lensOf } from '../../test/lens-of.js';
import { FromPage, MappingPage } from './mapping-page.js';

const card = (title: string, kind: string, day: string) =>
  `<li class="card"><h3 class="title"><a href="/n/${title}">${title}</a></h3><b class="kind">${kind}</b><time datetime="${day}">x</time></li>`;
const form = `<form><fieldset><legend>Kind</legend><label><input type="checkbox" name="kind" value="works"> Works</label>
  <label><input type="checkbox" name="kind" value="Gone"> Gone</label></fieldset></form>`;
const write = (cards: string, next = '') =>
  `<title>News | Wardens</title>${form}<ul class="posts">${cards}</ul><nav class="pages"><a href="/news" aria-current="page">1</a> <a href="/news?page=2">2</a>${next}</nav><script>document.title = 'ran'</script>`;
const first = write(
  card('a', 'Works', '2026-05-01') + card('b', 'Call', '2026-05-02') + card('c', 'Works', '2026-05-03'),
);
const second = `<ul class="posts">${card('d', 'Works', '2026-05-04')}</ul><nav class="pages"><a href="/news">1</a> <a href="/news?page=2" aria-current="page">2</a></nav>`;

const page = new BesideServer();
const pages = new Map<string, string>();
beforeEach(() => {
  page.open();
  pages.clear();
  pages.set('https://w.example/news', first).set('https://w.example/news?page=2', second);
  page.says.set('POST /pages', (init) => {
    const { page: address } = JSON.parse(init!.body as string) as { page: string };
    const html = pages.get(address);
    const body =
      html === undefined ? { status: 422, code: 'page-failed', detail: 'It can’t be read.' } : { address, html };
    return Promise.resolve({
      ok: html !== undefined,
      status: html === undefined ? 422 : 200,
      json: () => Promise.resolve(body),
    } as Response);
  });
  page.answer('GET /about', { publicUrl: null });
});
afterEach(() => page.close());

const rows = () => page.texts('nav[aria-label="What is marked"] li button').map((one) => one.replace(/\s+/g, ' '));
const take = async (start: string) => {
  const button = [...page.element.querySelectorAll<HTMLElement>('nav[aria-label="What is marked"] button')].find(
    (one) => one.textContent.trim().startsWith(start),
  );
  if (!button) throw new Error(`No row begins with ${start}: ${rows().join('; ')}`);
  act(() => button.click());
  await page.settle();
};
async function open(): Promise<void> {
  await page.visit(<FromPage />, '/from-page');
  page.type('Address of the page', 'https://w.example/news');
  await page.pressAndSettle('Show it');
}

test('a list is taken, its fields, controls and places all at once; the pages after it come along', async () => {
  await open();
  expect(rows()[0]).toMatch(/^a.*3 alike$/);
  await take('a');
  for (const one of ['take all', 'Kind', 'Pager']) await take(one);
  await page.settle();
  expect(rows()).toEqual(['Listone', 'Item3 alike', 'title4', 'kind4', 'date4', 'Kind1 differ', 'Pager1']);
  expect(page.words).toContain('and 1 page after it');
  expect(page.words.replace(/\s+/g, ' ')).toContain('4 items, 3 fields, 1 controls');
});

test('what a control offers stands beside what the items have, whatever its case', async () => {
  await open();
  await take('a');
  await take('take all');
  await take('Kind');
  expect(page.texts('aside section li')).toEqual(['WorksWorks2', 'Gonenone']);
  await page.pressAndSettle('all ticked');
  expect(page.words).toContain('data-ivy-match="all"');
  await page.pressAndSettle('ours, here');
  expect(page.texts('aside section li')).toEqual(['WorksWorks2', 'CallCall1']);
  await page.pressAndSettle('Undo');
  await page.pressAndSettle('Undo');
  expect(page.words).not.toContain('data-ivy-match');
});

test('a field is renamed, read another way and taken away again', async () => {
  await open();
  await take('a');
  await take('take all');
  await take('kind');
  page.type('Name', 'sort of');
  page.leave('Name');
  await page.settle();
  expect(rows()).toContain('sort of3');
  page.type('Reads as', 'text');
  await page.settle();
  expect(page.words).toContain('data-ivy-type="text"');
  await page.pressAndSettle('Take the mark of sort of away');
  expect(rows().some((row) => row.startsWith('sort of3'))).toBe(false);
});

test('what is kept is a source of the items, and a lens with the marks and a facet for each control', async () => {
  const source = {
    slug: 'news',
    fields: [fieldOf('title', 'text', { role: 'title' }), fieldOf('kind', 'terms'), fieldOf('date', 'date')],
  };
  page.answer('POST /sources', source);
  page.answer('POST /lenses', { slug: 'news', name: 'News', draft: lensOf({}) });
  await open();
  await take('a');
  for (const one of ['take all', 'Kind', 'Pager']) await take(one);
  await page.settle();
  await page.pressAndSettle('Keep the mapping');
  const [file] = page.sent.flatMap(([what, body]) =>
    what === 'POST /sources' ? ((body as FormData).get('file') as Blob) : [],
  );
  const text = await new Promise<string>((done) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.readAsText(file!);
  });
  expect(JSON.parse(text)).toHaveLength(4);
  expect((JSON.parse(text) as object[])[0]).toEqual({
    title: 'a',
    kind: 'Works',
    date: '2026-05-01',
    link: 'https://w.example/n/a',
  });
  const [lens] = page.sent.flatMap(([what, body]) =>
    what === 'POST /lenses'
      ? (body as { name: string; config: { facets: object[]; markup: { page: string; marks: object[] } } })
      : [],
  );
  expect([lens!.name, lens!.config.markup.page, lens!.config.facets]).toMatchObject([
    'News',
    'https://w.example/news',
    [{ key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Kind' }],
  ]);
  expect(page.place).toBe('/lenses/news/page');
});

test('a lens that can’t be made takes its source away again, and says why', async () => {
  page.answer('POST /sources', { slug: 'news', fields: [] });
  page.answer(
    'POST /lenses',
    { status: 422, code: 'bad-config', detail: 'The lens has settings that can’t work.' },
    422,
  );
  await open();
  await take('a');
  await take('take all');
  await page.pressAndSettle('Keep the mapping');
  expect(page.sent.map(([what]) => what)).toContain('DELETE /sources/news');
  expect(page.words).toContain('settings that can’t work');
});

test('a page that can’t be had says why, and another may be given; a file will do', async () => {
  await page.visit(<FromPage />, '/from-page');
  page.type('Address of the page', 'https://gone.example/');
  await page.pressAndSettle('Show it');
  expect(page.texts('[role=alert]')).toEqual(['It can’t be read.']);
  const input = page.element.querySelector<HTMLInputElement>('input[type=file]')!;
  const file = Object.assign(new Blob([first]), { text: () => Promise.resolve(first) });
  Object.defineProperty(input, 'files', { value: [file] });
  act(() => void input.dispatchEvent(new Event('change', { bubbles: true })));
  await page.settle();
  expect(page.words).toContain('a file');
  expect(rows()[0]).toMatch(/3 alike/);
});

describe('a lens that is mapped', () => {
  const marks = [
    { at: '.posts', says: { list: '' } },
    { at: '.posts > li.card', says: { item: '' } },
    { at: '.title', in: 'item', says: { field: 'title' } },
    { at: '.place', in: 'item', says: { field: 'place' } },
  ];
  const draft = lensOf({ markup: { page: 'https://w.example/news', marks } });
  beforeEach(() => {
    page.answer('GET /lenses/news', { slug: 'news', name: 'News', source: 'news', draft, draftRevision: 7 });
    page.answer('GET /sources/news', { slug: 'news', name: 'News', fields: [fieldOf('title', 'text')] });
  });

  test('what is gone from the page is said, and may be looked for elsewhere', async () => {
    await page.visit(<MappingPage />, '/lenses/news/page', '/lenses/:slug/page');
    await page.settle();
    expect(rows()).toContain('placegone');
    await take('place');
    expect(page.words).toContain('Gone from the page.');
    page.type('Where it is', '.kind');
    page.leave('Where it is');
    await page.settle();
    expect(rows()).toContain('place3');
  });

  test('what is kept is a draft, made from the one that was there', async () => {
    page.answer('PUT /lenses/news/draft', { slug: 'news', name: 'News', source: 'news', draft, draftRevision: 8 });
    await page.visit(<MappingPage />, '/lenses/news/page', '/lenses/:slug/page');
    await page.settle();
    expect(page.named<HTMLButtonElement>('Kept').disabled).toBe(true);
    await take('place');
    await page.pressAndSettle('Take the mark of place away');
    await page.pressAndSettle('Keep the mapping');
    const [body] = page.sent.flatMap(([what, one]) =>
      what === 'PUT /lenses/news/draft' ? (one as { config: { markup: { marks: object[] } } }) : [],
    );
    expect(body!.config.markup.marks).toHaveLength(3);
  });
});
