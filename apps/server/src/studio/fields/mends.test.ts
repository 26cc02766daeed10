import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const csv = `id,title,place,kind
1,A,Mudflat,survey
2,B,mud flat,survey
3,C,"Mud-flat",Survey
4,D,Lagoon,sighting
5,E,Mudflat,sighting
`;
let slug = '';
let tests = 0;
beforeAll(async () => {
  server = await startHarness();
});
beforeEach(async () => {
  slug = `notes-${++tests}`;
  await server.upload(csv, 'notes.csv', { slug });
  const config = { facets: [{ key: 'place', kind: 'checkboxes', field: 'place', label: 'Place' }] };
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', slug, source: slug, config });
});
afterAll(() => server.stop());

interface Found {
  id: string;
  code: string;
  field: string;
  mended: string | null;
  mends: { id: string; text: string }[];
}
const at = (path: string) => `/api/v1/sources/${slug}${path}`;
const findings = async () =>
  ((await server.ask('GET', at('/findings'))).body as Found[]).filter(
    ({ code, mended }) => code === 'near-twins' && mended === null,
  );
const twinsOf = async (field: string) => (await findings()).find((one) => one.field === field)!;
const mend = (finding: string, one: string, preview = '') =>
  server.ask('POST', at(`/mends${preview}`), { finding, mend: one });
const answers = async () => {
  const { body } = await server.ask('GET', `/api/v1/lenses/${slug}/draft/results`);
  delete body.tookMs;
  return body;
};
const places = async () =>
  (await answers()).facets[0].options
    .map(({ label, count }: { label: string; count: number }) => `${label} ${count}`)
    .sort();

test('near-twins are read as the one that is wanted, which is shown before it is done', async () => {
  const twins = await twinsOf('place');
  expect(twins.mends.map(({ text }) => text)).toEqual([
    'Read all as “Mudflat”',
    'Read all as “mud flat”',
    'Read all as “Mud-flat”',
    'Keep them apart',
  ]);
  const { status, body } = await mend(twins.id, 'Mudflat', '?preview=1');
  expect([status, body.changed]).toEqual([201, 2]);
  expect(body.lenses).toMatchObject([{ slug, before: '4 terms', after: '2 terms', problem: null }]);
  expect((await places()).length).toBe(4);
});

test('mended, it is answered so at once and found no more; taken back, all is as it was', async () => {
  const before = await answers();
  const twins = await twinsOf('place');
  await mend(twins.id, 'Mudflat');
  expect(await places()).toEqual(['Lagoon 1', 'Mudflat 4']);
  expect((await findings()).map(({ field }) => field)).toEqual(['kind']);
  const { body: rules } = await server.ask('GET', at('/mends'));
  expect(rules).toMatchObject([
    {
      field: 'place',
      text: 'Read all as “Mudflat”',
      rule: { from: ['mud flat', 'Mud-flat'], into: 'Mudflat' },
      fits: true,
    },
  ]);
  expect((await server.ask('DELETE', at(`/mends/${encodeURIComponent(rules[0].id)}`))).status).toBe(204);
  expect(await answers()).toEqual(before);
  expect((await server.ask('GET', at('/mends'))).body).toEqual([]);
});

test('what is mended is listed as that, and may be mended in another way', async () => {
  const twins = await twinsOf('place');
  await mend(twins.id, 'Mudflat');
  const all = (await server.ask('GET', at('/findings'))).body as Found[];
  expect(all.find(({ id }) => id === twins.id)).toMatchObject({ mended: 'Mudflat', field: 'place' });
  expect((await mend(twins.id, 'Mud-flat')).status).toBe(201);
  expect(await places()).toEqual(['Lagoon 1', 'Mud-flat 4']);
  expect((await server.ask('GET', at('/mends'))).body).toHaveLength(1);
});

test('several are taken back one by one, in any order', async () => {
  const before = await answers();
  for (const field of ['place', 'kind']) {
    const twins = await twinsOf(field);
    await mend(twins.id, twins.mends[0]!.id);
  }
  expect(await findings()).toEqual([]);
  const { body: rules } = await server.ask('GET', at('/mends'));
  for (const rule of rules.reverse()) await server.ask('DELETE', at(`/mends/${encodeURIComponent(rule.id)}`));
  expect(await answers()).toEqual(before);
});

test('what a field is read as and its mends go together', async () => {
  await mend((await twinsOf('place')).id, 'Mudflat');
  await server.ask('PATCH', at('/fields/place'), { label: 'Where' });
  expect(await places()).toEqual(['Lagoon 1', 'Mudflat 4']);
});

test('what is not there, or is no mend of it, is refused', async () => {
  expect((await mend('near-twins~gone', 'x')).status).toBe(404);
  expect((await mend((await twinsOf('place')).id, 'Lagoon')).body.code).toBe('no-mend');
  expect((await mend('', '')).status).toBe(400);
  expect((await server.ask('DELETE', at('/mends/gone'))).status).toBe(404);
});

