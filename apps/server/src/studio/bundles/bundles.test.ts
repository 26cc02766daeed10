import { strFromU8, unzipSync } from 'fflate';
import { startHarness, type Harness } from '../../../test/harness.js';

const csv = [
  'id,title,kind,status,diary,published,url',
  ...Array.from({ length: 30 }, (_, i) => {
    const day = String(1 + i).padStart(2, '0');
    return `n${i},Note ${i} < 99 & more,${['Walk', 'Survey'][i % 2]},${i < 20 ? 'Open' : 'Shut'},Dear diary ${i},2026-01-${day},/notes/${i}`;
  }),
].join('\n');

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(csv, 'notes.csv', { slug: 'notes', site: 'https://orrin.example' });
  const config = {
    scope: { where: [{ field: 'status', is: ['open'] }] },
    facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }],
    card: { parts: [{ show: 'title', field: 'title' }] },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes & more', source: 'notes', slug: 'notes', config });
});
afterAll(() => server.stop());

const bundleOf = async (slug: string, headers: Record<string, string> = {}) => {
  const response = await fetch(`${server.url}/api/v1/lenses/${slug}/bundle.zip`, { headers });
  return { response, bytes: new Uint8Array(await response.arrayBuffer()) };
};
const filesOf = (bytes: Uint8Array) =>
  Object.fromEntries(Object.entries(unzipSync(bytes)).map(([name, file]) => [name, strFromU8(file)]));

test('a draft alone can’t be taken along', async () => {
  const { status, body } = await server.ask('GET', '/api/v1/lenses/notes/bundle.zip');
  expect([status, body.code]).toEqual([404, 'not-released']);
  expect((await server.ask('GET', '/api/v1/lenses/nobody/bundle.zip')).status).toBe(404);
});

test('a release is a page, a script with its posts, and what to do with them', async () => {
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  const { response, bytes } = await bundleOf('notes');
  expect(response.headers.get('content-type')).toBe('application/zip');
  expect(response.headers.get('content-disposition')).toBe('attachment; filename="notes.zip"');
  const files = filesOf(bytes);
  expect(Object.keys(files)).toEqual(['index.html', 'ivy-lens.js', 'README.md']);
  expect(files['index.html']).toMatch(/<ivy-lens\s+name="notes"\s+base="https:\/\/orrin\.example\/"/);
  expect(files['index.html']).toContain('<title>Notes &#38; more</title>');
  // without scripts its posts are a list, the newest first
  expect(files['index.html']).toMatch(
    /<noscript>\s*<ul>\s*<li><a href="https:\/\/orrin\.example\/notes\/19">Note 19 &#60; 99 &#38; more<\/a><\/li>/,
  );
  expect(files['index.html']!.match(/<li>/g)).toHaveLength(20);
  expect(files['README.md']).toContain('Release 1 with its 20 posts');
  expect(files['ivy-lens.js']).not.toContain('@@ivy-taken@@');
});

test('what visitors never see is not in it', async () => {
  const script = filesOf((await bundleOf('notes')).bytes)['ivy-lens.js']!;
  const [along] = /"\{\\"slug\\"(?:[^"\\]|\\.)*"/.exec(script)!;
  const { posts, lens } = JSON.parse(JSON.parse(along) as string) as { posts: string; lens: object };
  const all = `${Buffer.from(posts, 'base64').toString('latin1')}${JSON.stringify(lens)}`;
  expect(all).toContain('Note 19');
  for (const word of ['Note 20', 'diary', 'status', 'shut']) expect(all).not.toContain(word);
});

test('who has it already is told so, until it is released anew or its posts change', async () => {
  const tag = (await bundleOf('notes')).response.headers.get('etag')!;
  expect((await bundleOf('notes', { 'if-none-match': tag })).response.status).toBe(304);
  await server.ask('PATCH', '/api/v1/sources/notes/posts', [{ id: 'n0', title: 'New' }]);
  expect((await bundleOf('notes', { 'if-none-match': tag })).response.status).toBe(200);
});

test('more than a page can load is refused in words', async () => {
  const many = ['id,title', ...Array.from({ length: 20_001 }, (_, i) => `n${i},Note ${i}`)].join('\n');
  await server.upload(many, 'many.csv', { slug: 'many' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Many', source: 'many', slug: 'many' });
  await server.ask('POST', '/api/v1/lenses/many/releases', {});
  const { status, body } = await server.ask('GET', '/api/v1/lenses/many/bundle.zip');
  expect([status, body.code]).toEqual([409, 'too-much-to-bring']);
  expect(body.detail).toContain('20000');
});
