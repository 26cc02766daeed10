import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
let site: Server;
let origin: string;
beforeAll(async () => {
  site = createServer((request, response) => {
    if (request.url === '/moved') response.writeHead(301, { location: '/news' }).end();
    else if (request.url === '/news')
      response.setHeader('content-type', 'text/html').end('<h1>News</h1><script>1</script>');
    else if (request.url === '/slow') setTimeout(() => response.setHeader('content-type', 'text/html').end('x'), 400);
    else response.setHeader('content-type', 'application/pdf').end('%PDF');
  });
  await new Promise<void>((done) => site.listen(0, '127.0.0.1', done));
  origin = `http://127.0.0.1:${(site.address() as AddressInfo).port}`;
  process.env.IVY_REACH = origin.slice('http://'.length);
  server = await startHarness();
});
afterAll(async () => {
  delete process.env.IVY_REACH;
  await server.stop();
  site.close();
});
const fetched = (page: unknown) => server.ask('POST', '/api/v1/pages', { page });

test('a page comes as it was sent, with where it was in the end', async () => {
  expect(await fetched(`${origin}/moved`)).toMatchObject({
    status: 200,
    body: { address: `${origin}/news`, html: '<h1>News</h1><script>1</script>' },
  });
});

test.each([
  ['/file.pdf', 'bad-page'],
  ['http://10.0.0.1/', 'page-private'],
  ['ftp://example.org/', 'bad-page'],
])('%s is refused: %s', async (page, code) => {
  const { status, body } = await fetched(page.startsWith('/') ? origin + page : page);
  expect([status, body.code]).toEqual([422, code]);
});

test.each([[3], [''], ['x'.repeat(2001)], [undefined]])('%#: a body without an address is refused', async (page) => {
  const { status, body } = await fetched(page);
  expect([status, body.errors[0].pointer]).toEqual([400, '/page']);
});

test('of many at once some are told to come again', async () => {
  const all = await Promise.all(Array.from({ length: 8 }, () => fetched(`${origin}/slow`)));
  const statuses = all.map(({ status }) => status).sort();
  expect([statuses[0], statuses.at(-1)]).toEqual([200, 503]);
  // and later there is room again
  expect((await fetched(`${origin}/slow`)).status).toBe(200);
});

test('what a page is shown in lets nothing of it run', async () => {
  const response = await fetch(`${server.url}/frame`);
  const policy = response.headers.get('content-security-policy')!;
  expect([response.status, policy]).toEqual([
    200,
    expect.stringMatching(/default-src 'none'.*sandbox allow-same-origin$/),
  ]);
  expect(policy).not.toContain('script-src');
});
