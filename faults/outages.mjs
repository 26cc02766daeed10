// PostgreSQL is stopped, killed and frozen for a while under a server that answers visitors.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { ask, ms, sendJson, serve, upload, wait } from './serve.mjs';

const notes = [
  'id,title,habitat',
  ...Array.from({ length: 60 }, (_, i) => `n${i},Note ${i},${['Mudflat', 'Reedbed'][i % 2]}`),
].join('\n');
const config = { facets: [{ key: 'habitat', kind: 'checkboxes', field: 'habitat' }], paging: { size: 5 } };

export async function outages(postgres, say, lengths = [1, 8, 60]) {
  const server = await serve(postgres.url);
  try {
    await upload(server.url, notes, 'notes.csv', { slug: 'outage' });
    await sendJson(`${server.url}/api/v1/lenses`, 'POST', { name: 'Outage', source: 'outage', slug: 'outage', config });
    await sendJson(`${server.url}/api/v1/lenses/outage/releases`, 'POST', {});
    await ask(`${server.url}/api/v1/lenses/outage/results`);
    for (const how of ['stopped', 'frozen']) {
      for (const seconds of lengths) say(await outage(server, postgres, how, seconds));
    }
  } finally {
    await server.stop();
  }
}

async function outage(server, postgres, how, seconds) {
  const before = server.sockets();
  if (how === 'stopped') postgres.halt();
  else postgres.freeze();
  const seen = { health: 0, slowest: 0, answered: 0, asked: 0, slowestAnswer: 0, sockets: before };
  const until = Date.now() + seconds * 1000;
  for (let i = 0; Date.now() < until; i++) {
    const health = await ask(`${server.url}/api/v1/health`);
    if (health.status === 503) seen.health++;
    seen.slowest = Math.max(seen.slowest, health.ms);
    const answer = await ask(`${server.url}/api/v1/lenses/outage/results?habitat=mudflat&i=${i}`);
    seen.asked++;
    if (answer.status === 200) seen.answered++;
    seen.slowestAnswer = Math.max(seen.slowestAnswer, answer.ms);
    seen.sockets = Math.max(seen.sockets, server.sockets());
    await wait(100);
  }
  if (how === 'stopped') await postgres.resume();
  else postgres.thaw();
  const back = performance.now();
  let recovered = null;
  while (performance.now() - back < 60_000) {
    const [health, list] = [await ask(`${server.url}/api/v1/health`), await ask(`${server.url}/api/v1/lenses`)];
    if (health.status === 200 && list.status === 200) {
      recovered = performance.now() - back;
      break;
    }
    await wait(50);
  }
  await wait(500);
  const lines = recovered === null ? '?' : await linesOf(postgres.url);
  return [
    `${how} ${seconds} s`,
    `health 503 ${seen.health} of ${seen.asked}, slowest ${ms(seen.slowest)}`,
    `released answers ${seen.answered} of ${seen.asked}, slowest ${ms(seen.slowestAnswer)}`,
    `sockets ${before} → at most ${seen.sockets} → ${server.sockets()}`,
    recovered === null ? 'did not recover in 60 s' : `well again after ${ms(recovered)}`,
    `${lines} listening`,
  ].join(' · ');
}

async function linesOf(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query(
    "SELECT count(*)::int AS n FROM pg_stat_activity WHERE application_name = 'ivy-lens changes'",
  );
  await client.end();
  return rows[0].n;
}

/** A PostgreSQL that can be stopped and frozen, by its data folder. */
export function breakable(postgres, folder) {
  const data = join(folder, 'data');
  const pid = () => Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
  const children = () =>
    spawnSync('pgrep', ['-P', String(pid())], { encoding: 'utf8' })
      .stdout.trim()
      .split('\n')
      .filter(Boolean)
      .map(Number);
  const all = (signal) => {
    for (const one of [pid(), ...children()]) process.kill(one, signal);
  };
  return {
    url: postgres.url,
    halt: () => postgres.halt(),
    resume: () => postgres.resume(),
    freeze: () => all('SIGSTOP'),
    thaw: () => all('SIGCONT'),
  };
}
