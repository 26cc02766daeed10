import { lensConfig, notes, onDatabase, startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
});
afterAll(() => server.stop());

const lens = '/api/v1/lenses/field-notes';

test('a lens is made with a config of its own, every default filled in', async () => {
  const { status, body } = await server.ask('POST', '/api/v1/lenses', {
    name: 'Field notes',
    source: 'notes',
    slug: 'field-notes',
    config: lensConfig,
  });
  expect(status).toBe(201);
  expect(body).toMatchObject({ slug: 'field-notes', source: 'notes', draftRevision: 1, release: null, changed: true });
  expect(body.draft.facets[0]).toMatchObject({
    key: 'habitat',
    match: 'any',
    counts: true,
    zero: 'mute',
    order: 'given',
  });
});

test('without a config one is proposed from the fields', async () => {
  const { status, body } = await server.ask('POST', '/api/v1/lenses', { name: 'Proposed', source: 'notes' });
  expect(status).toBe(201);
  expect(body.draft.facets.map((facet: { field: string; kind: string }) => [facet.field, facet.kind])).toEqual([
    [undefined, 'search'],
    ['habitat', 'checkboxes'],
    ['place', 'tree'],
    ['kind', 'checkboxes'],
    ['open', 'radios'],
    ['minutes', 'number-range'],
    ['published', 'date-range'],
  ]);
});

test('bodies are checked: bad fields, a source that is not there, a slug that is taken', async () => {
  const bad = await server.ask('POST', '/api/v1/lenses', { name: '', source: 'notes', extra: 1 });
  expect([bad.status, bad.body.errors.map((error: { pointer: string }) => error.pointer).sort()]).toEqual([
    400,
    ['/extra', '/name'],
  ]);
  expect((await server.ask('POST', '/api/v1/lenses', { name: 'x', source: 'nope' })).body.errors[0].pointer).toBe(
    '/source',
  );
  expect((await server.ask('POST', '/api/v1/lenses', { name: 'x', source: 'notes', slug: 'field-notes' })).status).toBe(
    409,
  );
  expect((await server.ask('PUT', `${lens}/draft`, { config: 'x' }, { 'if-match': '1' })).status).toBe(400);
  expect((await server.ask('POST', `${lens}/releases`, { note: 5 })).status).toBe(400);
  expect((await server.ask('POST', `${lens}/draft/dry-run`, { config: {}, address: 7 })).status).toBe(400);
});

test('a config that can’t work is refused whole, each problem pointed at', async () => {
  const config = {
    facets: [
      { key: 'a', kind: 'checkboxes', field: 'Habitat' },
      { key: 'a', kind: 'radios', field: 'kind' },
    ],
  };
  const { status, body } = await server.ask('PUT', `${lens}/draft`, { config }, { 'if-match': '"1"' });
  expect([status, body.code]).toEqual([422, 'bad-config']);
  expect(body.errors.map((error: { pointer: string }) => error.pointer)).toEqual([
    '/config/facets/0/field',
    '/config/facets/1/key',
  ]);
  expect((await server.ask('GET', lens)).body.draftRevision).toBe(1);
});

test('a draft is kept only when it was made from the newest one', async () => {
  const config = { ...lensConfig, paging: { size: 5 } };
  expect((await server.ask('PUT', `${lens}/draft`, { config })).status).toBe(428);
  const saved = await server.ask('PUT', `${lens}/draft`, { config }, { 'if-match': '"1"' });
  expect([saved.status, saved.body.draftRevision, saved.headers.get('etag')]).toEqual([200, 2, '"2"']);
  const late = await server.ask('PUT', `${lens}/draft`, { config: lensConfig }, { 'if-match': '1' });
  expect([late.status, late.body.code]).toEqual([412, 'draft-changed']);
  expect((await server.ask('GET', lens)).body.draft.paging.size).toBe(5);
});

test('of two saves at the same moment one wins and one is told', async () => {
  const { draftRevision } = (await server.ask('GET', lens)).body;
  const save = (size: number) =>
    server.ask(
      'PUT',
      `${lens}/draft`,
      { config: { ...lensConfig, paging: { size } } },
      { 'if-match': `${draftRevision}` },
    );
  const statuses = (await Promise.all([save(6), save(7), save(8)])).map((reply) => reply.status).sort();
  expect(statuses).toEqual([200, 412, 412]);
});

