import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
let slug = '';
let tests = 0;
const notes = `id,title,place,kind
1,Terns,Shore > Mudflat,Survey
2,Waders,Shore > Mud flat | Shore > Mudflat,Survey
3,Reeds,Wetland > Reedbed,Walk
4,Ringing,Shore > Mud flat,Talk
5,Estuary,Shore,Survey
`;
const facets = [
  { key: 'q', kind: 'search', fields: ['title', 'place'] },
  { key: 'place', kind: 'tree', field: 'place' },
];

beforeAll(async () => {
  server = await startHarness();
});
beforeEach(async () => {
  slug = `shaped-${++tests}`;
  await server.upload(notes, 'notes.csv', { slug });
  await server.ask('POST', '/api/v1/lenses', { name: slug, slug, source: slug, config: { facets } });
  await server.ask('POST', `/api/v1/lenses/${slug}/releases`, {});
});
afterAll(() => server.stop());

const at = (path = '') => `/api/v1/sources/${slug}/terms/place${path}`;
const patch = (term: string, body: object, query = '') => server.ask('PATCH', at(`/${term}${query}`), body);
const merge = (from: string[], into: string, query = '') => server.ask('POST', at(`/merge${query}`), { from, into });
const undo = () => server.ask('POST', at('/undo'));
const redo = () => server.ask('POST', at('/redo'));

/** The terms as a person sees them, each with its posts. */
async function tree(): Promise<string[]> {
  const { body } = await server.ask('GET', at());
  const depth = (parent: string | null): number =>
    parent === null ? 0 : 1 + depth(body.find((one: any) => one.slug === parent).parent);
  return body.map((one: any) => `${'  '.repeat(depth(one.parent))}${one.label} ${one.count}/${one.own}`);
}
const first = ['Shore 4/1', '  Mudflat 2/2', '  Mud flat 2/2', 'Wetland 1/0', '  Reedbed 1/1'];

/** What visitors get. */
async function answers(query = '') {
  const { body } = await server.ask('GET', `/api/v1/lenses/${slug}/results?${query}`);
  return body;
}
const found = async (query: string) => (await answers(query)).items.map((item: any) => item.id).sort();
const option = async (value: string) =>
  (await answers()).facets[1].options.find((one: any) => one.value === value) as { label: string; count: number };

test('terms are told in their order, with and without what stands under them', async () => {
  expect(await tree()).toEqual(first);
  expect((await server.ask('GET', `/api/v1/sources/${slug}/terms/nothing`)).status).toBe(404);
});

test('a term is called otherwise: visitors see it at once, and can search for it', async () => {
  expect(await found('q=beach')).toEqual([]);
  const { status, body } = await patch('shore', { label: 'Beach' });
  expect([status, body.text, body.term]).toEqual([200, 'Shore, now Beach', 'shore']);
  expect(await option('shore')).toMatchObject({ label: 'Beach', count: 4 });
  expect(await found('q=beach')).toEqual(['5']);
  expect(await found('q=shore')).toEqual([]);
});

test('the slug of a term that has another goes on answering', async () => {
  await patch('reedbed', { slug: 'reeds' });
  const answer = await answers('place=reedbed');
  expect([answer.matched, answer.address]).toEqual([1, 'place=reeds']);
  expect(answer.notices).toEqual([expect.objectContaining({ code: 'moved' })]);
  expect((await patch('shore', { slug: 'reedbed' })).body.code).toBe('slug-taken');
});

test('what merging comes to is told first; then posts have the other term once, and old addresses answer', async () => {
  const look = (await merge(['mud-flat'], 'mudflat', '?preview=1')).body;
  expect(look).toMatchObject({ text: 'Mud flat into Mudflat', term: 'mudflat', posts: 2, before: 2, after: 3 });
  expect(look.lenses).toEqual([{ slug, name: slug, facets: ['place'] }]);
  expect(await tree()).toEqual(first);
  expect((await merge(['mud-flat'], 'mudflat')).status).toBe(200);
  expect(await tree()).toEqual(['Shore 4/1', '  Mudflat 3/3', 'Wetland 1/0', '  Reedbed 1/1']);
  expect(await found('place=mud-flat')).toEqual(['1', '2', '4']);
  const { items } = await answers('place=mudflat');
  expect(items.map((item: any) => item.fields.place?.length ?? 1)).not.toContain(2);
  const { fields, findings } = (await server.ask('GET', `/api/v1/sources/${slug}`)).body;
  expect(fields.find(({ key }: any) => key === 'place')).toMatchObject({ distinct: 3, filled: 5 });
  expect(findings.some((one: any) => one.values.includes('Mud flat'))).toBe(false);
});

