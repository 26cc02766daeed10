import { DatabaseProxy } from '../../test/database-proxy.js';
import { lensConfig, notes, onDatabase, startHarness, type Harness } from '../../test/harness.js';
import { isOutage } from './outage.js';

let server: Harness;
let proxy: DatabaseProxy;
beforeAll(async () => {
  server = await startHarness({}, async (url) => (proxy = await DatabaseProxy.before(url)).url);
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', source: 'notes', slug: 'notes', config: lensConfig });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
  await server.ask('GET', '/api/v1/lenses/notes/results');
});
afterAll(async () => {
  await server.stop();
  await proxy.close();
});

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));
const lines =
  "SELECT count(*)::int AS n FROM pg_stat_activity WHERE application_name = 'ivy-lens changes' AND datname = current_database()";

/** Asks, and says how long it took. */
async function timed(path: string) {
  const start = Date.now();
  const { status, body } = await server.ask('GET', path);
  return { status, body, ms: Date.now() - start };
}

/** How long, in ms, until the server is well again. */
async function untilWell(): Promise<number> {
  const start = Date.now();
  while ((await server.ask('GET', '/api/v1/health')).status !== 200) {
    if (Date.now() - start > 20_000) throw new Error('The server did not recover.');
    await wait(50);
  }
  return Date.now() - start;
}

test.each([
  ['away', 1],
  ['away', 6],
  ['silent', 1],
  ['silent', 8],
] as const)(
  'while PostgreSQL is %s for %i s visitors are answered, health says why, and all is well again after',
  async (how, seconds) => {
    proxy.tried = 0;
    if (how === 'away') proxy.goAway();
    else proxy.fallSilent();
    const until = Date.now() + seconds * 1000;
    while (Date.now() < until) {
      const health = await timed('/api/v1/health');
      expect([health.status, health.body.code]).toEqual([503, 'database-down']);
      expect(health.body.detail).toMatch(/It said|has not answered|was not reached/);
      expect(health.ms).toBeLessThan(1000);
      const answer = await timed(`/api/v1/lenses/notes/results?habitat=mudflat&at=${Date.now()}`);
      expect([answer.status, answer.body.matched]).toEqual([200, 6]);
      expect(answer.ms).toBeLessThan(1000);
      await wait(200);
    }
    // one attempt at a time, with growing pauses
    expect(proxy.tried).toBeLessThan(4 + 3 * seconds);
    proxy.comeBack();
    expect(await untilWell()).toBeLessThan(5000);
    expect((await server.ask('GET', '/api/v1/lenses')).status).toBe(200);
    expect((await server.ask('GET', '/api/v1/lenses/notes/results?habitat=lagoon')).body.matched).toBe(3);
    expect(await onDatabase(server.databaseUrl, lines)).toEqual([{ n: 1 }]);
    expect(proxy.open).toBeLessThan(14);
  },
);

test('what needs the database is told so while it is away, and a release made meanwhile elsewhere is heard of after', async () => {
  proxy.goAway();
  await wait(300);
  const refused = await server.ask('GET', '/api/v1/lenses');
  expect([refused.status, refused.body.code, refused.headers.get('retry-after')]).toEqual([503, 'database-down', '5']);
  await onDatabase(
    server.databaseUrl,
    "INSERT INTO release (lens_id, number, config) SELECT lens_id, 2, jsonb_set(config, '{paging,size}', '3') FROM release",
  );
  proxy.comeBack();
  await untilWell();
  expect((await server.ask('GET', '/api/v1/lenses/notes/results')).body).toMatchObject({ release: 2, pageSize: 3 });
});

test('an outage is distinguished from a refusal', () => {
  expect(isOutage(Object.assign(new Error('x'), { code: 'ECONNREFUSED' }))).toBe(true);
  expect(isOutage({ driverError: { code: '57P01' } })).toBe(true);
  expect(isOutage(new Error('timeout exceeded when trying to connect'))).toBe(true);
  expect(isOutage({ driverError: { code: '23505' } })).toBe(false);
  expect(isOutage(new Error('syntax error'))).toBe(false);
  expect(isOutage(null)).toBe(false);
});
