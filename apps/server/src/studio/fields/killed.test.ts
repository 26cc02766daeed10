import { fork, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { setTimeout as wait } from 'node:timers/promises';
import { Client } from 'pg';
import { startHarness, type Harness } from '../../../test/harness.js';
import { builtServer } from '../../shared/paths.js';

let server: Harness;
let database: Client;
beforeAll(async () => {
  server = await startHarness();
  database = new Client({ connectionString: server.databaseUrl });
  await database.connect();
});
afterAll(async () => {
  await database.end();
  await server.stop();
});

/** A server of its own, in a process that can be killed. */
async function another(): Promise<{ url: string; kill: () => Promise<void> }> {
  const port = 47_000 + Math.floor(Math.random() * 900);
  const env = {
    ...process.env,
    DATABASE_URL: server.databaseUrl,
    PORT: String(port),
    HOST: '127.0.0.1',
    IVY_DEMO: '0',
    NODE_ENV: 'production',
    NODE_OPTIONS: '',
  };
  const child: ChildProcess = fork(builtServer('main.js'), {
    env,
    execArgv: [],
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  await once(child, 'message');
  const kill = async () => {
    const gone = once(child, 'exit');
    child.kill('SIGKILL');
    await gone;
    // what it had open in the database ends with its connections
    for (let i = 0; i < 100; i++) {
      const { rows } = await database.query(
        `SELECT 1 FROM pg_stat_activity WHERE application_name IN ('ivy-lens intake', 'ivy-lens fields', 'ivy-lens runs') AND datname = current_database()`,
      );
      if (rows.length === 0) return;
      await wait(50);
    }
    throw new Error('The killed server is still at work in the database.');
  };
  return { url: `http://127.0.0.1:${port}`, kill };
}

const rows = 20_000;
const csv = [
  'id,title,kind',
  ...Array.from({ length: rows }, (_, i) => `n${i},Note ${i},${['Mudflat', 'mud flat', 'Lagoon', 'Reed'][i % 4]}`),
].join('\n');

/** All that is kept of a source, as one text; and how many posts and sources there are. */
async function kept(slug: string): Promise<string> {
  const { rows: found } = await database.query<{ all: string }>(
    `SELECT md5(s.fields::text || s.findings::text || s.posts || s.revision
       || coalesce((SELECT string_agg(p.id || p."values"::text || p.left_by::text, ',' ORDER BY p.position) FROM post p WHERE p.source_id = s.id), '')
       || coalesce((SELECT string_agg(t.field || t.slug || t.label, ',' ORDER BY t.field, t.position) FROM term t WHERE t.source_id = s.id), '')) AS all
     FROM source s WHERE s.slug = $1`,
    [slug],
  );
  return found[0]?.all ?? 'nothing';
}

test('killed in the middle of bringing posts in, the source is there whole, or not at all', async () => {
  for (const delay of [500, 1100]) {
    const { url, kill } = await another();
    const slug = `killed-${delay}`;
    const form = new FormData();
    form.append('slug', slug);
    form.append('name', slug);
    form.append('file', new Blob([csv]), 'notes.csv');
    const sent = fetch(`${url}/api/v1/sources`, { method: 'POST', body: form }).catch(() => null);
    await wait(delay);
    await kill();
    const response = await sent;
    const { rows: found } = await database.query<{ posts: number; kept: number }>(
      'SELECT s.posts, (SELECT count(*)::int FROM post WHERE source_id = s.id) AS kept FROM source s WHERE s.slug = $1',
      [slug],
    );
    if (response?.status === 201 || found.length > 0) expect(found).toEqual([{ posts: rows, kept: rows }]);
    const { rows: strays } = await database.query('SELECT 1 FROM source WHERE slug = id::text');
    expect(strays).toEqual([]);
  }
}, 60_000);

test('killed in the middle of a mend, all is as before it or as after it', async () => {
  await server.upload(csv, 'notes.csv', { slug: 'mended' });
  const { body } = await server.ask('GET', '/api/v1/sources/mended/findings');
  const finding = (body as { id: string; code: string }[]).find(({ code }) => code === 'near-twins')!.id;
  const before = await kept('mended');
  for (const delay of [500, 1100]) {
    const { url, kill } = await another();
    const sent = fetch(`${url}/api/v1/sources/mended/mends`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ finding, mend: 'Mudflat' }),
    }).catch(() => null);
    await wait(delay);
    await kill();
    const response = await sent;
    const after = await kept('mended');
    const { rows: terms } = await database.query<{ label: string }>(
      `SELECT label FROM term t JOIN source s ON s.id = t.source_id WHERE s.slug = 'mended' AND field = 'kind' ORDER BY label`,
    );
    const { rows: used } = await database.query<{ slug: string }>(
      `SELECT DISTINCT jsonb_array_elements_text(p."values" -> 'kind') AS slug FROM post p JOIN source s ON s.id = p.source_id WHERE s.slug = 'mended'`,
    );
    expect(used).toHaveLength(terms.length);
    expect(terms.length).toBe(after === before ? 4 : 3);
    if (response?.ok) expect(terms).toHaveLength(3);
    if (after !== before) {
      await server.ask('DELETE', `/api/v1/sources/mended/mends/${encodeURIComponent(finding)}`);
      await database.query(`UPDATE source SET revision = 1 WHERE slug = 'mended'`);
    }
  }
}, 90_000);

