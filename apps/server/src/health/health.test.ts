import { readFileSync } from 'node:fs';
import { getDataSourceToken } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { loadDemo } from '../studio/demo/load-demo.js';
import { fromRoot } from '../shared/paths.js';
import { startHarness, type Harness } from '../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
});
afterAll(() => server.stop());

test('is healthy once it serves, and says its version', async () => {
  const { version } = JSON.parse(readFileSync(fromRoot('package.json'), 'utf8')) as { version: string };
  expect(await server.ask('GET', '/api/v1/health')).toMatchObject({ status: 200, body: { status: 'ok', version } });
});

test('the OpenAPI document has every path of the API, and nothing else has a schema drift', async () => {
  const { body } = await server.ask('GET', '/api/v1/openapi.json');
  expect(body.openapi).toMatch(/^3\./);
  expect(Object.keys(body.paths as object).sort()).toEqual([
    '/api/v1/about',
    '/api/v1/deleted',
    '/api/v1/deleted/{id}/restore',
    '/api/v1/demo',
    '/api/v1/events',
    '/api/v1/health',
    '/api/v1/jobs/{id}',
    '/api/v1/jobs/{id}/events',
    '/api/v1/lenses',
    '/api/v1/lenses/{slug}',
    '/api/v1/lenses/{slug}/addresses',
    '/api/v1/lenses/{slug}/addresses/check',
    '/api/v1/lenses/{slug}/addresses/import',
    '/api/v1/lenses/{slug}/addresses/remove',
    '/api/v1/lenses/{slug}/addresses/{id}',
    '/api/v1/lenses/{slug}/bundle.zip',
    '/api/v1/lenses/{slug}/check',
    '/api/v1/lenses/{slug}/draft',
    '/api/v1/lenses/{slug}/draft/cross-table',
    '/api/v1/lenses/{slug}/draft/dead-ends',
    '/api/v1/lenses/{slug}/draft/dry-run',
    '/api/v1/lenses/{slug}/draft/faults',
    '/api/v1/lenses/{slug}/draft/findings',
    '/api/v1/lenses/{slug}/draft/listing/{known}',
    '/api/v1/lenses/{slug}/draft/nearest',
    '/api/v1/lenses/{slug}/draft/results',
    '/api/v1/lenses/{slug}/draft/sieve',
    '/api/v1/lenses/{slug}/draft/sitemap',
    '/api/v1/lenses/{slug}/draft/terms/{facet}',
    '/api/v1/lenses/{slug}/draft/undo',
    '/api/v1/lenses/{slug}/draft/ways-in',
    '/api/v1/lenses/{slug}/draft/why/{postId}',
    '/api/v1/lenses/{slug}/feed.atom',
    '/api/v1/lenses/{slug}/feed.json',
    '/api/v1/lenses/{slug}/listing',
    '/api/v1/lenses/{slug}/listing/{known}',
    '/api/v1/lenses/{slug}/markup',
    '/api/v1/lenses/{slug}/releases',
    '/api/v1/lenses/{slug}/releases/{number}/changes',
    '/api/v1/lenses/{slug}/releases/{number}/publish',
    '/api/v1/lenses/{slug}/releases/{number}/restore',
    '/api/v1/lenses/{slug}/results',
    '/api/v1/lenses/{slug}/terms/{facet}',
    '/api/v1/lenses/{slug}/why/{postId}',
    '/api/v1/looks',
    '/api/v1/matches',
    '/api/v1/pages',
    '/api/v1/pings/{id}',
    '/api/v1/schemas/lens.json',
    '/api/v1/sources',
    '/api/v1/sources/{slug}',
    '/api/v1/sources/{slug}/copies',
    '/api/v1/sources/{slug}/export',
    '/api/v1/sources/{slug}/fields/{key}',
    '/api/v1/sources/{slug}/findings',
    '/api/v1/sources/{slug}/index',
    '/api/v1/sources/{slug}/live',
    '/api/v1/sources/{slug}/mends',
    '/api/v1/sources/{slug}/mends/{id}',
    '/api/v1/sources/{slug}/posts',
    '/api/v1/sources/{slug}/posts/{id}',
    '/api/v1/sources/{slug}/refresh',
    '/api/v1/sources/{slug}/ruler',
    '/api/v1/sources/{slug}/runs',
    '/api/v1/sources/{slug}/runs/{id}/undo',
    '/api/v1/sources/{slug}/terms/{field}',
    '/api/v1/sources/{slug}/terms/{field}/changes',
    '/api/v1/sources/{slug}/terms/{field}/export',
    '/api/v1/sources/{slug}/terms/{field}/import',
    '/api/v1/sources/{slug}/terms/{field}/merge',
    '/api/v1/sources/{slug}/terms/{field}/redo',
    '/api/v1/sources/{slug}/terms/{field}/undo',
    '/api/v1/sources/{slug}/terms/{field}/{term}',
  ]);
});

test('the tables are what the entities say', async () => {
  const database = server.app.get<DataSource>(getDataSourceToken());
  const drift = await database.driver.createSchemaBuilder().log();
  expect(drift.upQueries.map((query) => query.query)).toEqual([]);
});

test('the schema of a lens is served, and what is not there is reported as a problem', async () => {
  expect(
    (await server.ask('GET', '/api/v1/schemas/lens.json')).body.properties.facets.items.oneOf.length,
  ).toBeGreaterThan(3);
  const { status, body, headers } = await server.ask('GET', '/api/v1/nothing');
  expect([status, body.code, headers.get('content-type')]).toEqual([
    404,
    'not-found',
    'application/problem+json; charset=utf-8',
  ]);
});

test('a body that is no JSON, or too large, is refused as a problem', async () => {
  const post = (body: string) =>
    fetch(`${server.url}/api/v1/lenses`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  const broken = await post('{"name":');
  expect([broken.status, ((await broken.json()) as { code: string }).code]).toEqual([400, 'bad-request']);
  expect((await post(`{"name":"${'x'.repeat(5_000_000)}"}`)).status).toBe(413);
});

test('the script may be loaded from any site', async () => {
  const { headers } = await server.ask('GET', '/embed/ivy-lens.js');
  expect([
    headers.get('content-type'),
    headers.get('access-control-allow-origin'),
    headers.get('cross-origin-resource-policy'),
  ]).toEqual(['text/javascript; charset=utf-8', '*', 'cross-origin']);
});

test('the demo is loaded once, and what is deleted stays away', async () => {
  await loadDemo(server.app, 'http://127.0.0.1:4801');
  const { body } = await server.ask('GET', '/api/v1/lenses/field-notes/results?habitat=mudflat');
  expect([body.total, body.release]).toEqual([480, 1]);
  expect(body.matched).toBeGreaterThan(50);
  await server.ask('DELETE', '/api/v1/lenses/field-notes');
  await loadDemo(server.app, 'http://127.0.0.1:5901');
  expect((await server.ask('GET', '/api/v1/lenses/field-notes')).status).toBe(404);
  expect((await server.ask('GET', '/api/v1/sources/orrin-field-notes')).body.site).toBe('http://127.0.0.1:5901');
});
