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
    { field: 'place', text: 'Read all as “Mudflat”', from: ['mud flat', 'Mud-flat'], into: 'Mudflat' },
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
