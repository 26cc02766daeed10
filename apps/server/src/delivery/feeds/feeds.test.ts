import { readFile } from '@ivy/formats';
import { lensConfig, startHarness, type Harness } from '../../../test/harness.js';

const csv = [
  'id,title,teaser,habitat,published,url,by',
  ...Array.from({ length: 60 }, (_, i) => {
    const day = String(1 + (i % 28)).padStart(2, '0');
    const month = i < 28 ? '01' : i < 56 ? '02' : '03';
    return `n${i},Note ${i} < 99 & more,About ${i},${['Mudflat', 'Reedbed'][i % 2]},2026-${month}-${day},/notes/${i},Ann`;
  }),
].join('\n');

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(csv, 'notes.csv', { slug: 'notes', site: 'https://orrin.example' });
  const config = {
    facets: [{ key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] }],
    sort: { options: [{ key: 'name', label: 'By name', field: 'title', order: 'asc' }], default: 'name' },
    scope: { pinned: ['n3'] },
    paging: lensConfig.paging,
    card: {
      parts: [
        { show: 'title', field: 'title' },
        { show: 'text', field: 'teaser' },
      ],
    },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', source: 'notes', slug: 'notes', config });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
});
afterAll(() => server.stop());

const fetched = async (path: string, headers: Record<string, string> = {}) => {
  const response = await fetch(`${server.url}${path}`, { headers });
  return { response, text: await response.text() };
};
const jsonFeed = async (query: string) =>
  JSON.parse((await fetched(`/api/v1/lenses/notes/feed.json${query}`)).text) as {
    title: string;
    home_page_url: string;
    feed_url: string;
    items: { id: string; title: string; url: string; date_published: string; tags: string[]; content_text: string }[];
  };

test('a feed holds the newest posts, whatever order the lens has and whatever stands before the others there', async () => {
  const { items, title } = await jsonFeed('');
  expect(items).toHaveLength(50);
  expect(title).toContain('Notes');
  expect(items.slice(0, 2)).toMatchObject([
    { title: 'Note 59 < 99 & more', url: 'https://orrin.example/notes/59', date_published: '2026-03-04T00:00:00.000Z' },
    { title: 'Note 58 < 99 & more', tags: ['Mudflat'] },
  ]);
  const days = items.map((item) => item.date_published);
  expect(days).toEqual([...days].sort().reverse());
});

test('what is chosen makes a feed of its own, by names of before too; its page and its order are no matter', async () => {
  const chosen = await jsonFeed('?zone=reedbed&sort=name&page=2');
  expect(chosen.items).toHaveLength(30);
  expect(chosen.items.every(({ tags }) => tags.includes('Reedbed'))).toBe(true);
  expect(chosen.items[0]!.title).toContain('Note 59');
  expect(chosen.feed_url).toBe(`${server.url}/api/v1/lenses/notes/feed.json?habitat=reedbed`);
  expect(chosen.home_page_url).toBe(`${server.url}/l/notes?habitat=reedbed`);
});

test('Atom says the same, and is read as it was written', async () => {
  const { response, text } = await fetched('/api/v1/lenses/notes/feed.atom?habitat=mudflat');
  expect(response.headers.get('content-type')).toBe('application/atom+xml; charset=utf-8');
  const { format, records } = readFile(new TextEncoder().encode(text), 'feed.atom');
  expect(format).toBe('atom');
  const { items } = await jsonFeed('?habitat=mudflat');
  const read = [...records] as Record<string, unknown>[];
  expect(read.map(({ title }) => title)).toEqual(items.map(({ title }) => title));
  expect(Object.values(read[0]!).flat()).toEqual(expect.arrayContaining(['https://orrin.example/notes/58', 'Mudflat']));
});

test('a reader that has it already is told so, and any page may read it where the lens lets it', async () => {
  const { response } = await fetched('/api/v1/lenses/notes/feed.json', { origin: 'https://elsewhere.example' });
  expect(response.headers.get('access-control-allow-origin')).toBe('*');
  const etag = response.headers.get('etag')!;
  const again = await fetched('/api/v1/lenses/notes/feed.json', { 'if-none-match': etag });
  expect([again.response.status, again.text]).toEqual([304, '']);
});

test('a card that does not show a field keeps it out of the feed', async () => {
  const { text } = await fetched('/api/v1/lenses/notes/feed.json');
  expect(text).not.toContain('Ann');
});

test('posts without days are as new as what they were brought in with, and a renamed lens answers under both names', async () => {
  await server.upload('id,title\n1,One\n2,Two', 'bare.csv', { slug: 'bare' });
  const config = { card: { parts: [{ show: 'title', field: 'title' }] } };
  await server.ask('POST', '/api/v1/lenses', { name: 'Bare', source: 'bare', slug: 'bare', config });
  await server.ask('POST', '/api/v1/lenses/bare/releases', {});
  await server.ask('PATCH', '/api/v1/lenses/bare', { slug: 'plain' });
  const { text } = await fetched('/api/v1/lenses/bare/feed.atom');
  expect(text).toContain('<id>urn:ivy-lens:lens:plain</id>');
  const { updatedAt } = (await server.ask('GET', '/api/v1/sources/bare')).body;
  expect(text.match(/<updated>[^<]*<\/updated>/g)).toEqual(new Array(3).fill(`<updated>${updatedAt}</updated>`));
});

test('a lens that was never released has none', async () => {
  await server.ask('POST', '/api/v1/lenses', { name: 'Draft', source: 'notes', slug: 'drafted' });
  expect((await fetched('/api/v1/lenses/drafted/feed.atom')).response.status).toBe(404);
});

test('the hosted page names the feeds of what is chosen on it', async () => {
  const { text } = await fetched('/l/notes?habitat=reedbed&page=2');
  expect(text).toContain(
    `type="application/atom+xml" title="${/<title>([^<]*)</.exec(text)![1]}" href="${server.url}/api/v1/lenses/notes/feed.atom?habitat=reedbed"`,
  );
  expect(text).toContain('/api/v1/lenses/notes/feed.json?habitat=reedbed"');
});
