import { createConnection } from 'node:net';
import { notes, onDatabase, startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
});
afterAll(() => server.stop());

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** The longest that health took to answer while something went on, in ms. */
async function longestWait<T>(work: Promise<T>): Promise<{ result: T; longest: number }> {
  let longest = 0;
  let isOver = false;
  const asking = (async () => {
    while (!isOver) {
      const start = performance.now();
      await server.ask('GET', '/api/v1/health');
      longest = Math.max(longest, performance.now() - start);
      await wait(5);
    }
  })();
  const result = await work;
  isOver = true;
  await asking;
  return { result, longest };
}

/** A tag without a letter or digit, another for each number. */
const marks = (n: number) => [...n.toString(7).padStart(6, '0')].map((digit) => '!?.:-*+'[Number(digit)]).join('');

const hostile: [string, string][] = [
  ['a cell of nothing but tags that begin', `title,text\nx,${'<a'.repeat(78_000)}`],
  [
    'a cell of tags that never end',
    `title,text\n${`x,${'<b>x</b>'.repeat(4_000)}${'<style '.repeat(5_000)}\n`.repeat(3)}`,
  ],
  [
    'tags of nothing but punctuation',
    `title,tags\n${Array.from({ length: 400 }, (_, i) => `p${i},${Array.from({ length: 100 }, (_, t) => marks((i % 200) * 100 + t)).join('|')}`).join('\n')}`,
  ],
  ['an address that is nearly one of a picture', `title,image\nx,${'.png?'.repeat(20_000)} x`],
  ['blanks without end', `title,path\nx,a${' '.repeat(100_000)}b > c`],
  ['letters where a date might be', `title,day\nx,${'a'.repeat(100_000)}\ny,2026-01-01`],
  ['quotes without end', `title,text\nx,${'""'.repeat(50_000)}`],
];

test.each(hostile)('%s: read in a moment, and nobody waits for it', async (_name, file) => {
  const start = performance.now();
  const { result, longest } = await longestWait(server.upload(file, 'hostile.csv'));
  expect([201, 422]).toContain(result.status);
  expect(performance.now() - start).toBeLessThan(4_000);
  expect(longest).toBeLessThan(500);
});

test('a large file keeps nobody waiting', async () => {
  const rows = Array.from(
    { length: 60_000 },
    (_, i) => `p${i},Post number ${i} about mud and terns,Mudflat|Reedbed,${i % 90},2026-01-0${1 + (i % 9)}`,
  );
  const { result, longest } = await longestWait(
    server.upload(`id,title,habitat,minutes,day\n${rows.join('\n')}`, 'large.csv', { slug: 'large' }),
  );
  expect([result.status, result.body.posts]).toEqual([201, 60_000]);
  expect(longest).toBeLessThan(500);
});

test('text that looks like a null character is kept; real ones go and are told', async () => {
  const records = [
    { id: 'a', title: 'C:\\u0000new', body: 'see \\u0000 here' },
    { id: 'b', title: 'real \u0000 one', body: 'half \ud800 pair' },
  ];
  const { status, body } = await server.upload(JSON.stringify(records), 'nulls.json', { slug: 'nulls' });
  expect(status).toBe(201);
  const kept = await onDatabase(
    server.databaseUrl,
    `SELECT raw->>'title' AS title, raw->>'body' AS body FROM post p JOIN source s ON s.id = p.source_id WHERE s.slug = 'nulls' ORDER BY position`,
  );
  expect(kept).toEqual([
    { title: 'C:\\u0000new', body: 'see \\u0000 here' },
    { title: 'real  one', body: 'half \ufffd pair' },
  ]);
  const lost = body.findings.filter((one: { code: string }) => one.code === 'lost-characters');
  expect(lost.map((one: { field: string; posts: number }) => [one.field, one.posts])).toEqual([
    ['title', 1],
    ['body', 1],
  ]);
  const csv = await server.upload('id,title\n1,a\u0000b\n2,plain words in this one\n', 'nulls.csv');
  expect([csv.status, csv.body.findings[0]?.code]).toEqual([201, 'lost-characters']);
});