test('killed in the middle of a replace, the posts are those before it or those after it', async () => {
  const june = csv.replaceAll('Note 1', 'New note 1').replaceAll('Lagoon', 'Saltmarsh');
  await server.upload(csv, 'may.csv', { slug: 'replaced' });
  const titles = async () => {
    const { rows: found } = await database.query<{ count: number; runs: number }>(
      `SELECT (SELECT count(*)::int FROM post WHERE source_id = s.id AND raw ->> 'title' LIKE 'New%') AS count,
         (SELECT count(*)::int FROM run WHERE source_id = s.id) AS runs
       FROM source s WHERE s.slug = 'replaced'`,
    );
    return found[0]!;
  };
  const all = june.split('New note').length - 1;
  for (const delay of [600, 1200]) {
    const { url, kill } = await another();
    const before = await titles();
    const form = new FormData();
    form.append('file', new Blob([before.count === 0 ? june : csv]), 'june.csv');
    const sent = fetch(`${url}/api/v1/sources/replaced/posts`, { method: 'PUT', body: form }).catch(() => null);
    await wait(delay);
    await kill();
    const response = await sent;
    const after = await titles();
    expect([0, all]).toContain(after.count);
    // what it says of itself goes with what it has
    expect(after.runs - before.runs).toBe(after.count === before.count ? 0 : 1);
    if (response?.ok) expect(after.count).not.toBe(before.count);
  }
}, 60_000);

test('killed in the middle of a merge of terms, all is as before it or as after it', async () => {
  await server.upload(csv, 'notes.csv', { slug: 'merged' });
  const state = async () => {
    const { rows: found } = await database.query<{ terms: number; changes: number; revision: number }>(
      `SELECT s.revision, (SELECT count(*)::int FROM term WHERE source_id = s.id AND field = 'kind') AS terms,
         (SELECT count(*)::int FROM term_change WHERE source_id = s.id) AS changes
       FROM source s WHERE s.slug = 'merged'`,
    );
    return found[0]!;
  };
  const before = await state();
  const after = { terms: before.terms - 1, changes: 1, revision: before.revision + 1 };
  for (const delay of [150, 300, 450, 600]) {
    const { url, kill } = await another();
    const sent = fetch(`${url}/api/v1/sources/merged/terms/kind/merge`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ from: ['mud-flat'], into: 'mudflat' }),
    }).catch(() => null);
    await wait(delay);
    await kill();
    const response = await sent;
    const now = await state();
    expect([before, after]).toContainEqual(now);
    if (response?.ok) expect(now).toEqual(after);
    if (now.changes > 0) break;
  }
}, 60_000);
