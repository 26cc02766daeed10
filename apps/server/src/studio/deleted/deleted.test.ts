import { startHarness, type Harness } from '../../../test/harness.js';
import { DeletedService } from './deleted.service.js';

let server: Harness;
const csv = 'id,title,kind\n1,A,x\n2,B,y\n3,C,x\n';
beforeAll(async () => {
  server = await startHarness();
  await server.upload(csv, 'notes.csv', { slug: 'notes', name: 'Notes' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Listing', slug: 'listing', source: 'notes' });
  await server.ask('POST', '/api/v1/lenses/listing/releases', {});
});
afterAll(() => server.stop());

const deleted = async () =>
  (await server.ask('GET', '/api/v1/deleted')).body as { id: string; kind: string; lenses: string[] }[];
const status = async (path: string) => (await server.ask('GET', `/api/v1${path}`)).status;

test('a lens that is deleted answers nobody, and is brought back as it was', async () => {
  const { body: before } = await server.ask('GET', '/api/v1/lenses/listing/results?kind=x');
  expect((await server.ask('DELETE', '/api/v1/lenses/listing')).status).toBe(204);
  expect([await status('/lenses/listing'), await status('/lenses/listing/results')]).toEqual([404, 404]);
  const [one] = await deleted();
  expect(one).toMatchObject({ kind: 'lens', name: 'Listing', posts: null });
  expect((await server.ask('POST', `/api/v1/deleted/${one!.id}/restore`)).body).toEqual({
    kind: 'lens',
    slug: 'listing',
  });
  const { body: after } = await server.ask('GET', '/api/v1/lenses/listing/results?kind=x');
  expect({ ...after, tookMs: 0 }).toEqual({ ...before, tookMs: 0 });
  expect(await deleted()).toEqual([]);
});

test('a source goes with its lenses where that is said, and they come back together', async () => {
  const { body } = await server.ask('DELETE', '/api/v1/sources/notes');
  expect([body.code, body.detail]).toEqual(['source-in-use', expect.stringContaining('Listing')]);
  expect((await server.ask('DELETE', '/api/v1/sources/notes?lenses=1')).status).toBe(204);
  expect([await status('/sources/notes'), await status('/lenses/listing/results')]).toEqual([404, 404]);
  const [one, ...others] = await deleted();
  expect([one, others]).toMatchObject([{ kind: 'source', posts: 3, lenses: ['Listing'] }, []]);
  // the slug is free meanwhile, and who takes it keeps it
  expect((await server.upload(csv, 'notes.csv', { slug: 'notes' })).status).toBe(201);
  expect((await server.ask('POST', `/api/v1/deleted/${one!.id}/restore`)).body).toEqual({
    kind: 'source',
    slug: 'notes-2',
  });
  expect([await status('/sources/notes-2'), await status('/lenses/listing/results')]).toEqual([200, 200]);
});

test('after a day it is gone for good', async () => {
  await server.ask('DELETE', '/api/v1/sources/notes');
  const [one] = await deleted();
  const service = server.app.get(DeletedService);
  await service.sweep();
  expect(await deleted()).toHaveLength(1);
  await service.sweep(Date.now() + 25 * 60 * 60_000);
  expect(await deleted()).toEqual([]);
  expect((await server.ask('POST', `/api/v1/deleted/${one!.id}/restore`)).status).toBe(404);
});

test('sources and lenses are called otherwise, and copied', async () => {
  const { body: source } = await server.ask('PATCH', '/api/v1/sources/notes-2', {
    name: 'Field notes',
    slug: 'field-notes',
  });
  expect([source.name, source.slug, await status('/sources/notes-2')]).toEqual(['Field notes', 'field-notes', 404]);
  const { body: lens } = await server.ask('PATCH', '/api/v1/lenses/listing', { name: 'All notes' });
  expect([lens.name, lens.source]).toEqual(['All notes', 'field-notes']);
  const { status: made, body: copy } = await server.ask('POST', '/api/v1/sources/field-notes/copies');
  expect([made, copy.name, copy.slug, copy.posts]).toEqual([201, 'Field notes, copy', 'field-notes-copy', 3]);
  const { body: second } = await server.ask('POST', '/api/v1/lenses', { from: 'listing', source: 'field-notes-copy' });
  expect([second.name, second.draft.facets]).toEqual(['All notes, copy', lens.draft.facets]);
  expect((await server.ask('GET', `/api/v1/lenses/${second.slug}/draft/results`)).body.total).toBe(3);
  const third = await server.ask('POST', '/api/v1/lenses', { from: 'listing', name: 'Third' });
  expect([third.status, third.body.source]).toEqual([201, 'field-notes']);
  for (const body of [{ name: ' ' }, { slug: 'Bad Slug' }, { site: 'nowhere' }, { posts: 1 }])
    expect((await server.ask('PATCH', '/api/v1/sources/field-notes', body)).status).toBe(400);
  expect((await server.ask('PATCH', '/api/v1/sources/field-notes', { slug: 'field-notes-copy' })).body.code).toBe(
    'slug-taken',
  );
  expect((await server.ask('POST', '/api/v1/lenses', { from: 'nobody' })).status).toBe(404);
});
