import { readSnapshot, finished } from '@ivy/core';
import { notes, onDatabase, startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
});
afterAll(() => server.stop());

test('a CSV file becomes a source, with the type and role of every field', async () => {
  const { status, body } = await server.upload(notes, 'field-notes.csv', { name: 'Notes', slug: 'notes' });
  expect(status).toBe(201);
  expect([body.slug, body.name, body.posts, body.rejected]).toEqual(['notes', 'Notes', 12, []]);
  const types = Object.fromEntries(
    body.fields.map((field: { key: string; type: string; role: string }) => [field.key, `${field.type} ${field.role}`]),
  );
  expect(types).toEqual({
    id: 'text id',
    title: 'text title',
    habitat: 'terms null',
    place: 'terms null',
    kind: 'terms null',
    published: 'date published',
    minutes: 'number null',
    open: 'boolean null',
    url: 'link link',
  });
  const habitat = body.fields.find((field: { key: string }) => field.key === 'habitat');
  expect(habitat).toMatchObject({ multiple: true, tree: false, separator: '|', filled: 12, distinct: 3 });
  expect((await server.ask('GET', '/api/v1/sources/notes')).body).toEqual(body);
  expect((await server.ask('GET', '/api/v1/sources')).body).toMatchObject([
    { slug: 'notes', posts: 12, fieldCount: 9 },
  ]);
});

test('terms come with parents and with how many posts stand under them', async () => {
  const { body } = await server.ask('GET', '/api/v1/sources/notes/terms/place');
  expect(
    body.map((term: { slug: string; parent: string; count: number }) => [term.slug, term.parent, term.count]),
  ).toEqual([
    ['coast', null, 8],
    ['north', 'coast', 4],
    ['south', 'coast', 4],
    ['inland', null, 4],
  ]);
  expect((await server.ask('GET', '/api/v1/sources/notes/terms/nope')).status).toBe(404);
});

test('a JSON file gets a name and a slug of its own', async () => {
  const json = JSON.stringify({
    items: [
      { id: 1, title: 'A', tags: ['x', 'y'] },
      { id: 2, title: 'B', tags: ['y'] },
    ],
  });
  const first = await server.upload(json, 'my_posts.json');
  const second = await server.upload(json, 'my_posts.json');
  expect([first.body.name, first.body.slug, second.body.slug]).toEqual(['My posts', 'my-posts', 'my-posts-2']);
});

test('a broken file is refused in a sentence and changes nothing', async () => {
  const before = await onDatabase(server.databaseUrl, 'SELECT count(*)::int AS n FROM post');
  const { status, headers, body } = await server.upload('a,b\n1,"open', 'broken.csv');
  expect(status).toBe(422);
  expect(headers.get('content-type')).toContain('application/problem+json');
  expect(body).toMatchObject({ code: 'broken-file', status: 422 });
  expect(body.detail).toMatch(/quote/);
  expect(await onDatabase(server.databaseUrl, 'SELECT count(*)::int AS n FROM post')).toEqual(before);
});

test('a slug that is taken, unknown parts and a missing file are refused', async () => {
  expect((await server.upload(notes, 'a.csv', { slug: 'notes' })).body.code).toBe('slug-taken');
  const unknown = await server.upload(notes, 'a.csv', { colour: 'red', slug: 'No Slug' });
  expect([unknown.status, unknown.body.errors.map((error: { pointer: string }) => error.pointer).sort()]).toEqual([
    400,
    ['/colour', '/slug'],
  ]);
  const bare = await server.ask('POST', '/api/v1/sources', { name: 'x' });
  expect([bare.status, bare.body.errors[0].pointer]).toEqual([400, '/url']);
  const form = await fetch(`${server.url}/api/v1/sources`, { method: 'POST', body: new FormData() });
  expect(form.status).toBe(400);
});

test('a source that a lens uses stays; one that none uses can go', async () => {
  await server.ask('POST', '/api/v1/lenses', { name: 'On notes', source: 'notes' });
  const used = await server.ask('DELETE', '/api/v1/sources/notes');
  expect([used.status, used.body.code]).toEqual([409, 'source-in-use']);
  expect(used.body.detail).toContain('On notes');
  expect((await server.ask('DELETE', '/api/v1/sources/my-posts-2')).status).toBe(204);
  expect((await server.ask('GET', '/api/v1/sources/my-posts-2')).status).toBe(404);
});