test('releases are numbered, and an earlier one can be the draft again', async () => {
  expect((await server.ask('POST', `${lens}/releases`, { note: 'First' })).body).toEqual({ number: 1 });
  expect((await server.ask('GET', lens)).body).toMatchObject({ release: 1, changed: false });
  const { draftRevision, draft } = (await server.ask('GET', lens)).body;
  await server.ask(
    'PUT',
    `${lens}/draft`,
    { config: { ...draft, facets: draft.facets.slice(1) } },
    { 'if-match': `${draftRevision}` },
  );
  expect((await server.ask('GET', lens)).body.changed).toBe(true);
  const stale = await server.ask('POST', `${lens}/releases`, { draftRevision });
  expect(stale.status).toBe(412);
  expect((await server.ask('POST', `${lens}/releases`, {})).body).toEqual({ number: 2 });
  const { body } = await server.ask('GET', `${lens}/releases`);
  expect(body.map((release: { number: number; note: string }) => [release.number, release.note])).toEqual([
    [2, ''],
    [1, 'First'],
  ]);
  const restored = await server.ask('POST', `${lens}/releases/1/restore`);
  expect([restored.status, restored.body.draft.facets.length, restored.body.changed]).toEqual([200, 3, true]);
  expect((await server.ask('POST', `${lens}/releases/9/restore`)).status).toBe(404);
  expect((await server.ask('POST', `${lens}/releases/x/restore`)).status).toBe(400);
});

test('a lens can be deleted, and then it is gone', async () => {
  await server.ask('POST', '/api/v1/lenses', { name: 'Short', source: 'notes', slug: 'short' });
  expect((await server.ask('DELETE', '/api/v1/lenses/short')).status).toBe(204);
  expect((await server.ask('GET', '/api/v1/lenses/short')).status).toBe(404);
  expect((await server.ask('DELETE', '/api/v1/lenses/short')).status).toBe(404);
  expect((await server.ask('GET', '/api/v1/lenses')).body.map((one: { slug: string }) => one.slug).sort()).toEqual([
    'field-notes',
    'proposed',
  ]);
});

