import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
const notes = `id,title,place,kind,minutes
1,Terns,Pier,Walk,3
2,Waders,Pier,Talk,12
3,Reeds,Dune,Walk,7
4,Ringing,Moor,Talk,20
5,Estuary,Moor,Walk,9
`;
const facets = [
  { key: 'q', kind: 'search', fields: ['title'] },
  { key: 'place', kind: 'checkboxes', field: 'place' },
  { key: 'kind', kind: 'radios', field: 'kind' },
  { key: 'minutes', kind: 'number-range', field: 'minutes' },
];
const config = { facets };

beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', slug: 'notes', source: 'notes', config });
});
afterAll(() => server.stop());

const at = (path: string) => `/api/v1/lenses/notes/draft/${path}`;
const see = (what: string, body: object) => server.ask('POST', at(what), { config, address: '', ...body });
const results = async (address: string) => (await server.ask('GET', at(`results?${address}`))).body;

test('the sieve of the draft adds up with its answers', async () => {
  const { body } = await server.ask('GET', at('sieve?place=pier&kind=walk'));
  expect(body).toEqual({
    total: 5,
    matched: 1,
    facets: [
      { key: 'place', alone: 2, without: 3, left: 2 },
      { key: 'kind', alone: 3, without: 2, left: 1 },
    ],
  });
  expect((await results('kind=walk')).matched).toBe(3);
});

test('the nearest posts come with what stops them, and each way in gives what it says', async () => {
  const address = 'place=pier&minutes=0/10';
  const { status, body } = await see('nearest', { address });
  expect(status).toBe(200);
  expect([body.failing, body.alone]).toEqual([[1, 3, 1], { place: 2, minutes: 1 }]);
  expect(body.posts.map(({ id }: any) => id).sort()).toEqual(['2', '3', '5']);
  const { body: ways } = await see('ways-in', { address, post: '2' });
  for (const way of ways) {
    const answer = await results(way.address);
    expect(answer.matched).toBe(way.matched);
    expect(answer.items.map(({ id }: any) => id)).toContain('2');
  }
  expect(ways.map(({ steps }: any) => steps[0].text)).toEqual(['to 12', null]);
});

test('posts are found by their titles, and by where they fall out', async () => {
  const ids = async (body: object) => (await see('nearest', body)).body.posts.map(({ id }: any) => id);
  expect(await ids({ find: 'REED' })).toEqual(['3']);
  expect(await ids({ post: '4' })).toEqual(['4']);
  expect(await ids({ post: 'nobody' })).toEqual([]);
  expect(await ids({ address: 'place=pier&kind=walk', fallsAt: 'kind' })).toEqual(['2']);
  expect(await ids({ address: 'place=pier&kind=walk', failing: 2 })).toEqual(['4']);
});

test('dead ends match nothing, each alone something', async () => {
  const { body } = await server.ask('GET', at('dead-ends'));
  expect(body).toEqual([{ address: 'place=dune&kind=talk', matched: 0, facets: ['place', 'kind'] }]);
  expect((await results(body[0].address)).matched).toBe(0);
  const { body: all } = await see('dead-ends', {});
  expect([all.pairs, all.dead, all.worst[0].choices.map(({ count }: any) => count)]).toEqual([6, 1, [1, 2]]);
  const { body: table } = await see('cross-table', { facets: ['place', 'kind'] });
  expect(table.counts).toEqual([
    [1, 1],
    [1, 0],
    [1, 1],
  ]);
});

test('what is wrong with settings that are not kept is found', async () => {
  const hidden = { facets: [{ key: 'place', kind: 'checkboxes', field: 'place', only: ['pier'], hide: ['pier'] }] };
  const { body } = await see('findings', { config: hidden });
  expect(body.map(({ code, facet }: any) => `${facet} ${code}`)).toContain('place all-hidden');
});

test('what is asked wrongly is refused', async () => {
  expect((await see('cross-table', { facets: ['place', 'nothing'] })).status).toBe(404);
  expect((await see('cross-table', { facets: ['place'] })).status).toBe(400);
  expect((await see('nearest', { failing: -1 })).status).toBe(400);
  expect((await see('nearest', { config: { facets: 'x' } })).status).toBe(422);
  expect((await see('ways-in', { post: 'nobody' })).body).toEqual([]);
});
