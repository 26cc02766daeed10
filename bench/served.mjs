// Requests a second and their times, of the real server over the seeded posts: two connections a core, each asking
// again as soon as it has its answer. The asking is a process of its own.
import { fork } from 'node:child_process';
import net from 'node:net';
import { cpus } from 'node:os';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { startPostgres, freePort } from '../tools/postgres.mjs';
import { withShare } from './timing.mjs';

/** Puts posts and a released lens into a database of their own, and runs some work while the server serves them. */
export async function withServed(collection, config, work) {
  return withDatabase(async (databaseUrl, port) => {
    // the first start makes the tables, the second finds posts in them
    await withServer(databaseUrl, port, async () => {});
    await fill(databaseUrl, collection, config);
    return withServer(databaseUrl, port, () => work(port));
  });
}

/** Runs some work while a server stands on an empty database. */
export function withEmpty(work) {
  return withDatabase((databaseUrl, port) => withServer(databaseUrl, port, (pid) => work(port, pid)));
}

async function withDatabase(work) {
  const postgres = await startPostgres(() => {});
  const name = `ivy_bench_${process.pid}`;
  await onDatabase(postgres.url, `CREATE DATABASE ${name}`);
  const databaseUrl = Object.assign(new URL(postgres.url), { pathname: `/${name}` }).href;
  const port = await freePort(4900);
  try {
    return await work(databaseUrl, port);
  } finally {
    await onDatabase(postgres.url, `DROP DATABASE ${name} WITH (FORCE)`);
    await postgres.stop();
  }
}

/** Seconds that a server is asked before it counts as settled: its code is compiled as it is found to run often. */
const settling = 8;

/** Addresses that are asked for before those that are measured. */
const asWarmUp = 3000;

/**
 * Asks the server for some addresses: first unknown to it, then again and again, and at last as one that has settled. Then for
 * others, each once: whole, as `results` gives them, and as the page script asks for them.
 * @param fresh  many addresses, no two of them the same
 */
export function measureServer(collection, config, addresses, fresh) {
  return withServed(collection, config, async (port) => {
    const start = performance.now();
    await fetch(`http://127.0.0.1:${port}/api/v1/lenses/bench/results`);
    const first = performance.now() - start;
    const cold = await load(port, addresses, 1);
    const early = await load(port, addresses, settling);
    const { made: settled, stolen } = await withShare(() => load(port, addresses, 6));
    const once = async (route) => {
      await load(port, fresh.slice(0, asWarmUp), 60, route, true);
      return load(port, fresh.slice(asWarmUp), 8, route, true);
    };
    const whole = await once('results');
    const reply = await fetch(`http://127.0.0.1:${port}/api/v1/lenses/bench/listing/nothing`);
    const compact = await once(`listing/${(await reply.json()).known}`);
    return { first, cold, early, settled, stolen, whole, compact };
  });
}

async function fill(databaseUrl, { fields, taxonomies, posts }, config) {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const { rows } = await client.query(
    `INSERT INTO source (slug, name, format, file_name, fields, findings, rejected, posts)
     VALUES ('bench', 'Bench', 'csv', 'bench.csv', $1, '[]', '[]', $2) RETURNING id`,
    [JSON.stringify(fields), posts.length],
  );
  const [{ id }] = rows;
  for (const [field, terms] of Object.entries(taxonomies)) {
    await client.query(
      `INSERT INTO term (source_id, field, slug, position, label, parent)
       SELECT $1, $2, t->>'slug', i, t->>'label', t->>'parent' FROM jsonb_array_elements($3::jsonb) WITH ORDINALITY AS e(t, i)`,
      [id, field, JSON.stringify(terms)],
    );
  }
  for (let start = 0; start < posts.length; start += 5000) {
    await client.query(
      `INSERT INTO post (source_id, id, position, raw, "values")
       SELECT $1, p->>'id', $2::int + i, '{}', p->'values' FROM jsonb_array_elements($3::jsonb) WITH ORDINALITY AS e(p, i)`,
      [id, start, JSON.stringify(posts.slice(start, start + 5000))],
    );
  }
  const lens = await client.query(
    `INSERT INTO lens (slug, name, source_id, draft) VALUES ('bench', 'Bench', $1, $2) RETURNING id`,
    [id, JSON.stringify(config)],
  );
  await client.query('INSERT INTO release (lens_id, number, config) VALUES ($1, 1, $2)', [
    lens.rows[0].id,
    JSON.stringify(config),
  ]);
  await client.end();
}

async function withServer(databaseUrl, port, use) {
  const main = fileURLToPath(new URL('../apps/server/dist/bundle/main.js', import.meta.url));
  const child = fork(main, { env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), IVY_DEMO: '0' } });
  try {
    await new Promise((ready, fail) => {
      child.once('message', ready);
      child.once('exit', (code) => fail(new Error(`The server ended with ${code}.`)));
    });
    return await use(child.pid);
  } finally {
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await gone;
  }
}

/** @param once  whether each address is asked for no more than once */
function load(port, addresses, seconds, route = 'results', once = false) {
  const child = fork(fileURLToPath(import.meta.url), ['ask', String(port), String(seconds)]);
  return new Promise((done, fail) => {
    child.once('message', done);
    child.once('exit', (code) => code && fail(new Error(`Asking ended with ${code}.`)));
    child.send({ addresses, route, once });
  });
}

async function onDatabase(url, statement) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(statement);
  await client.end();
}

/** One connection that asks until its time is up. Reads just enough of HTTP to know where an answer ends. */
function client(port, next, until, times, sizes) {
  return new Promise((done, fail) => {
    const socket = net.connect(port, '127.0.0.1');
    let [start, head, left] = [0, '', -1];
    const ask = () => {
      const asked = next();
      if (asked === undefined || performance.now() >= until) {
        socket.destroy();
        return done();
      }
      start = performance.now();
      [head, left] = ['', -1];
      socket.write(
        `GET /api/v1/lenses/bench/${asked} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nAccept-Encoding: gzip\r\n\r\n`,
      );
    };
    socket.setNoDelay(true);
    socket.on('connect', ask);
    socket.on('error', fail);
    socket.on('data', (chunk) => {
      if (left < 0) {
        const end = chunk.indexOf('\r\n\r\n');
        head += chunk.latin1Slice(0, end < 0 ? chunk.length : end);
        if (end < 0) return;
        if (!head.startsWith('HTTP/1.1 200')) return fail(new Error(head.slice(0, 200)));
        const length = Number(/content-length: (\d+)/i.exec(head)[1]);
        sizes.push(length);
        left = length - (chunk.length - end - 4);
      } else left -= chunk.length;
      if (left > 0) return;
      times.push(performance.now() - start);
      ask();
    });
  });
}

if (process.argv[2] === 'ask') {
  const [, , , port, seconds] = process.argv;
  process.once('message', async ({ addresses, route, once }) => {
    const times = [];
    const sizes = [];
    let at = 0;
    const start = performance.now();
    const until = start + Number(seconds) * 1000;
    const next = () => {
      if (once && at >= addresses.length) return undefined;
      return `${route}?${addresses[at++ % addresses.length]}`;
    };
    await Promise.all(Array.from({ length: cpus().length * 2 }, () => client(Number(port), next, until, times, sizes)));
    const took = (performance.now() - start) / 1000;
    times.sort((a, b) => a - b);
    const part = (share) => times[Math.floor(times.length * share)];
    const bytes = sizes.reduce((sum, size) => sum + size, 0) / sizes.length;
    process.send({ perSecond: times.length / took, p50: part(0.5), p99: part(0.99), bytes, asked: times.length });
    process.disconnect();
  });
}