test('a draft is published once, however often and however many at once ask for it', async () => {
  await server.upload(notes, 'notes.csv', { slug: 'once' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Once', source: 'once', slug: 'once', config: lensConfig });
  const publish = (headers = {}) => server.ask('POST', '/api/v1/lenses/once/releases', {}, headers);
  const replies = await Promise.all(Array.from({ length: 10 }, () => publish()));
  expect(new Set(replies.map(({ status, body }) => `${status} ${body.number}`))).toEqual(new Set(['201 1']));
  expect((await server.ask('GET', '/api/v1/lenses/once/releases')).body).toHaveLength(1);
  await server.ask(
    'PUT',
    '/api/v1/lenses/once/draft',
    { config: { ...lensConfig, paging: { size: 5 } } },
    { 'if-match': '1' },
  );
  expect((await publish({ 'if-match': '"1"' })).body.code).toBe('draft-changed');
  expect((await publish({ 'if-match': '"2"' })).body.number).toBe(2);
  expect((await publish({ 'if-match': '"2"' })).body.number).toBe(2);
  expect((await publish({ 'if-match': 'soon' })).body.code).toBe('bad-if-match');
});

test('a language that no one speaks is refused, and one saved before is drawn in English', async () => {
  await server.upload(notes, 'notes.csv', { slug: 'spoken' });
  const create = (language: string) =>
    server.ask('POST', '/api/v1/lenses', {
      name: 'Spoken',
      source: 'spoken',
      slug: 'spoken',
      config: { ...lensConfig, language },
    });
  for (const language of ['zz-1', 'en-', 'a-b-c', 'de-AT-x']) expect((await create(language)).status).toBe(422);
  expect((await create('de-AT')).status).toBe(201);
  await server.ask('POST', '/api/v1/lenses/spoken/releases', {});
  await onDatabase(
    server.databaseUrl,
    `UPDATE release SET config = config || '{"language": "zz-1", "zone": "Mars/Base"}' WHERE lens_id = (SELECT id FROM lens WHERE slug = 'spoken')`,
  );
  const page = await fetch(`${server.url}/l/spoken`);
  expect([page.status, (await page.text()).includes('lang="en"')]).toEqual([200, true]);
});

test('twenty lenses of one name at once each get a slug of their own', async () => {
  await server.upload(notes, 'notes.csv', { slug: 'many' });
  const replies = await Promise.all(
    Array.from({ length: 20 }, () => server.ask('POST', '/api/v1/lenses', { name: 'Same name', source: 'many' })),
  );
  expect(new Set(replies.map(({ status }) => status))).toEqual(new Set([201]));
  expect(new Set(replies.map(({ body }) => body.slug as string)).size).toBe(20);
});

test('a lens made while its source goes is either made or refused in a sentence', async () => {
  for (let round = 0; round < 8; round++) {
    await server.upload(notes, 'notes.csv', { slug: `going-${round}` });
    const [made, gone] = await Promise.all([
      server.ask('POST', '/api/v1/lenses', { name: 'Going', source: `going-${round}`, slug: `going-${round}` }),
      server.ask('DELETE', `/api/v1/sources/going-${round}`),
    ]);
    expect([`201 409`, `400 204`]).toContain(`${made.status} ${gone.status}`);
  }
});

test('a config that an earlier version kept has the settings there are since, and is no change by that', async () => {
  await server.ask('POST', '/api/v1/lenses', { name: 'Old', slug: 'old', source: 'notes', config: lensConfig });
  await server.ask('POST', '/api/v1/lenses/old/releases', {});
  await onDatabase(
    server.databaseUrl,
    `UPDATE release SET config = config #- '{scope,pinned}' #- '{paging,sizes}' #- '{sort,options,0,then}'
     WHERE lens_id = (SELECT id FROM lens WHERE slug = 'old')`,
  );
  await onDatabase(server.databaseUrl, `UPDATE lens SET draft = draft #- '{scope,pinned}' WHERE slug = 'old'`);
  const { body } = await server.ask('GET', '/api/v1/lenses/old');
  expect([body.draft.scope.pinned, body.changed]).toEqual([[], false]);
  const [release] = (await server.ask('GET', '/api/v1/lenses/old/releases')).body;
  expect([release.config.paging.sizes, release.config.sort.options[0].then]).toEqual([[], []]);
  // published again, nothing is new
  expect((await server.ask('POST', '/api/v1/lenses/old/releases', {})).body).toEqual({ number: 1 });
});

test('a lens that answers to another slug goes on answering to the one it had', async () => {
  await server.upload('id,title,kind\n1,Walk,a\n2,Talk,b\n3,Count,a\n', 'moving.csv', { slug: 'moving' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Moving', slug: 'before', source: 'moving' });
  await server.ask('POST', '/api/v1/lenses/before/releases', {});
  const results = async (slug: string) => (await server.ask('GET', `/api/v1/lenses/${slug}/results?kind=a`)).body;
  expect((await results('before')).lens).toBe('before');
  const { status, body } = await server.ask('PATCH', '/api/v1/lenses/before', { slug: 'after' });
  expect([status, body.slug, body.name]).toEqual([200, 'after', 'Moving']);
  const [old, now] = [await results('before'), await results('after')];
  expect([old.lens, old.matched, now.lens, now.notices]).toEqual(['after', 2, 'after', []]);
  expect(old.notices).toEqual([expect.objectContaining({ code: 'moved', value: 'before' })]);
  const hosted = await fetch(`${server.url}/l/before?kind=a`, { redirect: 'manual' });
  expect([hosted.status, hosted.headers.get('location')]).toEqual([301, '/l/after?kind=a']);
  expect((await server.ask('GET', '/api/v1/lenses/before')).body.slug).toBe('after');
  // nobody else gets either of them, and it can go back
  for (const slug of ['before', 'after']) {
    const made = await server.ask('POST', '/api/v1/lenses', { name: 'Other', slug, source: 'moving' });
    expect([made.status, made.body.code]).toEqual([409, 'slug-taken']);
  }
  expect((await server.ask('PATCH', '/api/v1/lenses/after', { slug: 'before' })).body.slug).toBe('before');
  expect((await results('after')).notices[0].code).toBe('moved');
});
