import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
let slug = '';
let tests = 0;
const may = `id,title,place,minutes
1,Walk,Mudflat,12
2,Count,mud flat,3
3,Talk,Lagoon,7
4,Gate,Mudflat,5
`;
const june = `id,title,place,minutes,open
1,Walk,Mudflat,12,yes
2,Count of terns,mud flat,4,no
4,Gate,Mudflat,5,yes
5,Slipway,Reedbed,9,no
6,Hide,mud flat,1,no
`;
beforeAll(async () => {
  server = await startHarness();
});
beforeEach(async () => {
  slug = `month-${++tests}`;
  await server.upload(may, 'may.csv', { slug });
  const config = { facets: [{ key: 'place', kind: 'checkboxes', field: 'place' }] };
  await server.ask('POST', '/api/v1/lenses', { name: slug, slug, source: slug, config });
});
afterAll(() => server.stop());

const at = (path: string) => `/api/v1/sources/${slug}${path}`;
async function replace(text: string, query = '', parts: Record<string, string> = {}, name = 'june.csv') {
  const form = new FormData();
  for (const [key, value] of Object.entries(parts)) form.append(key, value);
  form.append('file', new Blob([text]), name);
  const response = await fetch(`${server.url}${at(`/posts${query}`)}`, { method: 'PUT', body: form });
  return { status: response.status, body: await response.json() };
}
const source = async () => (await server.ask('GET', at(''))).body;
async function answers(query = '') {
  const { body } = await server.ask('GET', `/api/v1/lenses/${slug}/draft/results${query}`);
  delete body.tookMs;
  return body;
}
const counts = ({ added, changed, unchanged, removed }: any) => [added, changed, unchanged, removed];
const runs = async () => (await server.ask('GET', at('/runs'))).body;

test('a file in place of another says first what it would change, and changes it in one go', async () => {
  const before = await answers();
  const { status, body } = await replace(june, '?preview=1');
  expect([status, counts(body)]).toEqual([200, [2, 3, 0, 1]]);
  expect(body.posts.find(({ id }: any) => id === '2')).toMatchObject({
    change: 'changed',
    title: 'Count of terns',
    fields: ['title', 'minutes', 'open'],
    values: [
      { key: 'title', before: 'Count', after: 'Count of terns' },
      { key: 'minutes', before: '3', after: '4' },
      {},
    ],
  });
  expect(body.posts.map(({ id, change }: any) => `${change} ${id}`)).toEqual([
    'added 5',
    'added 6',
    'changed 1',
    'changed 2',
    'changed 4',
    'removed 3',
  ]);
  expect(body.lenses).toEqual([{ slug, name: slug, matched: { before: 4, after: 5 } }]);
  expect(body.fields).toEqual({ added: ['open'], gone: [] });
  expect(await answers()).toEqual(before);
  const made = await replace(june);
  expect(counts(made.body)).toEqual([2, 3, 0, 1]);
  expect((await answers()).total).toBe(5);
  expect(await source()).toMatchObject({ posts: 5, fileName: 'june.csv' });
});

test('what is missing may stay, and what was mended is mended again', async () => {
  await server.ask('POST', at('/mends'), { code: 'near-twins' });
  const { body } = await replace(june, '?preview=1', { keep: 'missing' });
  expect([counts(body), body.mends]).toMatchObject([[2, 3, 1, 0], [{ field: 'place', before: 1, after: 2 }]]);
  await replace(june, '', { keep: 'missing' });
  const { total, facets } = await answers();
  expect([total, facets[0].options.map(({ label, count }: any) => `${label} ${count}`)]).toEqual([
    6,
    ['Mudflat 4', 'Lagoon 1', 'Reedbed 1'],
  ]);
});

test('each run is listed with what it did, and the newest is undone, and the one before it then', async () => {
  const first = await answers();
  const sourceBefore = await source();
  await replace(june);
  const second = await answers();
  await server.ask('PATCH', at('/posts'), [
    { id: '5', title: 'Slipway shut' },
    { id: '9', title: 'New', place: 'Lagoon' },
  ]);
  const all = await runs();
  expect(all.map(({ how, posts, undoable }: any) => [how, posts, undoable])).toEqual([
    ['posts', 6, true],
    ['file', 5, false],
    ['file', 4, false],
  ]);
  expect((await server.ask('POST', at(`/runs/${all[1].id}/undo`))).body.code).toBe('not-newest');
  expect((await server.ask('POST', at(`/runs/${all[0].id}/undo`))).status).toBe(200);
  expect(await answers()).toEqual(second);
  expect((await server.ask('POST', at(`/runs/${all[1].id}/undo`))).status).toBe(200);
  expect(await answers()).toEqual(first);
  // but for when it was changed, all of the source is as it was, the name of its file too
  expect({ ...(await source()), updatedAt: '' }).toEqual({ ...sourceBefore, updatedAt: '' });
  expect((await server.ask('POST', at(`/runs/${all[2].id}/undo`))).body.code).toBe('not-newest');
  expect((await runs()).map(({ how, state }: any) => `${how} ${state}`)).toEqual([
    'undo done',
    'undo done',
    'posts undone',
    'file undone',
    'file done',
  ]);
});

test('some posts are changed in what is given, and others added, by their ids', async () => {
  const { body } = await server.ask('PATCH', at('/posts'), [
    { id: '3', place: 'Reedbed' },
    { id: '7', title: 'New', place: 'Lagoon', minutes: 2 },
  ]);
  expect(counts(body)).toEqual([1, 1, 3, 0]);
  const { items } = await answers('?place=reedbed');
  expect(items.map(({ id, title }: any) => [id, title])).toEqual([['3', 'Talk']]);
  expect(counts((await server.ask('PATCH', at('/posts'), [{ id: '3', place: 'Reedbed' }])).body)).toEqual([0, 0, 5, 0]);
});

