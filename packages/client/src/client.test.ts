import { Client, urlOf } from './client.js';
import { ApiProblem, Unreachable } from './problem.js';

const asked: [url: string, init: RequestInit | undefined][] = [];
const client = new Client('http://ivy.test');

function answerWith(status: number, body: unknown): void {
  asked.length = 0;
  globalThis.fetch = ((url: string, init?: RequestInit) => {
    asked.push([url, init]);
    return Promise.resolve(new Response(status === 204 ? null : JSON.stringify(body), { status }));
  }) as typeof fetch;
}

test('the parts of a path are written so that nothing in them can lead elsewhere', () => {
  expect(urlOf('/api/v1/sources/{slug}/terms/{field}', { slug: 'a/../b', field: 'habitat?x' })).toBe(
    '/api/v1/sources/a%2F..%2Fb/terms/habitat%3Fx',
  );
});

test('reads what the server answers', async () => {
  answerWith(200, [{ slug: 'orrin', posts: 480 }]);
  const sources = await client.ask('get', '/api/v1/sources', {});
  expect(sources[0]!.posts).toBe(480);
  expect(asked).toEqual([['http://ivy.test/api/v1/sources', { headers: {} }]]);
});

test('sends a body as JSON, and what goes with it', async () => {
  answerWith(200, { draftRevision: 4 });
  const parts = { slug: 'notes' };
  const body = { config: { facets: [] } };
  const view = await client.ask('put', '/api/v1/lenses/{slug}/draft', parts, { body, headers: { 'if-match': '"3"' } });
  expect(view.draftRevision).toBe(4);
  const [url, init] = asked[0]!;
  expect([url, init!.method, init!.body]).toEqual([
    'http://ivy.test/api/v1/lenses/notes/draft',
    'PUT',
    '{"config":{"facets":[]}}',
  ]);
  expect(init!.headers).toEqual({ 'if-match': '"3"', 'content-type': 'application/json' });
});

test('an answer without a body is none', async () => {
  answerWith(204, null);
  expect(await client.ask('delete', '/api/v1/jobs/{id}', { id: '7' })).toBeUndefined();
});

test('a refusal is a problem that says what and where', async () => {
  const errors = [{ pointer: '/facets/0', message: 'is missing' }];
  answerWith(422, { code: 'bad-config', detail: 'See errors.', errors });
  const asking = client.ask('get', '/api/v1/lenses/{slug}', { slug: 'notes' });
  await expect(asking).rejects.toBeInstanceOf(ApiProblem);
  await expect(asking).rejects.toMatchObject({ status: 422, code: 'bad-config', message: 'See errors.', errors });
});

test('what refuses without words is a problem as well', async () => {
  globalThis.fetch = () => Promise.resolve(new Response('<h1>Bad gateway</h1>', { status: 502 }));
  await expect(client.ask('get', '/api/v1/about', {})).rejects.toMatchObject({ status: 502, code: 'unknown' });
});

test('a server that does not answer is distinguished from one that refuses, and from being given up', async () => {
  globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
  await expect(client.ask('get', '/api/v1/about', {})).rejects.toBeInstanceOf(Unreachable);
  globalThis.fetch = () => Promise.reject(new DOMException('Overtaken', 'AbortError'));
  await expect(client.ask('get', '/api/v1/about', {})).rejects.toMatchObject({ name: 'AbortError' });
});