test('columns with names that every object has make a source, a lens and answers', async () => {
  const rows = Array.from(
    { length: 12 },
    (_, i) => `p${i},Title ${i},${i % 3 ? 'Smith' : ''},${i % 2 ? 'a' : 'b'},${i % 4 ? 'x' : 'y'}`,
  );
  const file = `id,title,constructor,__proto__,toString\n${rows.join('\n')}`;
  const { status } = await server.upload(file, 'names.csv', { slug: 'names' });
  expect(status).toBe(201);
  const lens = await server.ask('POST', '/api/v1/lenses', { name: 'Names', source: 'names', slug: 'names' });
  expect(lens.status).toBe(201);
  const card = {
    parts: [
      { show: 'terms', field: 'constructor' },
      { show: 'title', field: 'title' },
    ],
  };
  const facets = [
    { key: 'maker', kind: 'checkboxes', field: 'constructor' },
    { key: 'other', kind: 'checkboxes', field: 'toString' },
  ];
  await server.ask('PUT', '/api/v1/lenses/names/draft', { config: { facets, card } }, { 'if-match': '1' });
  await server.ask('POST', '/api/v1/lenses/names/releases', {});
  const { body } = await server.ask('GET', '/api/v1/lenses/names/results?maker=smith');
  expect([body.matched, body.facets[0].options[0].count]).toEqual([8, 8]);
  const page = await fetch(`${server.url}/l/names`);
  expect(page.status).toBe(200);
  expect(await page.text()).not.toContain('native code');
  const clash = await server.ask('POST', '/api/v1/lenses', {
    name: 'Clash',
    source: 'names',
    config: { facets: [{ key: 'constructor', kind: 'checkboxes', field: 'constructor' }] },
  });
  expect([clash.status, clash.body.errors[0].pointer]).toEqual([422, '/config/facets/0/key']);
});

test('a lens can be proposed whatever the columns are called', async () => {
  const names = [
    'x'.repeat(110),
    'ǅ'.repeat(80),
    'ʰʷ',
    '🦆'.repeat(40),
    'sort',
    'page',
    'Constructor',
    '҉',
    'aB'.repeat(55),
  ];
  const rows = Array.from({ length: 12 }, (_, i) => [`p${i}`, ...names.map((_, n) => 'abc'[(i + n) % 3])].join(','));
  expect((await server.upload(`id,${names.join(',')}\n${rows.join('\n')}`, 'long.csv', { slug: 'long' })).status).toBe(
    201,
  );
  const { status, body } = await server.ask('POST', '/api/v1/lenses', { name: 'Long', source: 'long' });
  expect([status, body.draft.facets.length]).toEqual([201, 6]);
});

test('twenty files of one name at once become twenty sources', async () => {
  const replies = await Promise.all(Array.from({ length: 20 }, () => server.upload(notes, 'same.csv')));
  expect(replies.map(({ status }) => status)).toEqual(Array.from({ length: 20 }, () => 201));
  expect(new Set(replies.map(({ body }) => body.slug as string)).size).toBe(20);
});

test('several files are one source, each post with the file it is of', async () => {
  const form = new FormData();
  form.append('file', new Blob(['id,title\n1,A\n2,B']), 'may.csv');
  form.append('file', new Blob(['id,title\n3,C']), 'june.csv');
  form.append('slug', 'months');
  const reply = await fetch(`${server.url}/api/v1/sources`, { method: 'POST', body: form });
  const body = await reply.json();
  expect([reply.status, body.posts, body.fileName]).toEqual([201, 3, 'may.csv and 1 more']);
  const { body: posts } = await server.ask('GET', '/api/v1/sources/months/posts?sort=title');
  expect(posts.items.map(({ raw }: any) => raw.file)).toEqual(['may.csv', 'may.csv', 'june.csv']);
});

test('rows that can’t be read are set aside with their lines, and never stop the rest', async () => {
  const lines = ['{"id":1,"title":"A"}', 'nope', '{"id":2,"title":"B"}'].join('\n');
  const { body } = await server.upload(lines, 'a.ndjson', { slug: 'with-a-slip' });
  expect([body.posts, body.rejected]).toEqual([
    2,
    [{ record: 0, line: 2, reason: 'It is not JSON.', code: 'broken-row' }],
  ]);
  const { body: runs } = await server.ask('GET', '/api/v1/sources/with-a-slip/runs');
  expect(runs[0].rejected).toEqual(body.rejected);
});