test('a post is taken away, and comes back as it was', async () => {
  const before = await answers();
  const { body } = await server.ask('DELETE', at('/posts/3'));
  expect(counts(body)).toEqual([0, 0, 3, 1]);
  expect((await answers()).total).toBe(3);
  await server.ask('POST', at(`/runs/${body.run}/undo`));
  expect(await answers()).toEqual(before);
});

test('an address of a term that no post has since still reads', async () => {
  await replace(june);
  const { matched, notices } = await answers('?place=lagoon');
  expect([matched, notices]).toEqual([0, []]);
});

test('what is wrong is refused, and changes nothing', async () => {
  const before = await answers();
  expect((await replace('title\nA\nB\n')).body.code).toBe('no-id');
  expect((await replace('[{', '', {}, 'x.json')).status).toBe(422);
  expect((await replace(june, '', { format: 'doc' })).status).toBe(400);
  expect((await server.ask('DELETE', at('/posts/99'))).status).toBe(404);
  for (const body of [{}, [], ['x'], [{ title: 'no id' }]]) {
    expect((await server.ask('PATCH', at('/posts'), body)).status).toBeGreaterThanOrEqual(400);
  }
  expect((await server.ask('PATCH', '/api/v1/sources/nobody/posts', [{ id: '1' }])).status).toBe(404);
  expect(await answers()).toEqual(before);
  expect(await runs()).toHaveLength(1);
});

test('numbers are read as they were found to be written, whatever comes', async () => {
  slug = 'prices';
  const rows = (all: string[]) => ['id;title;price', ...all.map((price, i) => `${i};T${i};${price}`)].join('\n');
  await server.upload(rows(['1,50', '12,00', '3']), 'prices.csv', { slug });
  const prices = async () =>
    (await server.ask('GET', at('/posts?sort=price'))).body.items.map(({ values }: any) => values.price);
  expect(await prices()).toEqual([1.5, 3, 12]);
  await replace(rows(['1,50', '13,25', '3']));
  expect(await prices()).toEqual([1.5, 3, 13.25]);
  await server.ask('PATCH', at('/posts'), [{ id: 2, title: 'Tea', price: '0,75' }]);
  expect(await prices()).toEqual([0.75, 1.5, 13.25]);
});

test('a number says the same, however a format writes it', async () => {
  const { body } = await server.ask('PATCH', at('/posts'), [{ id: 1, title: 'Walk', minutes: 12 }]);
  expect(counts(body)).toEqual([0, 0, 4, 0]);
});

test('of posts that name no id the file lacks, those stay whose places it does not have', async () => {
  slug = 'nameless';
  await server.upload('title\nA\nB\nC\n', 'nameless.csv', { slug });
  const { body } = await replace('title\nA\nBee\n', '?preview=1', { keep: 'missing' });
  expect(counts(body)).toEqual([0, 1, 2, 0]);
});

test('posts that were there twice come again as they were', async () => {
  slug = 'doubled';
  const twice = 'id,title\n1,A\n2,B\n1,C\n3,D\n4,E\n';
  await server.upload(twice, 'doubled.csv', { slug });
  expect(counts((await replace(twice, '?preview=1')).body)).toEqual([0, 0, 5, 0]);
  expect(counts((await replace(twice, '?preview=1', { keep: 'missing' })).body)).toEqual([0, 0, 5, 0]);
});

test('addresses answer the same through months and mends, though terms are first seen elsewhere', async () => {
  slug = 'slugs';
  const rows = (places: string[]) => ['id,title,place', ...places.map((place, i) => `${i},T${i},${place}`)].join('\n');
  await server.upload(rows(['Mudflat', 'mudflat', 'Lagoon', 'Mudflat', 'Reed', 'Reed']), 'a.csv', { slug });
  const config = { facets: [{ key: 'place', kind: 'checkboxes', field: 'place' }] };
  await server.ask('POST', '/api/v1/lenses', { name: slug, slug, source: slug, config });
  const found = async (place: string) => {
    const { matched, notices, facets } = await answers(`?place=${place}`);
    return [matched, notices.map(({ code }: any) => code).join(), facets[0].selected.join()];
  };
  expect([await found('mudflat'), await found('mudflat-2')]).toEqual([
    [2, '', 'mudflat'],
    [1, '', 'mudflat-2'],
  ]);
  // the other spelling comes first now, and one term has no post any more
  await replace(rows(['mudflat', 'Mudflat', 'Mudflat', 'Mudflat', 'Reed', 'Reed']));
  expect([await found('mudflat'), await found('mudflat-2')]).toEqual([
    [3, '', 'mudflat'],
    [1, '', 'mudflat-2'],
  ]);
  const { body: findings } = await server.ask('GET', at('/findings'));
  const twins = findings.find(({ code }: any) => code === 'near-twins').id;
  await server.ask('POST', at('/mends'), { finding: twins, mend: 'Mudflat' });
  expect([await found('mudflat'), await found('mudflat-2'), await found('lagoon')]).toEqual([
    [4, '', 'mudflat'],
    [4, 'moved', 'mudflat'],
    [0, '', 'lagoon'],
  ]);
  await replace(rows(['mudflat', 'Mudflat', 'Mudflat', 'Mudflat', 'Reed', 'Mud-flat']));
  expect(await found('mudflat-2')).toEqual([4, 'moved', 'mudflat']);
  await server.ask('DELETE', at(`/mends/${encodeURIComponent(twins)}`));
  expect([await found('mudflat'), await found('mudflat-2')]).toEqual([
    [3, '', 'mudflat'],
    [1, '', 'mudflat-2'],
  ]);
});
