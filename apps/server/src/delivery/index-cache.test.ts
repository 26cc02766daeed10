import { createApp } from '../app.js';
import { lensConfig, notes, onDatabase, startHarness, type Harness } from '../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
  await server.upload(notes, 'notes.csv', { slug: 'notes' });
  const facets = [{ key: 'q', kind: 'search', fields: ['title'] }, ...lensConfig.facets];
  const config = { ...lensConfig, facets };
  await server.ask('POST', '/api/v1/lenses', { name: 'Notes', source: 'notes', slug: 'notes', config });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
});
afterAll(() => server.stop());

const path = '/api/v1/lenses/notes/results?q=note+3';

/** The answer of a server that starts anew on the same database. */
async function afterRestart(asked = path): Promise<{ matched: number }> {
  const app = await createApp({ databaseUrl: server.databaseUrl, logs: false });
  await app.listen(0, '127.0.0.1');
  try {
    const { tookMs: _took, ...body } = (await (await fetch(`${await app.getUrl()}${asked}`)).json()) as {
      matched: number;
      tookMs: number;
    };
    return body;
  } finally {
    await app.close();
  }
}

async function snapshot(): Promise<{ revision: number; size: number; made: string } | undefined> {
  const rows = await onDatabase(server.databaseUrl, 'SELECT revision, size, made_at::text AS made FROM snapshot');
  return rows[0] as Awaited<ReturnType<typeof snapshot>>;
}

async function until<T>(ask: () => Promise<T | undefined>): Promise<T> {
  for (let n = 0; n < 100; n++) {
    const found = await ask();
    if (found) return found;
    await new Promise((next) => setTimeout(next, 50));
  }
  throw new Error('It did not come about in five seconds.');
}

test('an index is kept, and a server that starts answers from it as before', async () => {
  const { tookMs: _took, ...first } = (await server.ask('GET', path)).body;
  expect(first.matched).toBeGreaterThan(0);
  const kept = await until(snapshot);
  expect(kept).toMatchObject({ revision: 1 });
  // to see that it is read: posts are emptied behind its back, and the answer stays
  await onDatabase(server.databaseUrl, `UPDATE post SET values = '{}'`);
  expect(await afterRestart()).toEqual(first);
  expect(await snapshot()).toEqual(kept);
});

test('a damaged one is not read but made anew', async () => {
  const before = await until(snapshot);
  await onDatabase(
    server.databaseUrl,
    'UPDATE snapshot_piece SET bytes = set_byte(bytes, 200, get_byte(bytes, 200) # 1)',
  );
  expect((await afterRestart()).matched).toBe(0);
  await until(async () => (await snapshot())!.made !== before.made);
});

test('one of an older revision is not read', async () => {
  await onDatabase(
    server.databaseUrl,
    `UPDATE source SET revision = 2; UPDATE post SET values = '{"title": "Note 3"}' WHERE id = 'n3'`,
  );
  expect((await afterRestart()).matched).toBe(1);
  await until(async () => (await snapshot())!.revision === 2);
});

test('a source of more than is read in one go is read whole, from its posts and from what was kept', async () => {
  const bodies = Array.from({ length: 1300 }, (_, i) => `n${i},Note ${i % 7},${`reed and mud ${i} `.repeat(60)}`);
  await server.upload(`id,title,body\n${bodies.join('\n')}\n`, 'many.csv', { slug: 'many' });
  const config = {
    facets: [{ key: 'q', kind: 'search', fields: ['title'] }],
    sort: { options: [{ key: 'title', label: 'By title', field: 'title', order: 'asc' }] },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Many', source: 'many', slug: 'many', config });
  await server.ask('POST', '/api/v1/lenses/many/releases', {});
  const many = '/api/v1/lenses/many/results?q=note+3';
  const { tookMs: _took, ...first } = (await server.ask('GET', many)).body;
  expect(first).toMatchObject({ total: 1300, matched: 186 });
  const size = await until(async () => {
    const rows = await onDatabase(
      server.databaseUrl,
      `SELECT size FROM snapshot JOIN source ON source.id = source_id WHERE slug = 'many'`,
    );
    return (rows[0] as { size: number } | undefined)?.size;
  });
  expect(size).toBeGreaterThan(1 << 20);
  await onDatabase(server.databaseUrl, `UPDATE post SET values = '{}'`);
  expect(await afterRestart(many)).toEqual(first);
});
