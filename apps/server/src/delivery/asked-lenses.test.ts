import { startHarness, type Harness } from '../../test/harness.js';
import { AskedLenses } from './asked-lenses.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload('id,title,kind\n1,One,Talk\n2,Two,Walk', 'notes.csv', { slug: 'notes' });
  for (const slug of ['asked', 'quiet']) {
    await server.ask('POST', '/api/v1/lenses', { name: slug, source: 'notes', slug });
    await server.ask('POST', `/api/v1/lenses/${slug}/releases`, {});
  }
});
afterAll(() => server.stop());

const askedAt = async (slug: string) =>
  (await server.ask('GET', `/api/v1/lenses/${slug}`)).body as { askedAt: string | null; updatedAt: string };

test('when a released lens was last asked for is written down, and nothing else of it changes', async () => {
  const asked = server.app.get(AskedLenses);
  await server.ask('GET', '/api/v1/lenses/quiet/draft/results');
  await asked.flush();
  const before = await askedAt('asked');
  expect([before.askedAt, (await askedAt('quiet')).askedAt]).toEqual([null, null]);
  const since = Date.now();
  await server.ask('GET', '/api/v1/lenses/asked/results');
  await asked.flush();
  const after = await askedAt('asked');
  expect(Date.parse(after.askedAt!)).toBeGreaterThanOrEqual(since);
  expect({ ...after, askedAt: null }).toEqual(before);
  // written again without a question in between, it stays what it is
  await asked.flush();
  expect(await askedAt('asked')).toEqual(after);
  await server.ask('GET', '/l/asked');
  await asked.flush();
  expect(Date.parse((await askedAt('asked')).askedAt!)).toBeGreaterThanOrEqual(Date.parse(after.askedAt!));
});