test('a thousand posts and a null character in one of them come in', async () => {
  const records = Array.from({ length: 5000 }, (_, i) => ({
    id: `p${i}`,
    title: i === 7 ? 'with \u0000 in it' : `Post ${i}`,
    kind: `k${i % 7}`,
  }));
  const { status, body } = await server.upload(JSON.stringify(records), 'many.json');
  expect([status, body.posts]).toEqual([201, 5000]);
});

test('a browser gets the whole index as bytes, and reads the same posts from it', async () => {
  await server.upload(notes, 'notes.csv', { slug: 'sent' });
  const response = await fetch(`${server.url}/api/v1/sources/sent/index`);
  expect(response.headers.get('content-type')).toBe('application/octet-stream');
  const index = finished(readSnapshot(new Uint8Array(await response.arrayBuffer())));
  expect(index.size).toBe(12);
  expect(index.postAt(index.numberOf('n3')!).values).toMatchObject({ title: 'Note 3', kind: ['sighting'] });
  expect((await server.ask('GET', '/api/v1/sources/none/index')).status).toBe(404);
});

test('posts are found by words of their titles, or by id, and listed by ids', async () => {
  await server.upload(notes, 'listed.csv', { slug: 'listed' });
  const posts = async (query: string) => (await server.ask('GET', `/api/v1/sources/listed/posts?${query}`)).body;
  expect(await posts('size=5')).toMatchObject({ total: 12, page: 1, pages: 3 });
  expect((await posts('size=5&page=3')).items).toHaveLength(2);
  const found = await posts('q=note+11');
  expect([found.total, found.items[0].id, found.items[0].title]).toEqual([1, 'n11', 'Note 11']);
  expect((await posts('q=n7')).items[0]).toMatchObject({ id: 'n7', values: { kind: ['sighting'] } });
  expect((await posts('ids=n3,gone,n1')).items.map((one: { id: string }) => one.id)).toEqual(['n3', 'n1']);
  const none = await posts('q=nothing+like+it&page=-1&size=1e9');
  expect(none).toMatchObject({ total: 0, page: 1, items: [] });
});

test('where no field is a title posts are found by their texts, and where there are none by id alone', async () => {
  const find = async (slug: string, records: object[], query: string) => {
    await server.upload(JSON.stringify(records), `${slug}.json`, { slug });
    const { body } = await server.ask('GET', `/api/v1/sources/${slug}/posts?q=${query}`);
    return [body.total, body.items.map((one: { id: string }) => one.id)];
  };
  const tides = ['Low tide at noon, and a long walk out', 'High tide before dawn, nothing to be seen'];
  const untitled = tides.map((remark, i) => ({ id: `t${i}`, height: i, remark }));
  expect(await find('untitled', untitled, 'dawn')).toEqual([1, ['t1']]);
  const bare = [1, 2, 3].map((height) => ({ id: `h${height}`, height }));
  expect(await find('bare', bare, 'dawn')).toEqual([0, []]);
  expect(await find('bare-2', bare, 'h2')).toEqual([1, ['h2']]);
});