test('all of one kind are mended at once, each as is advised', async () => {
  const { body: looked } = await server.ask('POST', at('/mends?preview=1'), { code: 'near-twins' });
  expect([looked.ids.length, looked.changed]).toEqual([2, 2]);
  expect((await findings()).length).toBe(2);
  expect((await server.ask('POST', at('/mends'), { code: 'near-twins' })).status).toBe(201);
  expect(await findings()).toEqual([]);
  expect(await places()).toEqual(['Lagoon 1', 'Mudflat 4']);
  expect((await server.ask('POST', at('/mends'), { code: 'near-twins' })).status).toBe(404);
});

test('what is meant as it is, is told no more, until that is taken back', async () => {
  const twins = await twinsOf('place');
  const { body } = await mend(twins.id, 'keep');
  expect(body.changed).toBe(0);
  expect((await findings()).map(({ field }) => field)).toEqual(['kind']);
  await server.ask('DELETE', at(`/mends/${encodeURIComponent(twins.id)}`));
  expect((await findings()).map(({ field }) => field).sort()).toEqual(['kind', 'place']);
});

test('values are written by hand, each as a mend of its own', async () => {
  const { body } = await server.ask('POST', at('/mends'), {
    field: 'place',
    values: { 'mud flat': 'Mudflat', Lagoon: '' },
  });
  expect([body.ids.length, body.changed]).toEqual([2, 2]);
  expect(await places()).toEqual(['Mud-flat 1', 'Mudflat 3']);
  await server.ask('DELETE', at(`/mends/${encodeURIComponent(body.ids[1])}`));
  expect(await places()).toEqual(['Lagoon 1', 'Mud-flat 1', 'Mudflat 3']);
  for (const wrong of [{ field: 'place' }, { field: 'place', values: { a: 1 } }, { finding: 'x' }, {}])
    expect((await server.ask('POST', at('/mends'), wrong)).status).toBe(400);
});

test('a mend that has nothing left to mend says so', async () => {
  await mend((await twinsOf('kind')).id, 'survey');
  const fits = async () => (await server.ask('GET', at('/mends'))).body.map((one: { fits: boolean }) => one.fits);
  expect(await fits()).toEqual([true]);
  await server.ask('PATCH', at('/fields/kind'), { separator: 'e' });
  expect(await fits()).toEqual([false]);
});

describe('posts that are there twice', () => {
  const twice = 'id,title,kind\n1,Walk,a\n2,Count,b\n3,Talk,a\n4,walk,b\n2,Again,c\n';
  const source = async () => (await server.ask('GET', at(''))).body;
  const ids = async () =>
    (await server.ask('GET', at('/posts?order=asc'))).body.items.map(({ id }: { id: string }) => id).sort();
  beforeEach(async () => {
    slug = `twice-${tests}`;
    await server.upload(twice, 'twice.csv', { slug });
    await server.ask('POST', '/api/v1/lenses', { name: slug, slug, source: slug });
  });

  test('of one id only the first is answered, until all are kept', async () => {
    const before = await answers();
    const { posts, rejected, findings: found } = await source();
    expect([posts, rejected]).toMatchObject([4, [{ record: 5, code: 'duplicate-id' }]]);
    expect(found.find(({ code }: Found) => code === 'duplicate-ids')).toMatchObject({ posts: 1, field: 'id' });
    const { body } = await mend('duplicate-ids~id', 'number');
    expect([body.changed, body.posts]).toEqual([1, { before: 4, after: 5 }]);
    expect(body.lenses.find(({ of }: { of: string }) => of === 'draft')).toMatchObject({
      posts: { before: 4, after: 5 },
    });
    expect((await answers()).total).toBe(5);
    expect(await ids()).toEqual(['1', '2', '2~2', '3', '4']);
    expect((await source()).rejected).toEqual([]);
    await server.ask('DELETE', at('/mends/duplicate-ids~id'));
    expect(await answers()).toEqual(before);
    expect((await source()).rejected).toHaveLength(1);
  });

  test('of one title the later are left out where that is wished, with all that only they had', async () => {
    const { body } = await mend('duplicate-titles~title', 'later');
    expect(body.posts).toEqual({ before: 4, after: 3 });
    expect(await ids()).toEqual(['1', '2', '3']);
    const described = (await source()).fields.find(({ key }: { key: string }) => key === 'kind');
    expect([described.filled, described.distinct]).toEqual([3, 2]);
    const twoMends = await mend('duplicate-ids~id', 'number');
    expect(twoMends.body.posts).toEqual({ before: 3, after: 4 });
    await server.ask('DELETE', at('/mends/duplicate-titles~title'));
    expect(await ids()).toEqual(['1', '2', '2~2', '3', '4']);
  });
});
