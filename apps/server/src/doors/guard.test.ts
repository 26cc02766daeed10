import { request } from 'node:http';
import { lensConfig, notes, startHarness, type Harness } from '../../test/harness.js';
import { isOwnHost, readDoors } from './doors.js';

let server: Harness;
let shut: Harness;
beforeAll(async () => {
  server = await startHarness({
    doors: readDoors({ ALLOWED_HOSTS: 'ivy.test, other.test:8080', PUBLIC_URL: 'https://public.test' }),
  });
  shut = await startHarness({ doors: readDoors({ HOST: '0.0.0.0' }) });
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', source: 'notes', slug: 'notes', config: lensConfig });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
});
afterAll(async () => {
  await server.stop();
  await shut.stop();
});

const elsewhere = 'https://elsewhere.example';

/** Sends a request with any host name and headers, which `fetch` does not let one do. */
function askAs(
  host: string,
  path: string,
  more: Record<string, string> = {},
): Promise<{ status: number; code: unknown }> {
  const url = new URL(server.url);
  return new Promise((done, fail) => {
    const asked = request({ host: url.hostname, port: url.port, path, headers: { ...more, host } }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => (text += String(chunk)));
      response.on('end', () => {
        const isJson = String(response.headers['content-type']).includes('json');
        done({ status: response.statusCode!, code: isJson ? (JSON.parse(text) as { code?: string }).code : undefined });
      });
    });
    asked.on('error', fail);
    asked.end();
  });
}

test('a page of another site can write nothing: no source, no lens, no release, nothing deleted', async () => {
  const from = { origin: elsewhere };
  expect((await server.upload(notes, 'notes.csv', { slug: 'sneaked' }, from)).body.code).toBe('foreign-origin');
  const attempts: [string, string, unknown][] = [
    ['POST', '/api/v1/lenses', { name: 'Sneaked', source: 'notes' }],
    ['POST', '/api/v1/lenses/notes/releases', {}],
    ['POST', '/api/v1/lenses/notes/releases', undefined],
    ['DELETE', '/api/v1/lenses/notes', undefined],
    ['DELETE', '/api/v1/sources/notes', undefined],
  ];
  for (const [method, path, body] of attempts) {
    for (const headers of [
      from,
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ] as Record<string, string>[]) {
      const { status, body: said } = await server.ask(method, path, body, headers);
      expect([status, said.code]).toEqual([403, 'foreign-origin']);
    }
  }
  expect((await server.ask('GET', '/api/v1/sources')).body).toHaveLength(1);
  expect((await server.ask('GET', '/api/v1/lenses/notes/releases')).body).toHaveLength(1);
});

test('a page of another site reads what is public and nothing else', async () => {
  const from = { origin: elsewhere, 'sec-fetch-site': 'cross-site' };
  for (const path of [
    '/api/v1/sources',
    '/api/v1/lenses',
    '/api/v1/lenses/notes/draft/results',
    '/l/notes/draft',
    '/preview/notes',
    '/api/v1/sources/notes/index',
  ]) {
    expect((await server.ask('GET', path, undefined, from)).status).toBe(403);
  }
  for (const path of [
    '/api/v1/lenses/notes/results?habitat=mudflat',
    '/api/v1/lenses/notes/listing',
    '/api/v1/lenses/notes/terms/habitat?find=mud',
    '/l/notes',
    '/embed/ivy-lens.js',
    '/api/v1/health',
    '/api/v1/openapi.json',
  ]) {
    expect((await server.ask('GET', path, undefined, from)).status).toBe(200);
  }
});

test('the studio itself, and what is no browser, may do everything', async () => {
  const own = { origin: server.url, 'sec-fetch-site': 'same-origin' };
  const made = await server.ask('POST', '/api/v1/lenses', { name: 'Own', source: 'notes' }, own);
  expect(made.status).toBe(201);
  const named = { origin: server.url.replace('127.0.0.1', 'localhost') };
  expect((await server.ask('DELETE', `/api/v1/lenses/${made.body.slug}`, undefined, named)).status).toBe(204);
});

