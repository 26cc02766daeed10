import { expandAnswer, type CompactAnswer, type Frame, type Settings } from '@ivy/core';
import { lensConfig, notes, onDatabase, startHarness, type Harness } from '../../test/harness.js';
import { ResultsService } from './results.service.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  await server.ask('POST', '/api/v1/lenses', {
    name: 'Field notes',
    source: 'notes',
    slug: 'field-notes',
    config: lensConfig,
  });
});
afterAll(() => server.stop());

const lens = '/api/v1/lenses/field-notes';
const results = (query: string, headers = {}) => server.ask('GET', `${lens}/results?${query}`, undefined, headers);

test('a lens without a release has no results, but its draft does', async () => {
  const none = await results('');
  expect([none.status, none.body.code]).toEqual([404, 'not-released']);
  expect((await server.ask('GET', `${lens}/draft/results?kind=survey`)).body).toMatchObject({
    release: null,
    matched: 6,
  });
  await server.ask('POST', `${lens}/releases`, {});
});

test('an answer holds what the contract says', async () => {
  const { status, body } = await results('habitat=reedbed,mudflat&place=coast&page=2&utm_source=x');
  expect(status).toBe(200);
  expect(body).toMatchObject({
    lens: 'field-notes',
    release: 1,
    address: 'habitat=mudflat,reedbed&place=coast&page=2',
    total: 12,
    matched: 6,
    page: 2,
    pages: 2,
    pageSize: 4,
    sort: 'newest',
    notices: [],
    ways: [],
  });
  expect(body.items).toHaveLength(2);
  expect(body.items[0]).toMatchObject({
    id: 'n1',
    title: 'Note 1',
    link: '/notes/1',
    fields: { published: '2026-01-11', habitat: [{ slug: 'reedbed', label: 'Reedbed' }] },
  });
  expect(body.facets[1]).toMatchObject({ key: 'place', kind: 'checkboxes', label: 'Place', selected: ['coast'] });
  expect(body.facets[1].options[1]).toEqual({
    value: 'north',
    label: 'North',
    count: 3,
    selected: false,
    partly: false,
    parent: 'coast',
    depth: 1,
  });
  expect(typeof body.tookMs).toBe('number');
});

test('whatever an address says, there is an answer with words', async () => {
  const broken = await results('habitat=mudfat&habitat=%E0%A4%A&sort=x&page=-3&zone=lagoon&%FF=%00&&=');
  expect(broken.status).toBe(200);
  expect(broken.body.address).toBe('habitat=lagoon');
  expect(broken.body.notices.map((notice: { code: string }) => notice.code)).toEqual([
    'unknown-sort',
    'page-clamped',
    'moved',
    'unknown-term',
    'unknown-term',
  ]);
  for (const notice of broken.body.notices) expect(notice.text).toMatch(/\.$/);
});

test('when nothing matches the ways out are told', async () => {
  const { body } = await results('habitat=lagoon&kind=survey');
  expect(body.matched).toBe(0);
  const instead = (facet: string, value: string, other: string) => ({ facet, value, for: other });
  expect(body.ways).toEqual([
    { without: 'habitat', lifts: ['habitat'], matched: 6, address: 'kind=survey' },
    {
      ...{ without: 'habitat', lifts: ['habitat'], matched: 6, address: 'habitat=mudflat&kind=survey' },
      instead: instead('habitat', 'mudflat', 'lagoon'),
    },
    { without: 'kind', lifts: ['kind'], matched: 3, address: 'habitat=lagoon' },
    {
      ...{ without: 'kind', lifts: ['kind'], matched: 3, address: 'habitat=lagoon&kind=sighting' },
      instead: instead('kind', 'sighting', 'survey'),
    },
    { without: 'habitat', lifts: ['habitat', 'kind'], matched: 12, address: '' },
  ]);
});

test('an address that is too long is refused with 414', async () => {
  const { status, body } = await results(`habitat=${'x'.repeat(9000)}`);
  expect([status, body.code]).toEqual([414, 'address-too-long']);
});