test('a term is moved under another and among its siblings, hidden, drawn', async () => {
  await patch('reedbed', { parent: 'shore', position: 0 });
  expect(await tree()).toEqual(['Shore 5/1', '  Reedbed 1/1', '  Mudflat 2/2', '  Mud flat 2/2', 'Wetland 0/0']);
  expect((await patch('shore', { parent: 'reedbed' })).body.code).toBe('in-a-circle');
  await patch('wetland', { hidden: true });
  expect(await option('wetland')).toBeUndefined();
  await patch('mudflat', { colour: '#8fa39a', picture: '/pictures/mud.svg' });
  const { body } = await server.ask('GET', at());
  expect(body.find((one: any) => one.slug === 'mudflat')).toMatchObject({
    colour: '#8fa39a',
    picture: '/pictures/mud.svg',
  });
  for (const wrong of [{ colour: 'red' }, { picture: 'javascript:alert(1)' }, { label: '  ' }, { slug: 'Not A Slug' }])
    expect((await patch('mudflat', wrong)).status).toBe(400);
  expect((await patch('mudflat', {})).body.code).toBe('nothing-said');
});

test('a deleted term is lost to its posts, what stood under it moves up; a new one waits for posts', async () => {
  const { body } = await server.ask('DELETE', at('/shore?preview=1'));
  expect(body).toMatchObject({ posts: 1, before: 4, after: 0, filled: { before: 5, after: 4 } });
  await server.ask('DELETE', at('/shore'));
  expect(await tree()).toEqual(['Mudflat 2/2', 'Mud flat 2/2', 'Wetland 1/0', '  Reedbed 1/1']);
  expect((await answers('place=shore')).notices[0].code).toBe('unknown-term');
  const added = await server.ask('POST', at(), { label: 'Dune', parent: 'wetland' });
  expect([added.status, added.body.term]).toEqual([201, 'dune']);
  expect(await tree()).toContain('  Dune 0/0');
});

test('what was done is undone step by step and done again, whatever it was', async () => {
  const states = [await tree()];
  const steps = [
    () => merge(['mud-flat'], 'mudflat'),
    () => patch('mudflat', { label: 'Flats', slug: 'flats', parent: null }),
    () => server.ask('DELETE', at('/shore')),
    () => server.ask('POST', at(), { label: 'Dune' }),
  ];
  for (const step of steps) {
    expect((await step()).status).toBeLessThan(300);
    states.push(await tree());
  }
  for (const state of states.slice(0, -1).reverse()) {
    await undo();
    expect(await tree()).toEqual(state);
  }
  expect(await found('place=mud-flat')).toEqual(['2', '4']);
  expect((await undo()).body.code).toBe('nothing-to-undo');
  for (const state of states.slice(1)) {
    await redo();
    expect(await tree()).toEqual(state);
  }
  expect((await redo()).body.code).toBe('nothing-to-undo');
  const { body } = await server.ask('GET', at('/changes'));
  expect(body.map((one: any) => one.text)).toEqual([
    'Dune, new',
    'Shore deleted',
    'Mudflat, now Flats; Mudflat at the top',
    'Mud flat into Mudflat',
  ]);
});

test('terms stay as they were shaped when next month’s posts come, when a field is mended, and when that is undone', async () => {
  await merge(['mud-flat'], 'mudflat');
  await patch('wetland', { label: 'Marsh' });
  await patch('reedbed', { parent: 'shore' });
  await server.ask('DELETE', at('/shore'));
  const shaped = await tree();
  const form = new FormData();
  form.append(
    'file',
    new Blob([`${notes}6,Dunes,Shore > Dune,Walk\n7,More,Shore > Mud flat,Walk\n8,Fen,Marsh > Fen,Walk\n`]),
    'june.csv',
  );
  const response = await fetch(`${server.url}/api/v1/sources/${slug}/posts`, { method: 'PUT', body: form });
  expect(await response.json()).toMatchObject({ added: 3, changed: 0, removed: 0 });
  expect(await tree()).toEqual(['Mudflat 4/4', 'Marsh 1/0', '  Fen 1/1', 'Reedbed 1/1', 'Dune 1/1']);
  const { body } = await server.ask('POST', `/api/v1/sources/${slug}/mends`, {
    field: 'place',
    values: { Dune: 'Mudflat' },
  });
  await server.ask('DELETE', `/api/v1/sources/${slug}/mends/${body.id}`);
  const { body: runs } = await server.ask('GET', `/api/v1/sources/${slug}/runs`);
  await server.ask('POST', `/api/v1/sources/${slug}/runs/${runs[0].id}/undo`);
  expect(await tree()).toEqual(shaped);
});

