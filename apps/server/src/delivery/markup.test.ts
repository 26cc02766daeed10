import { notes, startHarness, type Harness } from '../../test/harness.js';

let server: Harness;
const marks = [
  { at: '.list', in: 'page', says: { list: '' } },
  { at: 'time', in: 'item', says: { field: 'published' } },
];
const config = {
  facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }],
  address: { prefix: 'n-' },
  origins: ['https://warden.example'],
};
beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  const lens = { name: 'Notes', slug: 'notes', source: 'notes', config };
  await server.ask('POST', '/api/v1/lenses', lens);
});
afterAll(() => server.stop());

const ask = (headers = {}) => server.ask('GET', '/api/v1/lenses/notes/markup', undefined, headers);
const save = (revision: number, more: object) =>
  server.ask('PUT', '/api/v1/lenses/notes/draft', { config: { ...config, ...more } }, { 'if-match': `"${revision}"` });

test('marks are what is released: none before, and not those of a draft', async () => {
  expect((await ask()).body.code).toBe('not-released');
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  expect((await ask()).body.code).toBe('no-markup');
  expect((await save(1, { markup: { page: 'https://warden.example/news', marks } })).status).toBe(200);
  expect((await ask()).status).toBe(404);
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  const { status, body } = await ask();
  expect([status, body]).toEqual([200, { lens: 'notes', release: 2, prefix: 'n-', marks }]);
});

test('pages of the lens may ask, others may not; what has not changed is not sent again', async () => {
  const own = await ask({ origin: 'https://warden.example' });
  expect(own.headers.get('access-control-allow-origin')).toBe('https://warden.example');
  expect((await ask({ origin: 'https://other.example' })).headers.get('access-control-allow-origin')).toBeNull();
  const tag = own.headers.get('etag')!;
  expect((await ask({ 'if-none-match': tag })).status).toBe(304);
  await save(2, { markup: { marks: marks.slice(0, 1) } });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  expect((await ask({ 'if-none-match': tag })).status).toBe(200);
});

test('a mark that says what nothing reads is refused with a pointer', async () => {
  const { status, body } = await save(3, { markup: { marks: [{ at: 'b', says: { colour: 'red' } }] } });
  expect([status, body.errors[0].pointer]).toEqual([422, '/config/markup/marks/0/says/colour']);
});

test('what is not there is not there', async () => {
  expect((await server.ask('GET', '/api/v1/lenses/gone/markup')).status).toBe(404);
  expect((await server.ask('OPTIONS', '/api/v1/lenses/notes/markup')).status).toBe(204);
});