test('how a file is read is said, kept, and used again for the next one', async () => {
  const options = JSON.stringify({ header: false });
  const { body } = await server.upload('Mudflat;Walk\nLagoon;Talk', 'a.csv', { slug: 'bare-rows', options });
  expect([body.posts, body.fields.map(({ key }: any) => key)]).toEqual([2, ['column 1', 'column 2']]);
  const form = new FormData();
  form.append('file', new Blob(['Mudflat;Walk\nReedbed;Count\nQuay;Talk']), 'b.csv');
  const reply = await fetch(`${server.url}/api/v1/sources/bare-rows/posts`, { method: 'PUT', body: form });
  expect((await reply.json()).total).toBe(3);
  const bad = await server.upload('a,b\n1,2', 'a.csv', { options: '{"delimiter":"x"}' });
  expect([bad.status, bad.body.errors[0].pointer]).toEqual([400, '/delimiter']);
  expect((await server.upload('a,b\n1,2', 'a.csv', { options: '{' })).body.errors[0].pointer).toBe('/options');
});

test.each([
  ['a.rss', '<rss version="2.0"><channel><item><guid>1</guid><title>A</title></item></channel></rss>', 'rss'],
  ['a.md', '---\ntitle: A\n---\nText', 'markdown'],
  [
    'a.ics',
    'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:1\nSUMMARY:A\nDTSTART:20260601T080000Z\nEND:VEVENT\nEND:VCALENDAR',
    'ics',
  ],
])('%s comes in', async (name, text, format) => {
  const { status, body } = await server.upload(text, name);
  expect([status, body.format, body.posts]).toEqual([201, format, 1]);
});

test('too many settings, and a body that breaks off are reported as what they are', async () => {
  const parts = Object.fromEntries(Array.from({ length: 30 }, (_, i) => [`part${i}`, 'x']));
  const many = await server.upload(notes, 'a.csv', parts);
  expect([many.status, many.body.code]).toEqual([400, 'too-many-parts']);
  const cut = await fetch(`${server.url}/api/v1/sources`, {
    method: 'POST',
    headers: { 'content-type': 'multipart/form-data; boundary=b' },
    body: '--b\r\nContent-Disposition: form-data; name="file"; filename="a.csv"\r\n\r\nid,title\n1,',
  });
  expect([cut.status, ((await cut.json()) as { code: string }).code]).toEqual([400, 'broken-upload']);
});

test('a file that nests 100,000 deep, and one that is no text, are refused in a sentence', async () => {
  const deep = `[{"id":1,"a":${'['.repeat(100_000)}${']'.repeat(100_000)}}]`;
  expect((await server.upload(deep, 'deep.json')).body).toMatchObject({ status: 413, code: 'too-large' });
  const zip = Uint8Array.from([0x50, 0x4b, 3, 4, ...new Uint8Array(500)]);
  expect((await server.upload(zip, 'sheet.xlsx')).body).toMatchObject({ status: 422, code: 'no-posts' });
});

test.each([
  'https://[::bad',
  'https://user@example.org',
  'https://example.org/path',
  'https://example.org?x',
  'javascript:alert(1)',
  'https://a b',
  "https://x;script-src'*'",
])('the site %s is refused', async (site) => {
  const { status, body } = await server.upload(notes, 'a.csv', { site });
  expect([status, body.errors[0].pointer]).toEqual([400, '/site']);
});

test('a script in a link never comes in, however it is hidden', async () => {
  const rows = [
    '/fine',
    '\u0001javascript:alert(1)',
    'java\tscript:alert(1)',
    'https://example.org/x',
    '/a',
    '/b',
    '/c',
    '/d',
    '/e',
    '/f',
    '/g',
    '/h',
  ];
  const records = rows.map((url, i) => ({ id: i, title: `T${i}`, url, image: url }));
  const { body } = await server.upload(JSON.stringify(records), 'links.json', { slug: 'links' });
  const bad = body.findings.filter((one: { code: string }) => one.code === 'unreadable-values');
  expect(bad.map((one: { field: string; posts: number }) => [one.field, one.posts])).toEqual([
    ['url', 1],
    ['image', 1],
  ]);
  // of the second, blanks in place of the break make a path within the site
  const kept = await onDatabase(
    server.databaseUrl,
    `SELECT "values"->>'url' AS url FROM post p JOIN source s ON s.id = p.source_id WHERE s.slug = 'links' AND "values" ? 'url'`,
  );
  const protocols = kept.map((row) => new URL((row as { url: string }).url, 'https://example.org').protocol);
  expect([kept.length, new Set(protocols)]).toEqual([11, new Set(['https:'])]);
});