test('an answer has an ETag that changes with the release and not otherwise', async () => {
  const first = await results('kind=survey');
  const etag = first.headers.get('etag')!;
  expect((await results('kind=survey')).headers.get('etag')).toBe(etag);
  const same = await results('kind=survey', { 'if-none-match': etag });
  expect([same.status, same.body]).toEqual([304, '']);
  const { draftRevision, draft } = (await server.ask('GET', lens)).body;
  await server.ask(
    'PUT',
    `${lens}/draft`,
    { config: { ...draft, paging: { mode: 'pages', size: 3 } } },
    { 'if-match': `${draftRevision}` },
  );
  expect((await results('kind=survey', { 'if-none-match': etag })).status).toBe(304);
  await server.ask('POST', `${lens}/releases`, {});
  const next = await results('kind=survey', { 'if-none-match': etag });
  expect([next.status, next.body.release, next.body.pageSize]).toEqual([200, 2, 3]);
});

test('a page may narrow a lens to posts with some terms, which is no part of its address', async () => {
  const { body } = await results('~scope=kind:survey,place:coast&habitat=reedbed');
  expect(body).toMatchObject({ total: 4, matched: 2, address: 'habitat=reedbed' });
  const counts = body.facets[2].options.map((one: { value: string; count: number }) => [one.value, one.count]);
  expect(Object.fromEntries(counts)).toEqual({ survey: 2, sighting: 0 });
  const plain = (await results('habitat=mudflat')).body;
  expect(plain.total).toBe(12);
});

test('a page may have names of its own in its address', async () => {
  const { body } = await results('~prefix=b-&b-habitat=mudflat&habitat=lagoon&b-page=2');
  expect(body).toMatchObject({ matched: 6, page: 2, address: 'b-habitat=mudflat&b-page=2' });
  const first = (await server.ask('GET', `${lens}/listing/nothing?~prefix=b-&b-kind=survey`)).body;
  expect(first.settings.names).toContain('b-kind');
  // what a page knows of one way is not what it knows of another
  const other = (await server.ask('GET', `${lens}/listing/${first.known}?kind=survey`)).body;
  expect(other.known).not.toBe(first.known);
  expect(other.settings.names).toContain('kind');
});

test.each(['~scope=colour:red', '~scope=survey', '~prefix=%26'])(
  'a page that asks for %s is told what is wrong',
  async (query) => {
    const { status, body } = await results(query);
    expect([status, body.code]).toEqual([400, 'bad-page']);
  },
);

test('pages of other sites see why they are refused', async () => {
  const headers = { origin: 'https://elsewhere.example' };
  for (const path of ['/api/v1/lenses/nobody/listing/nothing', `${lens}/results?~scope=x`]) {
    const refused = await server.ask('GET', path, undefined, headers);
    expect(refused.status).toBeGreaterThanOrEqual(400);
    expect(refused.headers.get('access-control-allow-origin')).toBe('*');
  }
  // what is not public stays shut
  const own = await server.ask('GET', '/api/v1/lenses', undefined, headers);
  expect([own.status, own.headers.get('access-control-allow-origin')]).toEqual([403, null]);
});

test('other origins may ask as far as the lens allows', async () => {
  expect((await results('', { origin: 'http://a.example' })).headers.get('access-control-allow-origin')).toBe('*');
  await server.ask('POST', '/api/v1/lenses', {
    name: 'Own',
    source: 'notes',
    slug: 'own',
    config: { ...lensConfig, origins: ['https://own.example'] },
  });
  await server.ask('POST', '/api/v1/lenses/own/releases', {});
  const from = async (origin: string) =>
    (await server.ask('GET', '/api/v1/lenses/own/results', undefined, { origin })).headers.get(
      'access-control-allow-origin',
    );
  expect(await from('https://own.example')).toBe('https://own.example');
  expect(await from('https://other.example')).toBeNull();
});

