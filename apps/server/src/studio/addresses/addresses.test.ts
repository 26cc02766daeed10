import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const habitats = ['Mudflat', 'Reedbed', 'Saltmarsh'];
const csv = (change: (i: number) => string = (i) => habitats[i % 3]!) =>
  ['id,title,habitat,kind,day']
    .concat(
      Array.from(
        { length: 12 },
        (_, i) => `n${i},Note ${i},${change(i)},${i % 2 ? 'Survey' : 'Works'},2026-0${1 + (i % 6)}-10`,
      ),
    )
    .join('\n');
const config = {
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] },
    { key: 'kind', kind: 'radios', field: 'kind' },
    { key: 'day', kind: 'date-range', field: 'day' },
  ],
};
const path = '/api/v1/lenses/notes';

beforeAll(async () => {
  server = await startHarness();
  await server.upload(csv(), 'notes.csv', { slug: 'notes' });
});
beforeEach(async () => {
  await server.ask('DELETE', path);
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', source: 'notes', slug: 'notes', config });
  await server.ask('POST', `${path}/releases`, {});
});
afterAll(() => server.stop());

const ask = async (method: string, rest: string, body?: object) =>
  (await server.ask(method, `${path}${rest}`, body)) as { status: number; body: any };
const save = async (body: object) => (await ask('POST', '/addresses', body)).body;
const draft = async (facets: object[], more: object = {}) => {
  const { draftRevision } = (await ask('GET', '')).body;
  const { status } = await server.ask(
    'PUT',
    `${path}/draft`,
    { config: { facets, ...more } },
    { 'if-match': String(draftRevision) },
  );
  expect(status).toBe(200);
};

test('an address is kept with what it must return: what is said, or what it returns now', async () => {
  const one = await save({
    name: 'Home page',
    folder: 'Site',
    address: 'https://wardens.example/notes?zone=mudflat#top',
  });
  expect(one).toMatchObject({ name: 'Home page', folder: 'Site', address: 'zone=mudflat', expect: { matched: 4 } });
  const two = await save({ address: 'habitat=reedbed', expect: { min: 3, has: ['n1'], lacks: ['n0'] } });
  expect((await ask('GET', '/addresses')).body).toEqual([one, two]);
  const checked = (await ask('GET', '/addresses/check?of=release')).body;
  expect(checked.map(({ id, holds, got }: any) => [id, holds, got.matched])).toEqual([
    [one.id, true, 4],
    [two.id, true, 4],
  ]);
  expect(checked[0]).toMatchObject({ canonical: 'habitat=mudflat', notices: [{ code: 'moved', value: 'zone' }] });
  const changed = await ask('PATCH', `/addresses/${two.id}`, { expect: { max: 2 }, folder: 'Board' });
  expect(changed.body).toMatchObject({ folder: 'Board', expect: { max: 2 } });
  expect((await ask('GET', '/addresses/check')).body[1]).toMatchObject({
    holds: false,
    reasons: ['4 where at most 2 are expected'],
  });
  expect((await ask('PATCH', '/addresses', { folder: 'Board', to: 'Boards' })).body[1].folder).toBe('Boards');
  expect((await ask('POST', '/addresses/remove', { ids: [one.id, crypto.randomUUID()] })).status).toBe(404);
  expect((await ask('POST', '/addresses/remove', { ids: [one.id, two.id] })).status).toBe(204);
  expect((await ask('GET', '/addresses')).body).toEqual([]);
  expect((await ask('DELETE', `/addresses/${one.id}`)).status).toBe(404);
});

test('a release by which a saved address does not hold stops with the reason, and goes on when told to', async () => {
  const { id } = await save({ name: 'Board', address: 'habitat=mudflat,reedbed', expect: { matched: 8 } });
  await draft([{ key: 'habitat', kind: 'checkboxes', field: 'habitat', match: 'all' }]);
  const refused = await ask('POST', '/releases', {});
  expect([refused.status, refused.body.code]).toEqual([409, 'addresses-fail']);
  expect(refused.body.errors).toEqual([
    { pointer: `/addresses/${id}`, message: 'Board: 0 where exactly 8 are expected' },
  ]);
  expect((await ask('GET', '/addresses/check?of=draft')).body[0]).toMatchObject({
    holds: false,
    got: { matched: 0 },
    lost: [
      { facet: 'habitat', posts: 4 },
      { facet: 'habitat', posts: 4 },
    ],
  });
  expect((await ask('POST', '/releases', { anyway: true })).body).toEqual({ number: 2 });
  // what is live stays live, whatever becomes of it
  expect((await ask('POST', '/releases', {})).body).toEqual({ number: 2 });
  // an earlier one is put live again, and now the address holds
  expect((await ask('POST', '/releases/1/publish', {})).body).toEqual({ number: 3 });
  expect((await ask('GET', '/addresses/check?of=release')).body[0].holds).toBe(true);
  expect((await ask('POST', '/releases/2/publish', {})).status).toBe(409);
  expect((await ask('POST', '/releases/9/publish', {})).status).toBe(404);
});