test('what a lens says of a term by a slug it had holds, and is not said of what it was merged into', async () => {
  const config = { facets: [{ key: 'place', kind: 'tree', field: 'place', hide: ['mud-flat', 'wetland'] }] };
  await server.ask('POST', '/api/v1/lenses', { name: 'Hiding', slug: `${slug}-hiding`, source: slug, config });
  const shown = async () => {
    const { body } = await server.ask('GET', `/api/v1/lenses/${slug}-hiding/draft/results`);
    return body.facets[0].options.map((one: any) => one.value);
  };
  expect(await shown()).toEqual(['shore', 'mudflat']);
  await patch('wetland', { slug: 'marsh' });
  await merge(['mud-flat'], 'mudflat');
  expect(await shown()).toEqual(['shore', 'mudflat']);
});

test('two who change at once both have their way, one after the other', async () => {
  const all = await Promise.all([
    patch('mudflat', { label: 'One' }),
    patch('reedbed', { label: 'Two' }),
    patch('shore', { label: 'Three' }),
    merge(['mud-flat'], 'mudflat'),
  ]);
  expect(all.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
  expect(await tree()).toEqual(['Three 4/1', '  One 3/3', 'Wetland 1/0', '  Two 1/1']);
});

test('only fields of terms are shaped', async () => {
  const { status, body } = await server.ask('PATCH', `/api/v1/sources/${slug}/terms/title/x`, { label: 'Y' });
  expect([status, body.code]).toEqual([422, 'no-terms']);
});

test('what was found, and what the field holds, is back with a change that is undone', async () => {
  const state = async () => {
    const { fields, findings } = (await server.ask('GET', `/api/v1/sources/${slug}`)).body;
    const place = fields.find(({ key }: any) => key === 'place');
    // samples are the commonest values, those equally common in any order
    return { ...place, samples: place.samples.sort(), findings: findings.map(({ id }: any) => id).sort() };
  };
  const first = await state();
  for (const step of [() => merge(['mud-flat'], 'mudflat'), () => server.ask('DELETE', at('/shore'))]) await step();
  expect((await state()).distinct).toBe(first.distinct - 2);
  await undo();
  await undo();
  expect(await state()).toEqual(first);
});

test('a slug that a term had in between goes on leading to it when that is undone', async () => {
  await patch('reedbed', { slug: 'reeds' });
  // an index that is made after it knows the post by the new slug alone
  await server.upload('id,title,place\n9,New,Wetland > Fen\n', 'x.csv', { slug: `${slug}-other` });
  await undo();
  expect(await found('place=reedbed')).toEqual(['3']);
  const answer = await answers('place=reeds');
  expect([answer.matched, answer.address]).toEqual([1, 'place=reedbed']);
  await redo();
  expect((await answers('place=reedbed')).address).toBe('place=reeds');
});

test('a new term that has posts by now is not undone away', async () => {
  await server.ask('POST', at(), { label: 'Dune', parent: 'shore' });
  const form = new FormData();
  form.append('file', new Blob([`${notes}6,Dunes,Shore > Dune,Walk\n`]), 'june.csv');
  await fetch(`${server.url}/api/v1/sources/${slug}/posts`, { method: 'PUT', body: form });
  const { status, body } = await undo();
  expect([status, body.code]).toEqual([409, 'term-in-use']);
  expect(await found('place=dune')).toEqual(['6']);
});

test('more who change at once than there are connections all have their way', async () => {
  const all = await Promise.all(Array.from({ length: 24 }, (_, i) => patch('mudflat', { label: `Mud ${i}` })));
  expect(all.filter(({ status }) => status !== 200)).toEqual([]);
  expect((await server.ask('GET', at('/changes'))).body).toHaveLength(24);
}, 30_000);

test('terms stay shaped though their field is read another way for a while', async () => {
  await merge(['mud-flat'], 'mudflat');
  await patch('reedbed', { label: 'Reeds', hidden: true });
  const shaped = await tree();
  const field = (body: object) => server.ask('PATCH', `/api/v1/sources/${slug}/fields/place`, body);
  await server.ask('DELETE', `/api/v1/lenses/${slug}`);
  expect((await field({ type: 'text' })).status).toBe(200);
  // next month's posts come while it is a text
  const form = new FormData();
  form.append('file', new Blob([notes.replace('Terns', 'Many terns')]), 'june.csv');
  await fetch(`${server.url}/api/v1/sources/${slug}/posts`, { method: 'PUT', body: form });
  expect((await field({ type: 'terms', pathSeparator: '>', separator: '|' })).status).toBe(200);
  expect((await tree()).sort()).toEqual(shaped.sort());
  const { body } = await server.ask('GET', at());
  expect(body.find((one: any) => one.slug === 'reedbed')).toMatchObject({ label: 'Reeds', hidden: true });
});

test('a copy of a source has terms of its own', async () => {
  await merge(['mud-flat'], 'mudflat');
  const { body: copy } = await server.ask('POST', `/api/v1/sources/${slug}/copies`);
  const terms = async () => (await server.ask('GET', `/api/v1/sources/${copy.slug}/terms/place`)).body;
  expect((await terms()).map((one: any) => one.count)).toEqual([4, 3, 1, 1]);
  // as many changes as its origin had, of another sort: nothing of it may be taken for a change of terms alone
  await server.ask('PATCH', `/api/v1/sources/${copy.slug}/terms/place/shore`, { hidden: true });
  const form = new FormData();
  form.append('file', new Blob([`${notes}6,Dunes,Shore > Dune,Walk\n`]), 'june.csv');
  await fetch(`${server.url}/api/v1/sources/${copy.slug}/posts`, { method: 'PUT', body: form });
  expect((await terms()).find((one: any) => one.slug === 'dune').count).toBe(1);
  expect(await tree()).toEqual(['Shore 4/1', '  Mudflat 3/3', 'Wetland 1/0', '  Reedbed 1/1']);
});

test('without scripts a range to the minute is put into the address as everywhere', async () => {
  const notes = 'id,title,seen\n1,One,2026-03-01T09:00:00Z\n2,Two,2026-03-01T15:30:00Z\n3,Three,2026-03-02T08:00:00Z\n';
  await server.upload(notes, 'times.csv', { slug: `${slug}-times` });
  const config = { facets: [{ key: 'seen', kind: 'time-range', field: 'seen' }] };
  await server.ask('POST', '/api/v1/lenses', { name: 'T', slug: `${slug}-times`, source: `${slug}-times`, config });
  await server.ask('POST', `/api/v1/lenses/${slug}-times/releases`, {});
  const boxes = new URLSearchParams({ 'seen.from': '2026-03-01T15:30', 'seen.to': '2026-03-01T15:30' });
  const response = await fetch(`${server.url}/l/${slug}-times?${boxes.toString()}`, { redirect: 'manual' });
  expect(response.headers.get('location')).toBe(`/l/${slug}-times?seen=2026-03-01T15:30/2026-03-01T15:30`);
  const { body } = await server.ask('GET', `/api/v1/lenses/${slug}-times/results?seen=2026-03-01T10/..`);
  expect(body.items.map(({ id }: any) => id).sort()).toEqual(['2', '3']);
});

test.each([
  ['jsonld', 'places.jsonld'],
  ['turtle', 'places.ttl'],
])('terms go out as %s and come in again unchanged; another taxonomy shapes them, and is undone', async (as, name) => {
  const slug = `skos-${as}`;
  await server.upload('id,title,place\n1,A,Shore > Mudflat\n2,B,Shore > Bank\n3,C,Lagoon', 'a.csv', { slug });
  const at = `/api/v1/sources/${slug}/terms/place`;
  const out = await fetch(`${server.url}${at}/export?as=${as}`);
  expect(out.headers.get('content-disposition')).toContain(`place.${as === 'turtle' ? 'ttl' : 'jsonld'}`);
  const text = await out.text();
  const send = async (body: string, query = '') => {
    const form = new FormData();
    form.append('file', new Blob([body]), name);
    const reply = await fetch(`${server.url}${at}/import${query}`, { method: 'POST', body: form });
    return { status: reply.status, body: await reply.json() };
  };
  expect((await send(text)).body.text).toBe('They are like this already');
  const other = `@prefix skos: <http://www.w3.org/2004/02/skos/core#> .
<#mudflat> skos:notation "mudflat" ; skos:prefLabel "Mud flats" . <#reed> skos:prefLabel "Reed" ; skos:broader <#mudflat> .`;
  expect((await send(other, '?preview=1')).body.text).toContain('1 new, 1 renamed');
  const labels = async () =>
    (await server.ask('GET', at)).body.map(({ label, parent }: any) => `${parent ?? ''}/${label}`);
  const before = await labels();
  expect((await send(other)).status).toBe(200);
  expect(await labels()).toEqual(
    expect.arrayContaining(['/Mud flats', 'mudflat/Reed', '/Shore', 'shore/Bank', '/Lagoon']),
  );
  const { body: found } = await server.ask('GET', `/api/v1/sources/${slug}/posts?filter=place:mudflat`);
  expect(found.total).toBe(1);
  await server.ask('POST', `${at}/undo`, {});
  expect(await labels()).toEqual(before);
  expect((await send('nonsense')).body.code).toBe('broken-file');
});
