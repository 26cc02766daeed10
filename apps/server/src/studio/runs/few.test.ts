import { setTimeout as wait } from 'node:timers/promises';
import { isDeepStrictEqual } from 'node:util';
import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const size = 2_500;
const places = ['Mudflat', 'Lagoon', 'Shore > Dune', 'Shore > Wrack line'];
const row = (i: number) => [`n${i}`, `Note ${i}`, places[i % 4], `2026-03-${String(1 + (i % 28)).padStart(2, '0')}`, i];
const csvOf = (rows: readonly unknown[][], header = 'id,title,place,day,minutes') =>
  [header, ...rows.map((cells) => cells.join(','))].join('\n');
const facets = [
  { key: 'q', kind: 'search', fields: ['title', 'place'] },
  { key: 'place', kind: 'tree', field: 'place' },
  { key: 'day', kind: 'date-range', field: 'day' },
  { key: 'minutes', kind: 'number-range', field: 'minutes' },
];

beforeAll(async () => {
  server = await startHarness();
});
afterAll(() => server.stop());

async function source(slug: string, csv: string) {
  await server.upload(csv, `${slug}.csv`, { slug });
  await server.ask('POST', '/api/v1/lenses', { name: slug, slug, source: slug, config: { facets } });
}
async function answers(slug: string) {
  const queries = ['', 'place=shore', 'place=pier', 'q=note+7', 'q=pier', 'day=2026-03-05', 'minutes=2400/..&page=2'];
  return Promise.all(
    queries.map(async (query) => {
      const { body } = await server.ask('GET', `/api/v1/lenses/${slug}/draft/results?${query}`);
      return { ...body, lens: '', tookMs: 0 };
    }),
  );
}
/** What is told of the fields: with the commonest values in any order where they are as common. */
async function told(slug: string) {
  const { body } = await server.ask('GET', `/api/v1/sources/${slug}`);
  const fields = body.fields.map(({ key, type, filled, distinct, spread }: any) => ({
    ...{ key, type, filled, distinct, spread },
  }));
  return { posts: body.posts, fields, findings: body.findings.map(({ id, posts }: any) => `${id} ${posts}`).sort() };
}
/** What is told of the fields once it is what is expected, or after a while whatever it is then. */
async function settled(slug: string, expected: Awaited<ReturnType<typeof told>>) {
  for (let i = 0; i < 80; i++) {
    const all = await told(slug);
    if (isDeepStrictEqual(all, expected)) return all;
    await wait(100);
  }
  return told(slug);
}
const counts = ({ added, changed, unchanged, removed, total }: any) => [added, changed, unchanged, removed, total];

test('few posts among many: answers and fields are those of a source that came in so', async () => {
  await source('few', csvOf(Array.from({ length: size }, (_, i) => row(i))));
  await answers('few');
  const patched = await server.ask('PATCH', '/api/v1/sources/few/posts', [
    { id: 'n7', title: 'Note seven', place: 'Pier > Head' },
    { id: 'n8', minutes: 99_000 },
    { id: 'n9', place: 'Mudflat' },
    { id: 'new', title: 'A new one', place: 'Lagoon', day: '2027-01-01', minutes: 3 },
  ]);
  expect([patched.status, counts(patched.body)]).toEqual([200, [1, 3, size - 3, 0, size + 1]]);
  const removed = await server.ask('DELETE', '/api/v1/sources/few/posts/n11');
  expect(counts(removed.body)).toEqual([0, 0, size, 1, size]);
  const rows = Array.from({ length: size }, (_, i) => row(i));
  Object.assign(rows[7]!, { 1: 'Note seven', 2: 'Pier > Head' });
  rows[8]![4] = 99_000;
  rows[9]![2] = 'Mudflat';
  await source('whole', csvOf([...rows.toSpliced(11, 1), ['new', 'A new one', 'Lagoon', '2027-01-01', 3]]));
  const [few, whole] = [await answers('few'), await answers('whole')];
  // terms stand in the order they came in
  const sorted = (all: any[]) => {
    for (const { facets: found } of all)
      for (const { options } of found) options?.sort((a: any, b: any) => (a.value < b.value ? -1 : 1));
    return all;
  };
  expect(sorted(few)).toEqual(sorted(whole));
  const expected = await told('whole');
  expect(await settled('few', expected)).toEqual(expected);
});

test('what few posts were is there again when their run is undone', async () => {
  const before = await answers('few');
  const first = await told('few');
  const { body } = await server.ask('PATCH', '/api/v1/sources/few/posts', [
    { id: 'n1', place: 'Jetty' },
    { id: 'n2', title: '' },
  ]);
  expect((await answers('few'))[0].facets[1].options.map(({ value }: any) => value)).toContain('jetty');
  await server.ask('POST', `/api/v1/sources/few/runs/${body.run}/undo`);
  expect(await answers('few')).toEqual(before);
  expect(await told('few')).toEqual(first);
});

test('terms shaped and posts changed one after the other are both there', async () => {
  await server.ask('PATCH', '/api/v1/sources/few/terms/place/lagoon', { label: 'Salt lagoon', slug: 'salt-lagoon' });
  await server.ask('PATCH', '/api/v1/sources/few/posts', [{ id: 'n3', place: 'Lagoon' }]);
  const [all] = await answers('few');
  await server.ask('PATCH', '/api/v1/sources/few/terms/place/lagoon', { label: 'Lagoon' });
  await server.ask('PATCH', '/api/v1/sources/few/posts', [{ id: 'n3', place: 'Mudflat' }]);
  const [then] = await answers('few');
  const lagoon = (answer: any) => answer.facets[1].options.find(({ value }: any) => value === 'salt-lagoon');
  expect([lagoon(all).label, lagoon(then).label, lagoon(all).count - lagoon(then).count]).toEqual([
    'Salt lagoon',
    'Lagoon',
    1,
  ]);
});

test('days that turn the order of all others round are read with them', async () => {
  const days = (i: number) => [`n${i}`, `Note ${i}`, `${1 + (i % 9)}/${1 + (i % 12)}/2026`];
  const rows = [...Array.from({ length: size }, (_, i) => days(i)), ['x', 'Sure', '13/5/2026']];
  await server.upload(csvOf(rows, 'id,title,day'), 'days.csv', { slug: 'days' });
  await server.ask('PATCH', '/api/v1/sources/days/posts', [{ id: 'y', title: 'Pebble', day: '3/4/2026' }]);
  expect((await server.ask('GET', '/api/v1/sources/days/posts?q=pebble')).body.items[0].values.day).toBe('2026-04-03');
  const others = ['5/14/2026', '5/15/2026'].map((one, i) => ({ id: `z${i}`, title: 'Other', day: one }));
  await server.ask('PATCH', '/api/v1/sources/days/posts', others);
  expect((await server.ask('GET', '/api/v1/sources/days/posts?q=pebble')).body.items[0].values.day).toBe('2026-03-04');
});

test('a post that is not there, and one without an id, change nothing', async () => {
  const before = await answers('few');
  expect((await server.ask('DELETE', '/api/v1/sources/few/posts/nobody')).body.code).toBe('not-found');
  expect((await server.ask('PATCH', '/api/v1/sources/few/posts', [{ title: 'Nameless' }])).body.code).toBe('no-id');
  expect(await answers('few')).toEqual(before);
});