describe('the posts of a source', () => {
  const csv =
    'id,title,place,minutes,seen\r\n' +
    'a,"Walk, long",North > Point,12,2026-05-01\r\nb,Count,South,3,late\r\nc," Talk ",North > Point,7,2026-04-01\r\nd,"Say ""no""",South,5,2026-03-01\r\n';
  const slug = 'tabled';
  const list = async (query: string) => (await server.ask('GET', `/api/v1/sources/${slug}/posts?${query}`)).body;
  const ids = async (query: string) => (await list(query)).items.map(({ id }: { id: string }) => id).join('');
  beforeAll(() => server.upload(csv, 'tabled.csv', { slug }));

  test('come as they are read and as they came', async () => {
    const { items } = await list('ids=a,b');
    expect(items[0]).toMatchObject({
      title: 'Walk, long',
      words: { place: 'Point', minutes: '12', seen: '2026-05-01' },
      raw: { place: 'North > Point', minutes: '12' },
    });
    expect([items[1].words.seen, items[1].raw.seen]).toEqual([undefined, 'late']);
  });

  test('are told along a ruler, in the unit of their order', async () => {
    const ruler = async (query: string) => {
      const { body } = await server.ask('GET', `/api/v1/sources/${slug}/ruler?${query}`);
      return [body.unit, body.marks.map(({ place, words }: any) => `${place} ${words}`).join(', ')];
    };
    expect(await ruler('sort=seen')).toEqual(['month', '0 2026-03, 1 2026-04, 2 2026-05']);
    expect(await ruler('sort=minutes&filter=place:south')).toEqual(['amount', '0 3, 1 5']);
    expect(await ruler('sort=place')).toEqual(['term', '0 Point, 2 South']);
    expect(await ruler('sort=title')).toEqual(['letter', '0 C, 1 S, 2 T, 3 W']);
    expect(await ruler('q=walk')).toEqual([null, '']);
    expect((await server.ask('GET', `/api/v1/sources/${slug}/ruler?sort=nothing`)).body.code).toBe('bad-query');
  });

  test('have a ruler that is exact where it was not looked at', async () => {
    const rows = Array.from(
      { length: 3000 },
      (_, i) => `r${i},Row ${i},${i < 1777 ? 2024 : i < 2500 ? 2025 : 2026}-02-01`,
    );
    await server.upload(['id,title,seen', ...rows].join('\n'), 'long.csv', { slug: 'long' });
    const { body } = await server.ask('GET', '/api/v1/sources/long/ruler?sort=seen&order=asc');
    expect(body).toEqual({
      total: 3000,
      unit: 'year',
      marks: [
        { place: 0, words: '2024' },
        { place: 1777, words: '2025' },
        { place: 2500, words: '2026' },
      ],
    });
  });

  test('are ordered by each field, and filtered by terms, with words beside', async () => {
    expect(await ids('sort=minutes')).toBe('bdca');
    expect(await ids('sort=minutes&order=desc')).toBe('acdb');
    expect(await ids('sort=minutes&filter=place:north')).toBe('ca');
    expect(await ids('filter=place:point&q=walk')).toBe('a');
    expect((await list('filter=place:north,south&size=1&page=2')).pages).toBe(4);
    expect((await server.ask('GET', `/api/v1/sources/${slug}/posts?sort=nothing`)).body.code).toBe('bad-query');
    expect((await server.ask('GET', `/api/v1/sources/${slug}/posts?filter=nothing`)).status).toBe(400);
  });

  test.each([
    ['csv', 'csv'],
    ['ndjson', 'ndjson'],
    ['jsonfeed', 'json'],
    ['atom', 'atom'],
  ])('go out as %s, and come in again unchanged', async (as, ending) => {
    const response = await fetch(`${server.url}/api/v1/sources/${slug}/export?as=${as}`);
    expect(response.headers.get('content-disposition')).toContain(`tabled.${ending}`);
    const text = await response.text();
    const { body } = await server.upload(text, `again.${ending}`, { slug: `again-${as}` });
    const { body: first } = await server.ask('GET', `/api/v1/sources/${slug}`);
    const bare = ({ slug: _slug, name: _name, updatedAt: _at, fileName: _file, format: _format, ...rest }: any) => rest;
    expect(bare(body)).toEqual(bare(first));
    const again = (await server.ask('GET', `/api/v1/sources/again-${as}/posts?sort=minutes`)).body;
    expect(again).toEqual(await list('sort=minutes'));
  });

  test('go out as they are found and ordered', async () => {
    const exported = async (query: string) => {
      const response = await fetch(`${server.url}/api/v1/sources/${slug}/export?as=ndjson&${query}`);
      return (await response.text())
        .trim()
        .split('\n')
        .map((line) => (JSON.parse(line) as { id: string }).id)
        .join('');
    };
    expect(await exported('sort=minutes&order=desc')).toBe('acdb');
    expect(await exported('sort=minutes&filter=place:north')).toBe('ca');
    expect(await exported('q=walk&filter=place:point')).toBe('a');
    expect((await fetch(`${server.url}/api/v1/sources/${slug}/export?as=csv&filter=nothing:x`)).status).toBe(400);
  });

  test('go out as nothing else', async () => {
    expect((await server.ask('GET', `/api/v1/sources/${slug}/export?as=doc`)).status).toBe(400);
    expect((await server.ask('GET', `/api/v1/sources/${slug}/export`)).status).toBe(400);
  });
});
