import { notes, startHarness, type Harness } from '../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
});
afterAll(() => server.stop());

async function post(path: string, body: string, type: string | null = 'application/json') {
  const response = await fetch(`${server.url}${path}`, {
    method: 'POST',
    headers: type === null ? {} : { 'content-type': type },
    body,
  });
  return [response.status, ((await response.json()) as { code: string }).code];
}

test('routes that take JSON take nothing else', async () => {
  const form = 'name=Form&source=notes';
  for (const type of [
    'application/x-www-form-urlencoded',
    'text/plain',
    'multipart/form-data; boundary=x',
    'text/xml',
  ]) {
    const [status] = await post('/api/v1/lenses', form, type);
    expect([400, 415]).toContain(status);
  }
  expect((await server.ask('GET', '/api/v1/lenses')).body).toEqual([]);
});

test.each(['null', '[]', '"text"', '7', 'true'])('the body %s is refused, and publishes nothing', async (body) => {
  await server.ask('POST', '/api/v1/lenses', { name: 'Body', source: 'notes', slug: 'body' });
  expect(await post('/api/v1/lenses/body/releases', body)).toEqual([400, 'bad-body']);
  expect(await post('/api/v1/lenses', body)).toEqual([400, 'bad-body']);
  expect((await server.ask('GET', '/api/v1/lenses/body/releases')).body).toEqual([]);
});

test('a body that nests 50,000 deep is refused in a sentence', async () => {
  const deep = `{"name":"x","source":"notes","config":${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}}`;
  expect(await post('/api/v1/lenses', deep)).toEqual([400, 'too-deep']);
  expect(await post('/api/v1/lenses', '['.repeat(1_000_000) + ']'.repeat(1_000_000))).toEqual([400, 'too-deep']);
});

test('a null character or half of a letter anywhere in a body is refused with its place', async () => {
  const bodies = [
    { name: 'a\u0000b', source: 'notes' },
    { name: 'x', source: 'no\u0000tes' },
    { name: 'x', source: 'notes', config: { facets: [], texts: { posts: 'half \ud800' } } },
    { name: 'x', source: 'notes', config: { 'k\u0000': 1 } },
  ];
  for (const body of bodies) {
    const { status, body: said } = await server.ask('POST', '/api/v1/lenses', body);
    expect([status, said.code, said.errors.length]).toEqual([400, 'broken-text', 1]);
  }
  expect((await server.upload(notes, 'a.csv', { name: 'a\u0000b' })).body.code).toBe('broken-text');
});

test.each([
  '/l/%00',
  '/l/a%00b/draft',
  '/api/v1/lenses/%00',
  '/api/v1/lenses/%00/results',
  '/api/v1/lenses/%00/listing?q=%00',
  '/api/v1/lenses/%00/draft/results',
  '/api/v1/lenses/%00/releases',
  '/api/v1/lenses/x/why/%00',
  '/api/v1/sources/%00',
  '/api/v1/sources/%00/terms/%00',
  '/preview/%00',
  '/l/%ED%A0%80',
  '/api/v1/lenses/%ED%A0%80/results',
  `/l/${'x'.repeat(480)}`,
  `/l/${'x'.repeat(2000)}`,
  `/api/v1/lenses/${'x'.repeat(480)}/results`,
  '/assets/none.js',
  '/nothing.php',
  '/l/',
])('%s is not there, and is said so', async (path) => {
  const { status } = await server.ask('GET', path);
  expect([400, 404, 414]).toContain(status);
});

test('the same in writes', async () => {
  for (const [method, path, body] of [
    ['DELETE', '/api/v1/lenses/%00', undefined],
    ['DELETE', '/api/v1/sources/%00', undefined],
    ['POST', '/api/v1/lenses/%00/releases', {}],
    ['POST', '/api/v1/lenses/body/releases/2147483648/restore', undefined],
    ['POST', '/api/v1/lenses/body/releases/99999999999999999999/restore', undefined],
    ['POST', '/api/v1/lenses/%00/draft/dry-run', { config: {}, address: '' }],
  ] as const) {
    const { status } = await server.ask(method, path, body);
    expect([path, status]).toEqual([path, 404]);
  }
});