test('with “respond-async” a file is reported as a job: it can be asked for, heard and waited for', async () => {
  const made = await server.upload(notes, 'async.csv', { slug: 'async' }, { prefer: 'respond-async' });
  const location = made.headers.get('location')!;
  expect([made.status, location]).toEqual([202, `/api/v1/jobs/${made.body.id}`]);
  const events = await (await fetch(`${server.url}${location}/events`)).text();
  const reported = events
    .trim()
    .split('\n\n')
    .map((line) => JSON.parse(line.replace('data: ', '')) as { state: string });
  expect(reported[reported.length - 1]).toMatchObject({
    state: 'done',
    done: 12,
    total: 12,
    result: { slug: 'async', posts: 12 },
  });
  expect((await server.ask('GET', location)).body).toMatchObject({ state: 'done', waits: 0 });
  expect((await server.ask('DELETE', location)).body.code).toBe('job-over');
  expect((await server.ask('GET', '/api/v1/jobs/none')).status).toBe(404);
  const failed = await server.upload('a,b\n1,"open', 'broken.csv', {}, { prefer: 'respond-async' });
  const job = await jobOver(failed.headers.get('location')!);
  expect(job).toMatchObject({ state: 'failed', problem: { status: 422, code: 'broken-file' } });
});

async function jobOver(location: string) {
  for (let i = 0; i < 200; i++) {
    const { body } = await server.ask('GET', location);
    if (body.state !== 'running') return body;
    await wait(50);
  }
  throw new Error('The job did not end.');
}

test('files wait for their turn and are told their place; one that is cancelled leaves nothing behind', async () => {
  const rows = Array.from({ length: 40_000 }, (_, i) => `p${i},Post ${i} ${'with words '.repeat(5)},Kind ${i % 7}`);
  const file = `id,title,kind\n${rows.join('\n')}`;
  const begin = (slug: string) => server.upload(file, `${slug}.csv`, { slug }, { prefer: 'respond-async' });
  const [first, second, third] = [await begin('first'), await begin('second'), await begin('third')];
  // its place is known once the name it asks for was looked up
  await wait(150);
  const places = await Promise.all(
    [second, third].map(
      async ({ headers }) => (await server.ask('GET', headers.get('location')!)).body.waits as number,
    ),
  );
  expect(places).toEqual([1, 2]);
  expect((await server.ask('DELETE', second.headers.get('location')!)).status).toBe(204);
  expect((await jobOver(second.headers.get('location')!)).state).toBe('cancelled');
  // one that is being read is stopped in the middle
  for (let done = 0; done === 0;) done = (await server.ask('GET', first.headers.get('location')!)).body.done as number;
  expect((await server.ask('DELETE', first.headers.get('location')!)).status).toBe(204);
  expect((await jobOver(first.headers.get('location')!)).state).toBe('cancelled');
  expect(await jobOver(third.headers.get('location')!)).toMatchObject({ state: 'done', result: { posts: 40_000 } });
  const slugs = (await server.ask('GET', '/api/v1/sources')).body.map((one: { slug: string }) => one.slug);
  expect(slugs).toContain('third');
  expect(slugs).not.toContain('first');
  expect(slugs).not.toContain('second');
});

test('an upload that never ends is given up, and its file goes', async () => {
  const { port } = new URL(server.url);
  const socket = createConnection(Number(port), '127.0.0.1');
  socket.on('error', () => {});
  socket.write(
    `POST /api/v1/sources HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: multipart/form-data; boundary=b\r\ncontent-length: 1000000\r\n\r\n` +
      '--b\r\nContent-Disposition: form-data; name="file"; filename="a.csv"\r\n\r\nid,title\n',
  );
  await wait(500);
  socket.destroy();
  await wait(300);
  expect((await server.upload(notes, 'after.csv')).status).toBe(201);
});
