import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { notes, startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
let site: Server;
let origin: string;
let html = '';
let policy = '';

beforeAll(async () => {
  site = createServer((_request, response) => {
    if (policy !== '') response.setHeader('content-security-policy', policy);
    response.setHeader('content-type', 'text/html').end(html);
  });
  await new Promise<void>((done) => site.listen(0, '127.0.0.1', done));
  origin = `http://127.0.0.1:${(site.address() as AddressInfo).port}`;
  process.env.IVY_REACH = origin.slice('http://'.length);
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  const config = { facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }], origins: [origin] };
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', slug: 'notes', source: 'notes', config });
});
afterAll(async () => {
  delete process.env.IVY_REACH;
  await server.stop();
  site.close();
});

interface Finding {
  code: string;
  ok: boolean;
  text: string;
  mend: string;
}
async function check(page: string, header = ''): Promise<Finding[]> {
  [html, policy] = [page, header];
  const { status, body } = await server.ask(
    'GET',
    `/api/v1/lenses/notes/check?page=${encodeURIComponent(`${origin}/news`)}`,
  );
  expect(status).toBe(200);
  return body as Finding[];
}
const faults = (found: Finding[]) => found.filter(({ ok }) => !ok).map(({ code }) => code);
const script = '<script type="module" src="https://ivy.example/embed/ivy-lens.js"></script>';
const element = '<ivy-lens name="notes" style="min-height:100vh"></ivy-lens>';

test('an installation that lacks nothing but a release says so, and then holds whole', async () => {
  expect(faults(await check(script + element))).toEqual(['released']);
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  const found = await check(`<h1>News</h1>${script}${element}`);
  expect(faults(found)).toEqual([]);
  const first = ['script', 'script-once', 'script-module', 'policy', 'element', 'room'];
  expect(found.map(({ code }) => code)).toEqual([...first, 'released', 'origin', 'parameters', 'ids', 'headings']);
});

test.each([
  ['', 'script'],
  [script, 'element'],
  [script + element.replace('notes', 'Notes'), 'element'],
  [script + script + element, 'script-once'],
  [script.replace(' type="module"', '') + element, 'script-module'],
  [script + element.replace(/ style="[^"]*"/, ''), 'room'],
  [`${script}${element}<form><input name="kind"></form>`, 'parameters'],
  [`${script}${element}<a href="?page=2">2</a>`, 'parameters'],
  [`${script}${element}<i id="a"></i><i id="a"></i>`, 'ids'],
  [`${script}${element}<h1>a</h1><h3>b</h3>`, 'headings'],
])('%j lacks one thing: %s', async (page, code) => {
  const found = await check(page);
  expect(faults(found)).toContain(code);
  // what to do stands before what holds, and says what to do
  expect(found[0]!.ok).toBe(false);
  expect(found.find((one) => one.code === code)!.mend).not.toBe('');
});

test('a prefix mends a clash of names', async () => {
  const prefixed = element.replace('name=', 'prefix="n-" name=');
  expect(faults(await check(`${script}${prefixed}<form><input name="kind"></form>`))).toEqual([]);
});

test('a policy that refuses something is told by what it refuses, whether a header or the page states it', async () => {
  const found = await check(script + element, "default-src 'self'; script-src 'self' https://ivy.example");
  expect(faults(found)).toEqual(['policy-connect', 'policy-style']);
  const meta = `<meta http-equiv="content-security-policy" content="script-src 'self'">`;
  expect(faults(await check(meta + script + element))).toEqual(['policy-script']);
});

test('pages of another origin are told to be let in; private ones are not asked', async () => {
  const { body } = await server.ask('GET', '/api/v1/lenses/notes/check?page=http%3A%2F%2F127.0.0.1%3A9%2F');
  expect(body.code).toBe('page-private');
  expect((await server.ask('GET', '/api/v1/lenses/gone/check?page=x')).status).toBe(404);
  expect((await server.ask('GET', '/api/v1/lenses/notes/check')).body.code).toBe('bad-page');
});

describe('a lens that is mapped on a page', () => {
  const marks = [
    { at: '.list', says: { list: '' } },
    { at: '.list > li', says: { item: '' } },
    { at: 'time', in: 'item', says: { field: 'published' } },
  ];
  const line = '<script type="module" src="https://ivy.example/embed/ivy-page.js" data-ivy-name="board"></script>';
  const list = '<ul class="list"><li><time>1</time></li><li></li></ul><form><input name="kind"></form>';
  beforeAll(async () => {
    const config = { facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }], markup: { marks } };
    await server.ask('POST', '/api/v1/lenses', { name: 'Board', slug: 'board', source: 'notes', config });
    await server.ask('POST', '/api/v1/lenses/board/releases', {});
  });
  const checked = async (page: string, header = '') => {
    [html, policy] = [page, header];
    const query = new URLSearchParams({ page: `${origin}/board` }).toString();
    return (await server.ask('GET', `/api/v1/lenses/board/check?${query}`)).body as Finding[];
  };

  test('it is held to its one line and to what is marked; the names of its form are no clash', async () => {
    const found = await checked(line + list);
    expect(faults(found)).toEqual([]);
    expect(found.map(({ code }) => code)).toEqual([
      'script',
      'script-once',
      'script-module',
      'script-name',
      'policy',
      'items',
      'mark',
      'released',
      'origin',
      'ids',
      'headings',
    ]);
    expect(found.find(({ code }) => code === 'items')!.text).toBe('2 items on the page');
  });

  test.each([
    [list, ['script']],
    [line.replace('board', 'other') + list, ['script-name']],
    [line + list.replace('<time>1</time>', ''), ['mark']],
    [line, ['items', 'mark', 'mark', 'mark']],
  ])('%j lacks %j', async (page, codes) => {
    const found = await checked(page);
    expect(faults(found)).toEqual(codes);
    expect(found[0]!.mend).not.toBe('');
  });

  test('its styles are the page’s own, so that no policy need let ours in', async () => {
    const own = "default-src 'self'; script-src https://ivy.example; connect-src https://ivy.example; style-src 'self'";
    expect(faults(await checked(line + list, own))).toEqual([]);
  });
});
