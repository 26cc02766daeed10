import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const habitats = ['Mudflat', 'Reedbed', 'Lagoon'];

beforeAll(async () => {
  server = await startHarness();
  const rows = Array.from(
    { length: 60 },
    (_, i) =>
      `n${i},"Note ${i}${i === 0 ? ' </script><b>&' : ''}",${habitats[i % 3]},${i % 2 ? 'Survey' : 'Works'},2026-03-${String(1 + (i % 28)).padStart(2, '0')},/n/${i}`,
  );
  const csv = ['id,title,habitat,kind,day,link', ...rows].join('\n');
  await server.upload(csv, 'notes.csv', { slug: 'notes', site: 'https://wardens.example' });
  const config = {
    facets: [
      { key: 'q', kind: 'search', fields: ['title'] },
      { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'], indexed: 'paired' },
      { key: 'kind', kind: 'radios', field: 'kind', indexed: 'paired' },
      { key: 'day', kind: 'date-range', field: 'day' },
    ],
    sort: {
      options: [
        { key: 'newest', field: 'day', order: 'desc' },
        { key: 'oldest', field: 'day' },
      ],
    },
    texts: { posts: '{n} note|{n} notes', pageTitle: 'Notes on {choices}' },
    languages: { de: { texts: { pageTitle: 'Notizen zu {choices}' }, labels: {} } },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Field notes', source: 'notes', slug: 'notes', config });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
});
afterAll(() => server.stop());

/** What a search engine reads of a page. */
async function readPage(path: string) {
  const { status, headers, body } = await server.ask('GET', path);
  const text = String(body).replaceAll('&#38;', '&');
  const one = (pattern: RegExp) => pattern.exec(text)?.[1]?.replace(server.url, '') ?? null;
  return {
    status,
    moved: headers.get('location'),
    title: one(/<title>([^<]*)/),
    description: one(/name="description"\s+content="([^"]*)"/),
    canonical: one(/rel="canonical"\s+href="([^"]*)"/),
    previous: one(/<link rel="prev"\s+href="([^"]*)"/),
    next: one(/<link rel="next"\s+href="([^"]*)"/),
    isIndexed: !/name="robots"\s+content="noindex, follow"/.test(text),
    list: JSON.parse(one(/<script type="application\/ld\+json">(.*?)<\/script>/s) ?? 'null') as ListOfItems | null,
  };
}

interface ListOfItems {
  numberOfItems: number;
  name: string;
  itemListElement: { position: number; name: string; url: string }[];
}

test.each([
  // address, title, canonical, whether it may be kept
  ['', 'Field notes', '', true],
  ['?utm=letter', 'Field notes', '', true],
  ['?habitat=mudflat', 'Notes on Mudflat', '?habitat=mudflat', true],
  ['?kind=survey&habitat=mudflat', 'Notes on Mudflat, Survey', '?habitat=mudflat&kind=survey', true],
  ['?habitat=mudflat,reedbed', 'Notes on Mudflat, Reedbed', '?habitat=mudflat,reedbed', false],
  ['?habitat=mudflat&page=2', 'Notes on Mudflat · Page 2', '?habitat=mudflat&page=2', true],
  ['?page=2', 'Field notes · Page 2', '?page=2', true],
  ['?q=note', 'Notes on “note”', '?q=note', false],
  ['?day=2026-03', 'Notes on Mar 1\u2009–\u200931, 2026', '?day=2026-03-01/2026-03-31', false],
  ['?habitat=mudflat&sort=oldest', 'Notes on Mudflat', '?habitat=mudflat&sort=oldest', false],
  ['?habitat=nowhere', 'Field notes', '', true],
  ['?~lang=de&habitat=mudflat', 'Notizen zu Mudflat', '?~lang=de&habitat=mudflat', true],
])('what a page at “%s” tells of itself', async (address, title, canonical, isIndexed) => {
  const page = await readPage(`/l/notes${address}`);
  expect(page).toMatchObject({ status: 200, title, canonical: `/l/notes${canonical}`, isIndexed });
  expect(page.list!.name).toBe(title);
});

test('pages name the one before and the one after', async () => {
  const second = await readPage('/l/notes?habitat=mudflat&page=2');
  expect([second.previous, second.next]).toEqual(['/l/notes?habitat=mudflat', null]);
  expect((await readPage('/l/notes')).next).toBe('/l/notes?page=2');
  expect(second.description).toBe('20 posts: Mudflat'.replace('posts', 'notes'));
});

test('posts are a list that machines read, whatever their titles say', async () => {
  const { list } = await readPage('/l/notes?sort=oldest');
  expect(list).toMatchObject({ '@type': 'ItemList', numberOfItems: 60 });
  expect(list!.itemListElement[0]).toEqual({
    '@type': 'ListItem',
    position: 1,
    name: 'Note 0 </script><b>&',
    url: 'https://wardens.example/n/0',
  });
  const later = (await readPage('/l/notes?page=2')).list!;
  expect(later.itemListElement[0]!.position).toBe(13);
});

test('an old name leads to the one in force, and what is not the lens’s goes along', async () => {
  expect(await readPage('/l/notes?utm=x&zone=mudflat&page=2')).toMatchObject({
    status: 301,
    moved: '/l/notes?utm=x&habitat=mudflat&page=2',
  });
  // what can't be read is said, and not lost on the way
  expect((await readPage('/l/notes?zone=mudflat,nowhere')).status).toBe(200);
});

test('the sitemap names every address worth finding, and the draft is nobody’s to find', async () => {
  const { body, headers } = await server.ask('GET', '/l/notes/sitemap.xml');
  expect(headers.get('content-type')).toBe('application/xml; charset=utf-8');
  const found = [...String(body).matchAll(/<loc>([^<]*)<\/loc>/g)].map(([, loc]) => loc!.replaceAll('&#38;', '&'));
  const of = (address: string) => `${server.url}/l/notes${address}`;
  expect(found[0]).toBe(of(''));
  expect(found).toEqual(
    expect.arrayContaining([of('?habitat=mudflat'), of('?kind=survey'), of('?habitat=mudflat&kind=survey')]),
  );
  expect(found).toHaveLength(1 + 3 + 2 + 6);
  for (const address of found) {
    const page = await readPage(address.replace(server.url, ''));
    expect([address, page.isIndexed, `${server.url}${page.canonical}`]).toEqual([address, true, address]);
  }
  const draft = await readPage('/l/notes/draft');
  expect([draft.isIndexed, draft.list]).toEqual([false, null]);
  expect((await server.ask('GET', '/l/none/sitemap.xml')).status).toBe(404);
  const etag = headers.get('etag')!;
  expect((await server.ask('GET', '/l/notes/sitemap.xml', undefined, { 'if-none-match': etag })).status).toBe(304);
});
