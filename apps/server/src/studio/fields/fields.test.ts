import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const csv = `id,title,seen,place,kind,minutes
1,A,03/04/2026,Reedbed + Mudflat,survey,12
2,B,05/04/2026,Mudflat,sighting,7
3,C,late May,Lagoon + Reedbed,survey,
4,D,31/02/2026,Lagoon,sighting,9
5,E,12/04/2026,Mudflat,survey,x
6,F,11/04/2026,Mudflat,survey,3
`;
/** Each test has a source of its own. */
let slug = '';
let tests = 0;
beforeAll(async () => {
  server = await startHarness();
});
beforeEach(async () => {
  slug = `notes-${++tests}`;
  await server.upload(csv, 'notes.csv', { slug });
});
afterAll(() => server.stop());

const field = async (key: string) => {
  const { body } = await server.ask('GET', `/api/v1/sources/${slug}`);
  return body.fields.find((one: { key: string }) => one.key === key);
};
const change = (key: string, body: object, preview = '') =>
  server.ask('PATCH', `/api/v1/sources/${slug}/fields/${key}${preview}`, body);
const release = async (config: object) => {
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', slug, source: slug, config });
  await server.ask('POST', `/api/v1/lenses/${slug}/releases`, {});
};
const results = async (query = '') => (await server.ask('GET', `/api/v1/lenses/${slug}/results?${query}`)).body;

test('a change is shown on real values before anything is kept', async () => {
  const before = await field('seen');
  const { status, body } = await change('seen', { type: 'date', dateOrder: 'month-day' }, '?preview=1');
  expect(status).toBe(200);
  expect([body.filled, body.read]).toEqual([6, 4]);
  expect(body.rows).toContainEqual({ record: 1, raw: '03/04/2026', before: '03/04/2026', after: '2026-03-04' });
  expect(body.rows).toContainEqual({ record: 3, raw: 'late May', before: 'late May', after: null });
  expect(body.types).toMatchObject({ text: 6, date: 4, number: 0, boolean: 0 });
  expect(await field('seen')).toEqual(before);
});

test('kept, it is answered at once; there and back gives the values as they were', async () => {
  await release({ facets: [{ key: 'place', kind: 'checkboxes', field: 'place' }] });
  const before = await results();
  expect((await field('place')).separator).toBeNull();
  const { body } = await change('place', { separator: '+' });
  expect(body.lenses).toMatchObject([
    { slug, of: 'release', before: '4 terms', after: '3 terms', problem: null },
    { slug, of: 'draft' },
  ]);
  expect(await field('place')).toMatchObject({ type: 'terms', multiple: true, separator: '+', distinct: 3 });
  const after = await results('place=reedbed');
  expect([after.matched, after.facets[0].options.map((one: { label: string }) => one.label).sort()]).toEqual([
    2,
    ['Lagoon', 'Mudflat', 'Reedbed'],
  ]);
  await change('place', { separator: null });
  const back = await results();
  for (const one of [before, back]) delete one.tookMs;
  expect(back).toEqual(before);
});

test('a type that a released lens can’t work with is refused, naming it, and nothing is changed', async () => {
  await change('seen', { type: 'date' });
  await release({ facets: [{ key: 'seen', kind: 'date-range', field: 'seen', label: 'When' }] });
  const looked = await change('seen', { type: 'terms' }, '?preview=1');
  expect(looked.body.lenses[0].problem).not.toBeNull();
  for (const wrong of [{ type: 'terms' }, { left: true }]) {
    const { status, body } = await change('seen', wrong);
    expect([status, body.code]).toEqual([409, 'lens-breaks']);
    expect(body.detail).toContain('When');
  }
  expect((await field('seen')).type).toBe('date');
});

test('a draft that nobody has seen is not broken behind its back either', async () => {
  const config = { facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Kind' }] };
  await server.ask('POST', '/api/v1/lenses', { name: 'Draft', slug, source: slug, config });
  const { status, body } = await change('kind', { left: true });
  expect([status, body.code]).toEqual([409, 'lens-breaks']);
  expect(body.detail).toContain('Change its draft first.');
  expect((await server.ask('GET', `/api/v1/lenses/${slug}/draft/results`)).body.total).toBe(6);
});

test('a field that is left out is kept raw and answered nowhere, until it is taken in again', async () => {
  await change('minutes', { left: true });
  expect(await field('minutes')).toMatchObject({ left: true, filled: 0 });
  const facets = [{ key: 'minutes', kind: 'number-range', field: 'minutes' }];
  const lens = { name: 'Notes', slug, source: slug, config: { facets } };
  expect((await server.ask('POST', '/api/v1/lenses', lens)).status).toBe(422);
  await change('minutes', { left: false });
  expect(await field('minutes')).toMatchObject({ type: 'text', filled: 5 });
  expect((await field('minutes')).left).toBeUndefined();
});

test('what many posts have alike is kept by all of them when its field is called otherwise', async () => {
  const same = 'id,title,url\n1,A,/join\n2,B,/join\n3,C,/x\n';
  await server.upload(same, 'same.csv', { slug: `${slug}-same` });
  slug = `${slug}-same`;
  expect((await field('url')).role).toBe('link');
  await change('url', { label: 'Where to' });
  expect(await field('url')).toMatchObject({ label: 'Where to', filled: 3 });
  await release({});
  expect((await results()).items.map(({ link }: { link: string }) => link).sort()).toEqual(['/join', '/join', '/x']);
});

test('findings follow how a field is read', async () => {
  const findings = async () =>
    (await server.ask('GET', `/api/v1/sources/${slug}`)).body.findings
      .filter((one: { field: string }) => one.field === 'minutes')
      .map(({ code, posts }: { code: string; posts: number }) => [code, posts]);
  await change('minutes', { type: 'number' });
  expect(await findings()).toEqual([
    ['unreadable-values', 1],
    ['gaps', 1],
  ]);
  await change('minutes', { type: 'text' });
  expect(await findings()).toEqual([['gaps', 1]]);
});

test('a label and a role are changed; a role belongs to one field', async () => {
  await change('kind', { label: 'Kind of note', role: 'author' });
  expect(await field('kind')).toMatchObject({ label: 'Kind of note', role: 'author', type: 'terms' });
  await change('place', { role: 'author' });
  expect([(await field('kind')).role, (await field('place')).role]).toEqual([null, 'author']);
  await change('place', { role: null });
  expect((await field('place')).role).toBeNull();
  expect((await change('place', { role: 'id' })).body.code).toBe('id-stays');
  expect((await change('id', { left: true })).body.code).toBe('id-stays');
});

test.each([
  [{ type: 'colour' }, '/type'],
  [{ label: '' }, '/label'],
  [{ separator: 'abcdef' }, '/separator'],
  [{ dateOrder: 'year' }, '/dateOrder'],
  [{ left: 'yes' }, '/left'],
  [{ strange: 1 }, '/strange'],
])('%j is refused at %s', async (body, pointer) => {
  const { status, body: problem } = await change('place', body);
  expect([status, problem.errors[0].pointer]).toEqual([400, pointer]);
});

test('what is not there is not there', async () => {
  expect((await change('nope', { label: 'x' })).status).toBe(404);
  expect((await server.ask('PATCH', '/api/v1/sources/gone/fields/x', {})).status).toBe(404);
});
