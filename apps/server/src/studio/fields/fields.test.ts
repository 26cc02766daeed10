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
  expect((await field('minutes')).left).toBe(false);
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

test('terms stand under what another column names, by name or by id', async () => {
  const csv = 'id,title,topic,above\n1,A,Mudflat,Shore\n2,B,Shore,\n3,C,Pool,Mudflat\n4,D,Reed,2\n5,E,Mudflat,Shore\n';
  await server.upload(csv, 'topics.csv', { slug: 'topics' });
  const change = (body: object) => server.ask('PATCH', '/api/v1/sources/topics/fields/topic', body);
  expect((await change({ type: 'terms', parent: 'above' })).status).toBe(200);
  const { body: terms } = await server.ask('GET', '/api/v1/sources/topics/terms/topic');
  expect(terms.map(({ slug, parent, count }: any) => [slug, parent, count])).toEqual([
    ['shore', null, 5],
    ['mudflat', 'shore', 3],
    ['pool', 'mudflat', 1],
    ['reed', 'shore', 1],
  ]);
  expect((await change({ parent: 'nowhere' })).body.code).toBe('no-field');
  expect((await change({ parent: 'topic' })).body.code).toBe('no-field');
  expect((await change({ parent: null })).status).toBe(200);
  const { body: flat } = await server.ask('GET', '/api/v1/sources/topics/terms/topic');
  expect(flat.every(({ parent }: any) => parent === null)).toBe(true);
});

test('values that stand for posts of another source are shown by their names', async () => {
  await server.upload('id,no,who\nw1,7,Ann Reed\nw2,8,Bo Lind\n', 'wardens.csv', { slug: 'wardens' });
  await server.upload('id,title,warden\n1,A,7\n2,B,8\n3,C,7\n4,D,9\n', 'walks.csv', { slug: 'walks' });
  const change = (body: object) => server.ask('PATCH', '/api/v1/sources/walks/fields/warden', body);
  const reference = { source: 'wardens', key: 'no', label: 'who' };
  const { status, body } = await change({ type: 'reference', reference });
  expect([status, body.after.type, body.after.reference]).toEqual([200, 'reference', reference]);
  expect(body.findings.map(({ code, values }: any) => [code, values])).toEqual([['unknown-references', ['9']]]);
  const config = { facets: [{ key: 'warden', kind: 'checkboxes', field: 'warden' }] };
  await server.ask('POST', '/api/v1/lenses', { name: 'Walks', slug: 'walks', source: 'walks', config });
  const { body: answered } = await server.ask('GET', '/api/v1/lenses/walks/draft/results?warden=ann-reed');
  expect([answered.matched, answered.facets[0].options.map(({ label, count }: any) => `${label} ${count}`)]).toEqual([
    2,
    ['Ann Reed 2', 'Bo Lind 1', '9 1'],
  ]);
  // the other source says another name, and rests
  await server.ask('PATCH', '/api/v1/sources/wardens/posts', [{ id: 'w1', who: 'Ann Rush' }]);
  const labels = async () => {
    const { body: terms } = await server.ask('GET', '/api/v1/sources/walks/terms/warden');
    return terms.map(({ label }: any) => label);
  };
  for (let tries = 0; tries < 80 && !(await labels()).includes('Ann Rush'); tries++) {
    await new Promise((done) => setTimeout(done, 100));
  }
  expect(await labels()).toEqual(expect.arrayContaining(['Ann Rush', 'Bo Lind']));
  const { body: after } = await server.ask('GET', '/api/v1/lenses/walks/draft/results?warden=ann-rush');
  expect(after.matched).toBe(2);
  expect((await change({ reference: { ...reference, source: 'nobody' } })).body.code).toBe('no-reference');
  expect((await change({ reference: { ...reference, label: 'x' } })).body.code).toBe('no-reference');
  expect((await change({ reference: null, type: 'text' })).body.after).toMatchObject({ type: 'text', distinct: 3 });
});

test('a pair of days is a span, found by its names, and filtered as one', async () => {
  const csv =
    'id,title,start_date,end_date\n1,A,2026-03-01,2026-03-10\n2,B,2026-03-05,2026-03-05\n3,C,2026-04-01,2026-03-01\n';
  const { body } = await server.upload(csv, 'shows.csv', { slug: 'shows' });
  expect(body.fields.find(({ key }: any) => key === 'start_date').end).toBe('end_date');
  expect(body.findings.map(({ code }: any) => code)).toContain('ends-before-starts');
  await server.ask('POST', '/api/v1/lenses', { name: 'Shows', slug: 'shows', source: 'shows' });
  const { body: answered } = await server.ask(
    'GET',
    '/api/v1/lenses/shows/draft/results?start-date=2026-03-07/2026-03-08',
  );
  expect(answered.items.map(({ id }: any) => id)).toEqual(['1']);
});

test('units and words of one’s own are read as what they mean', async () => {
  const csv = 'id,title,length,open\n1,A,3 km,offen\n2,B,4.5 km,zu\n3,C,12 km,offen\n';
  const { body } = await server.upload(csv, 'paths.csv', { slug: 'paths' });
  expect(body.fields.find(({ key }: any) => key === 'length')).toMatchObject({
    type: 'number',
    unit: 'km',
    sureness: 'sure',
  });
  const words = { yes: ['offen'], no: ['zu'] };
  const { body: changed } = await server.ask('PATCH', '/api/v1/sources/paths/fields/open', { type: 'boolean', words });
  expect([changed.read, changed.after.because]).toEqual([3, 'It was said so by hand.']);
  expect((await server.ask('PATCH', '/api/v1/sources/paths/fields/open', { words: { yes: [1], no: [] } })).status).toBe(
    400,
  );
  expect((await server.ask('PATCH', '/api/v1/sources/paths/fields/open', { words: 'yes' })).status).toBe(400);
});