test('a page gets settings and answer in one request', async () => {
  const { body } = await server.ask('GET', `${lens}/listing?kind=survey`);
  expect(body.answer.matched).toBe(6);
  expect(body.settings).toMatchObject({
    defaultSort: 'newest',
    names: ['zone', 'page', 'sort', 'habitat', 'place', 'kind'],
    language: 'en',
  });
  expect(body.settings.card.map((part: { show: string }) => part.show)).toEqual(['date', 'title', 'terms', 'terms']);
});

test('a config that is not kept can be tried, with what any and all would give', async () => {
  const facets = [{ key: 'habitat', kind: 'checkboxes', field: 'habitat', match: 'all' }];
  const { status, body } = await server.ask('POST', `${lens}/draft/dry-run`, {
    config: { facets },
    address: 'habitat=mudflat,reedbed',
  });
  expect([status, body.answer.matched, body.effects]).toEqual([200, 3, { habitat: { any: 9, all: 3 } }]);
  const bad = await server.ask('POST', `${lens}/draft/dry-run`, { config: { facets: [{ key: 'x' }] }, address: '' });
  expect(bad.status).toBe(422);
});

test('every kind of facet is answered, and why says which one stops a post', async () => {
  const config = {
    facets: [
      { key: 'q', kind: 'search', fields: ['title', 'habitat'] },
      { key: 'seen', kind: 'date-range', field: 'published' },
      { key: 'minutes', kind: 'number-range', field: 'minutes' },
      { key: 'open', kind: 'switch', field: 'open' },
    ],
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Kinds', source: 'notes', slug: 'kinds', config });
  await server.ask('POST', '/api/v1/lenses/kinds/releases', {});
  const query = 'q=mud&seen=2026-01-12/..&minutes=1/4&open=no';
  const { body } = await server.ask('GET', `/api/v1/lenses/kinds/results?${query}`);
  expect(body).toMatchObject({ address: query, matched: 4, sort: 'relevance' });
  expect(body.items.map((item: { id: string }) => item.id).sort()).toEqual(['n2', 'n4', 'n6', 'n8']);
  expect(body.facets[1]).toMatchObject({
    selected: { from: '2026-01-12', to: null },
    bounds: { from: '2026-01-12', to: '2026-01-18' },
  });
  expect(body.facets[1].buckets).toHaveLength(7);
  expect(body.facets[3]).toMatchObject({ kind: 'switch', selected: 'no' });
  const why = await server.ask('GET', `/api/v1/lenses/kinds/why/n0?${query}`);
  expect(why.body.passes).toBe(false);
  expect(why.body.facets.map((facet: { key: string; passes: boolean }) => [facet.key, facet.passes])).toEqual([
    ['q', true],
    ['seen', false],
    ['minutes', false],
    ['open', true],
  ]);
  expect(why.body.facets[1].reason).toBe('2026-01-10 is 2 days before the range.');
  expect((await server.ask('GET', `/api/v1/lenses/kinds/why/n4?${query}`)).body.passes).toBe(true);
  expect((await server.ask('GET', `/api/v1/lenses/kinds/why/nope?${query}`)).status).toBe(404);
});

test('a process that lost its line to the database looks at all it holds anew, and hears of changes again', async () => {
  await results('');
  await onDatabase(
    server.databaseUrl,
    "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE application_name = 'ivy-lens changes' AND datname = current_database()",
  );
  await onDatabase(
    server.databaseUrl,
    `INSERT INTO release (lens_id, number, config)
     SELECT lens_id, number + 1, jsonb_set(config, '{paging,size}', '2') FROM release
     WHERE id = (SELECT max(r.id) FROM release r JOIN lens l ON l.id = r.lens_id WHERE l.slug = 'field-notes')`,
  );
  const until = Date.now() + 10_000;
  let size = 0;
  while (size !== 2 && Date.now() < until) {
    await new Promise((done) => setTimeout(done, 100));
    size = (await results('')).body.pageSize as number;
  }
  expect(size).toBe(2);
});

test('answers are packed for those who can read that, and plain for others', async () => {
  const body = async (encoding: string) => {
    const response = await fetch(`${server.url}${lens}/results?kind=survey`, {
      headers: { 'accept-encoding': encoding },
    });
    expect(response.headers.get('vary')).toMatch(/accept-encoding/i);
    return { packed: response.headers.get('content-encoding'), body: await response.json() };
  };
  const packed = await body('gzip, br');
  expect(packed.packed).toBe('gzip');
  expect(await body('identity')).toEqual({ packed: null, body: packed.body });
  expect((await body('gzip;q=0')).packed).toBe(null);
});

test('while posts change under it, an answer is wholly of one revision', async () => {
  await server.upload(notes, 'notes.csv', { slug: 'swapped' });
  const [source] = (await onDatabase(server.databaseUrl, `SELECT id FROM source WHERE slug = 'swapped'`)) as [
    { id: string },
  ];
  await server.ask('POST', '/api/v1/lenses', {
    name: 'Swapped',
    source: 'swapped',
    slug: 'swapped',
    config: lensConfig,
  });
  await server.ask('POST', '/api/v1/lenses/swapped/releases', {});
  // odd revisions have all twelve posts and call a term so, even ones have six and call it otherwise
  const change = async (odd: boolean) => {
    await onDatabase(
      server.databaseUrl,
      `BEGIN;
       UPDATE source SET revision = revision + 1 WHERE id = '${source.id}';
       UPDATE term SET label = '${odd ? 'Odd' : 'Even'}' WHERE source_id = '${source.id}' AND slug = 'mudflat';
       UPDATE post SET values = jsonb_set(values, '{habitat}', '["${odd ? 'mudflat' : 'reedbed'}"]')
         WHERE source_id = '${source.id}' AND position % 2 = 0;
       COMMIT;
       SELECT pg_notify('ivy_change', '{"kind":"source","id":"${source.id}"}');`,
    );
  };
  await change(true);
  let going = true;
  const seen = new Set<string>();
  const client = async () => {
    for (let n = 0; going; n++) {
      // a new address each time, so that nothing is answered from what was written before
      const reply = await server.ask('GET', `/api/v1/lenses/swapped/results?x=${n}&size=${Math.random()}`);
      const [habitat] = reply.body.facets;
      const mudflat = habitat.options.find((option: { value: string }) => option.value === 'mudflat');
      const carried = reply.body.items.flatMap((item: any) => item.fields.habitat ?? []);
      const labels = carried.filter((term: any) => term.slug === 'mudflat').map((term: any) => term.label);
      seen.add(`${mudflat.label} ${mudflat.count} ${[...new Set(labels)].join('+')} ${reply.headers.get('etag')}`);
    }
  };
  const clients = [client(), client(), client()];
  for (let n = 0; n < 12; n++) await change(n % 2 === 1);
  going = false;
  await Promise.all(clients);
  const states = new Set([...seen].map((one) => one.split(' ').slice(0, 3).join(' ')));
  for (const state of states) expect(state).toMatch(/^(Odd (\d+) Odd|Even (\d+) (Even)?)$/);
  expect(states.size).toBe(2);
});

test('of thousands of terms an answer holds the commonest and says how many more; the others are found by typing', async () => {
  const rows = Array.from({ length: 6000 }, (_, i) => `p${i},Post ${i},Tag ${i % 5000},${i < 3000 ? 'Tag 7' : 'Rare'}`);
  await server.upload(`id,title,tag,other\n${rows.join('\n')}`, 'tags.csv', { slug: 'tags' });
  const config = {
    facets: [
      { key: 'tag', kind: 'checkboxes', field: 'tag' },
      { key: 'other', kind: 'radios', field: 'other' },
    ],
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Tags', source: 'tags', slug: 'tags', config });
  await server.ask('POST', '/api/v1/lenses/tags/releases', {});
  const { body } = await server.ask('GET', '/api/v1/lenses/tags/results?tag=tag-4321');
  const [tag] = body.facets;
  expect([tag.options.length, tag.more, body.facets[1].more]).toEqual([501, 4499, undefined]);
  expect(tag.options.filter((one: { selected: boolean }) => one.selected)).toMatchObject([
    { value: 'tag-4321', count: 1 },
  ]);
  const find = (query: string) => server.ask('GET', `/api/v1/lenses/tags/terms/tag?${query}`);
  const found = (await find('find=TAG+4999&other=rare')).body;
  expect(found).toMatchObject({
    more: 0,
    options: [{ value: 'tag-4999', label: 'Tag 4999', count: 1, selected: false }],
  });
  expect((await find('find=tag+4999&other=tag-7')).body.options[0].count).toBe(0);
  expect((await find('find=tag&tag=tag-3')).body).toMatchObject({ options: { length: 100 }, more: 4900 });
  expect((await server.ask('GET', '/api/v1/lenses/tags/draft/terms/tag?find=tag+4999')).body.options).toHaveLength(1);
  expect((await server.ask('GET', '/api/v1/lenses/tags/terms/nope?find=x')).status).toBe(404);
  expect((await find(`find=${'x'.repeat(300)}`)).status).toBe(400);
});

test('a search waits for its words under whatever name it is asked', async () => {
  const service = server.app.get(ResultsService);
  const config = { facets: [{ key: 'q', kind: 'search', fields: ['title'], aliases: ['suche'] }] };
  for (const [i, address] of ['suche=note', '%71=note', 'q=note'].entries()) {
    await server.upload(notes, 'notes.csv', { slug: `words-${i}` });
    await server.ask('POST', '/api/v1/lenses', { name: 'Words', source: `words-${i}`, slug: `words-${i}`, config });
    const ready = await service.ready(`words-${i}`, 'draft');
    expect(ready.posts.index.texts).toHaveLength(0);
    await service.question(ready, address);
    expect(ready.posts.index.texts).toHaveLength(1);
  }
});

test('a search of one character that folds to hundreds of words is bounded, and says so', async () => {
  const config = { facets: [{ key: 'q', kind: 'search', fields: ['title'] }] };
  const address = Array.from({ length: 66 }, (_, i) => `${String.fromCharCode(97 + (i % 26))}${i % 10}`).join('+');
  const dryRun = await server.ask('POST', `${lens}/draft/dry-run`, { config, address: `q=${address}` });
  expect(dryRun.body.answer.notices.map((notice: { code: string }) => notice.code)).toContain('too-many');
  const start = performance.now();
  await server.ask('POST', `${lens}/draft/dry-run`, {
    config,
    address: `q=${encodeURIComponent('\ufdfa'.repeat(200))}`,
  });
  expect(performance.now() - start).toBeLessThan(1000);
});

test('a lens with more searches than are kept is refused', async () => {
  const facets = Array.from({ length: 9 }, (_, i) => ({
    key: `q${i}`,
    kind: 'search',
    fields: ['title'],
    weights: { title: i + 1 },
  }));
  const { status, body } = await server.ask('POST', `${lens}/draft/dry-run`, { config: { facets }, address: '' });
  expect([status, body.errors.map((one: { pointer: string }) => one.pointer)]).toEqual([422, ['/config/facets/8']]);
});

test('a page is sent once what stays the same, and then what a choice changes alone', async () => {
  type Page = { known: string; settings?: Settings; frame?: Frame; answer: CompactAnswer };
  const page = async (known: string, address: string) =>
    (await server.ask('GET', `${lens}/listing/${known}?${address}`)).body as Page;
  const first = await page('nothing', '');
  const second = await page(first.known, 'habitat=mudflat');
  expect([second.known, second.settings, second.frame]).toEqual([first.known, undefined, undefined]);
  for (const [{ answer }, address] of [
    [first, ''],
    [second, 'habitat=mudflat'],
  ] as const) {
    const { tookMs: _took, lens: _lens, ...whole } = (await server.ask('GET', `${lens}/results?${address}`)).body;
    expect(expandAnswer(answer, first.frame!, first.settings!)).toEqual(whole);
  }
  expect(JSON.stringify(second).length).toBeLessThan(JSON.stringify(first).length / 2);
  // what the page knows of an older release is not what this one draws by
  expect((await page('older', 'habitat=mudflat')).settings).toEqual(first.settings);
});