test('one may come to the studio by a link or the address bar, but not to the API', async () => {
  const link = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
  const { host } = new URL(server.url);
  expect((await askAs(host, '/sources', link)).status).toBe(200);
  expect((await askAs(host, '/api/v1/sources', link)).status).toBe(403);
  expect((await askAs(host, '/sources', { ...link, 'sec-fetch-dest': 'iframe' })).status).toBe(403);
  expect((await server.ask('GET', '/sources', undefined, { 'sec-fetch-site': 'none' })).status).toBe(200);
  expect((await server.ask('DELETE', '/api/v1/sources/notes', undefined, { 'sec-fetch-site': 'none' })).status).toBe(
    403,
  );
});

test('another name for this machine is no way in, unless it is allowed', async () => {
  const { port } = new URL(server.url);
  for (const host of [
    `rebound.example:${port}`,
    'rebound.example',
    `127.0.0.1:1`,
    'other.test:1',
    `localhost.evil.example:${port}`,
  ]) {
    expect(await askAs(host, '/api/v1/sources')).toEqual({ status: 403, code: 'foreign-host' });
  }
  for (const host of [
    `localhost:${port}`,
    `127.0.0.1:${port}`,
    `[::1]:${port}`,
    'ivy.test',
    `ivy.test:${port}`,
    'other.test:8080',
    'public.test',
  ]) {
    expect((await askAs(host, '/api/v1/sources')).status).toBe(200);
  }
  // visitors may come by any name
  expect((await askAs('rebound.example', '/l/notes')).status).toBe(200);
});

test('on an address that others reach, the studio and its API stay shut, and visitors are served', async () => {
  for (const path of ['/', '/sources', '/api/v1/sources', '/l/notes/draft']) {
    const { status, body } = await shut.ask('GET', path);
    expect([status, body.code]).toEqual([403, 'shut']);
    expect(body.detail).toContain('IVY_OPEN=1');
  }
  expect((await shut.upload(notes, 'notes.csv')).status).toBe(403);
  expect((await shut.ask('GET', '/api/v1/health')).status).toBe(200);
  expect((await shut.ask('GET', '/embed/ivy-lens.js')).status).toBe(200);
  expect((await shut.ask('GET', '/api/v1/lenses/none/results')).status).toBe(404);
});

test('with IVY_OPEN=1 it is open, still not to pages of other sites', async () => {
  const open = await startHarness({ doors: readDoors({ HOST: '0.0.0.0', IVY_OPEN: '1' }) });
  expect((await open.ask('GET', '/api/v1/sources')).status).toBe(200);
  expect((await open.ask('GET', '/api/v1/sources', undefined, { origin: elsewhere })).status).toBe(403);
  await open.stop();
});

test('names of this server are told with their ports', () => {
  const doors = readDoors({ HOST: '192.0.2.7' });
  expect(isOwnHost('192.0.2.7:4800', 4800, doors)).toBe(true);
  expect(isOwnHost('192.0.2.7:4801', 4800, doors)).toBe(false);
  expect(isOwnHost('LOCALHOST:80', 80, doors)).toBe(true);
  expect(isOwnHost('localhost', 80, doors)).toBe(true);
  expect(isOwnHost('localhost', 4800, doors)).toBe(false);
  expect(() => readDoors({ PUBLIC_URL: 'ivy.example.org' })).toThrow(/PUBLIC_URL/);
});

test('what visitors get is open to every site, by whatever route, and what is for those who work on lenses is not', async () => {
  const from = { origin: elsewhere };
  const lens = '/api/v1/lenses/notes';
  for (const path of [
    `${lens}/results`,
    `${lens}/listing`,
    `${lens}/listing/anything?q=tern`,
    '/l/notes',
    '/embed/ivy-lens.css',
    '/preview-font.woff2',
    '/api/v1/health',
    '/api/v1/openapi.json',
  ])
    expect([path, (await server.ask('GET', path, undefined, from)).status]).toEqual([path, 200]);
  for (const path of [
    `${lens}/why/n1`,
    `${lens}/draft/why/n1`,
    `${lens}/draft/results`,
    `${lens}/draft/terms/q?find=a`,
    '/l/notes/draft',
    '/preview/notes',
    lens,
  ])
    expect([path, (await server.ask('GET', path, undefined, from)).status]).toEqual([path, 403]);
});