test('what moved is told by the post and the term that did it', async () => {
  await save({ address: 'habitat=mudflat' });
  await server.upload(
    csv((i) => (i === 3 ? 'Saltmarsh' : habitats[i % 3]!)),
    'other.csv',
    { slug: 'other' },
  );
  const form = new FormData();
  form.set('file', new Blob([csv((i) => (i === 3 ? 'Saltmarsh' : habitats[i % 3]!))]), 'notes.csv');
  // what the file would do to saved addresses is told before it is kept
  const looked = await fetch(`${server.url}/api/v1/sources/notes/posts?preview=1`, { method: 'PUT', body: form });
  expect(await looked.json()).toMatchObject({
    addresses: [{ lens: 'notes', address: 'habitat=mudflat', matched: { before: 4, after: 3 }, holds: false }],
  });
  expect((await fetch(`${server.url}/api/v1/sources/notes/posts`, { method: 'PUT', body: form })).status).toBe(200);
  const [check] = (await ask('GET', '/addresses/check?of=release')).body;
  expect(check).toMatchObject({
    holds: false,
    reasons: ['3 where exactly 4 are expected'],
    lost: [{ facet: 'habitat', text: 'Habitat: Saltmarsh now', posts: 1, some: [{ id: 'n3', title: 'Note 3' }] }],
  });
});

test('a list of addresses is brought in, each to return what it returns now', async () => {
  const text = [
    'name;url',
    'Home;https://a.example/notes',
    'Mud;/notes?habitat=mudflat',
    'Mud again;?habitat=mudflat',
    'x;nothing here',
  ].join('\n');
  const { status, body } = await ask('POST', '/addresses/import', { text, folder: 'June letter' });
  expect(status).toBe(201);
  expect(body.added.map(({ name, address, expect: { matched } }: any) => [name, address, matched])).toEqual([
    ['Home', '', 12],
    ['Mud', 'habitat=mudflat', expect.any(Number)],
  ]);
  expect(body.skipped.map(({ line }: any) => line)).toEqual([5, 4]);
  expect((await ask('GET', '/addresses/check?of=release')).body.every(({ holds }: any) => holds)).toBe(true);
  const many = Array.from({ length: 1001 }, (_, i) => `?day=2026-01-10&x=${i}`).join('\n');
  expect((await ask('POST', '/addresses/import', { text: many })).body.code).toBe('too-many-addresses');
  expect((await ask('POST', '/addresses/import', { text: 'Dear all, see you there.' })).body.code).toBe('no-addresses');
});

test('names that were ever live stay readable, whatever is renamed, restored or brought back', async () => {
  await draft([{ key: 'where', kind: 'checkboxes', field: 'habitat' }, config.facets[1]!], {
    address: { sort: 'order' },
  });
  await ask('POST', '/releases', {});
  const { matched, address } = (await ask('GET', '/results?habitat=reedbed')).body;
  expect([matched, address]).toEqual([4, 'where=reedbed']);
  expect((await ask('GET', '/results?zone=reedbed')).body.matched).toBe(4);
  // the draft is what visitors have, names kept included
  expect((await ask('GET', '')).body.changed).toBe(false);
  const restored = (await ask('POST', '/releases/1/restore')).body;
  expect(restored).toMatchObject({ restored: 1, undo: '/api/v1/lenses/notes/draft/undo' });
  expect(restored.draft.facets[0]).toMatchObject({ key: 'habitat', aliases: ['zone', 'where'] });
  const undone = (await server.ask('POST', restored.undo)).body;
  expect(undone).toMatchObject({ restored: null, changed: false });
  expect(undone.draft.facets[0].key).toBe('where');
  // and done again
  expect((await server.ask('POST', restored.undo)).body.draft.facets[0].key).toBe('habitat');
  await ask('POST', '/releases', {});
  expect((await ask('GET', '/results?where=reedbed')).body.address).toBe('habitat=reedbed');
});

test('a draft reads every name that visitors have, so that what is checked and told is what would go live', async () => {
  await save({ address: 'zone=mudflat' });
  await draft([{ key: 'where', kind: 'checkboxes', field: 'habitat' }, ...config.facets.slice(1)]);
  expect((await ask('GET', '/addresses/check?of=draft')).body[0]).toMatchObject({
    holds: true,
    canonical: 'where=mudflat',
  });
  expect((await ask('GET', '/draft/results?habitat=mudflat')).body.address).toBe('where=mudflat');
  const changes = (await ask('GET', '/releases/1/changes')).body;
  expect(changes.map(({ headline, breaks }: any) => [headline, breaks])).toEqual([
    ['Addresses say where where they said habitat', false],
  ]);
  // one that is let go on purpose is not brought back
  await draft([{ key: 'where', kind: 'checkboxes', field: 'habitat' }, ...config.facets.slice(1)], {
    address: { gone: ['zone'] },
  });
  expect((await ask('GET', '/addresses/check?of=draft')).body[0].holds).toBe(false);
});

test('what differs between two releases is told in words, with what breaks; nothing where nothing does', async () => {
  expect((await ask('GET', '/releases/1/changes')).body).toEqual([]);
  expect((await ask('POST', '/draft/undo')).body.code).toBe('nothing-to-undo');
  await draft([{ ...config.facets[0]!, label: 'Habitat', hue: 4 }, ...config.facets.slice(1)]);
  // a label written out and a hue are nothing that visitors see
  expect((await ask('GET', '/releases/1/changes')).body).toEqual([]);
  await draft([{ ...config.facets[0]!, match: 'all' }, config.facets[1]!]);
  const changes = (await ask('GET', '/releases/1/changes?to=draft')).body;
  expect(changes).toEqual([
    { facet: 'habitat', headline: expect.any(String), text: expect.stringContaining('→'), breaks: false },
    { facet: 'day', headline: 'Day is no longer a facet', text: 'range of days → gone', breaks: true },
  ]);
  await ask('POST', '/releases', { note: 'x' });
  expect((await ask('GET', '/releases/1/changes?to=2')).body).toEqual(changes);
  expect((await ask('GET', '/releases/2/changes?to=2')).body).toEqual([]);
  expect((await ask('GET', '/releases/1/changes?to=x')).status).toBe(400);
});
