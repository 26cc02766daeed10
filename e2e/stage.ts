import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { Client } from 'pg';

const root = join(__dirname, '..');

/** The whole product, running: server and demo site on ports of their own, with a database of their own. */
export interface Stage {
  studio: string;
  site: string;
  /** What the demo's live source is fetched from. */
  press: string;
  stop(): Promise<void>;
}

/** Starts the product as `npm start` does, on a database that is as after the first start. */
export async function setStage(): Promise<Stage> {
  const admin = process.env.DATABASE_URL;
  if (!admin) throw new Error('DATABASE_URL is not set: run the tests by npm test, which starts PostgreSQL.');
  const template = await demoTemplate(admin);
  const name = `ivy_e2e_${process.pid}_${Date.now()}`;
  await onDatabase(admin, `CREATE DATABASE ${name} TEMPLATE ${template}`);
  const { child, port } = await start(admin, name);
  return {
    studio: `http://127.0.0.1:${port}`,
    site: `http://127.0.0.1:${port + 1}`,
    press: `http://127.0.0.1:${port + 2}`,
    stop: async () => {
      await end(child);
      await onDatabase(admin, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

/** The demo takes seconds to be loaded: once for all tests of a run, each of which has a copy of its own. */
async function demoTemplate(admin: string): Promise<string> {
  const name = `ivy_e2e_demo_${process.pid}`;
  const client = new Client({ connectionString: admin });
  await client.connect();
  const { rows } = await client.query<{ datname: string }>(
    `SELECT datname FROM pg_database WHERE datname LIKE 'ivy\\_e2e\\_demo\\_%'`,
  );
  // those of runs that are over are nobody's any more
  for (const { datname } of rows) {
    const pid = /_demo_(\d+)/.exec(datname)?.[1] ?? '';
    if (pid !== String(process.pid) && !existsSync(`/proc/${pid}`)) {
      await client.query(`DROP DATABASE IF EXISTS ${datname} WITH (FORCE)`);
    }
  }
  await client.end();
  if (rows.some(({ datname }) => datname === name)) return name;
  const making = `${name}_new`;
  await onDatabase(admin, `DROP DATABASE IF EXISTS ${making} WITH (FORCE)`);
  await onDatabase(admin, `CREATE DATABASE ${making}`);
  const { child } = await start(admin, making);
  await end(child);
  await onDatabase(admin, `ALTER DATABASE ${making} RENAME TO ${name}`);
  return name;
}

async function start(admin: string, database: string): Promise<{ child: ChildProcess; port: number }> {
  const port = await freePorts();
  const child = spawn(process.execPath, [join(root, 'tools', 'start.mjs')], {
    env: {
      ...process.env,
      PORT: String(port),
      DATABASE_URL: Object.assign(new URL(admin), { pathname: `/${database}` }).href,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await lineWith(child, 'Stop');
  return { child, port };
}

async function end(child: ChildProcess): Promise<void> {
  const gone = new Promise((done) => child.once('exit', done));
  child.kill('SIGINT');
  await gone;
}

function lineWith(child: ChildProcess, words: string): Promise<void> {
  return new Promise((done, fail) => {
    let said = '';
    const hear = (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes(words)) done();
    };
    child.stdout!.on('data', hear);
    child.stderr!.on('data', hear);
    child.once('exit', (code) => fail(new Error(`The start ended with ${code}:\n${said}`)));
  });
}

async function onDatabase(url: string, statement: string): Promise<void> {
  const client = new Client({ connectionString: url });
  await client.connect();
  await client.query(statement);
  await client.end();
}

/** Chromium opens no page there: telephones use it, and the one after it. */
const forbidden = [5060, 5061];

/** A port that is free, and the two after it too. */
async function freePorts(): Promise<number> {
  for (let port = 4900 + Math.floor(Math.random() * 250) * 4; port < 6000; port += 4) {
    const all = [port, port + 1, port + 2];
    if (all.some((one) => forbidden.includes(one))) continue;
    if ((await Promise.all(all.map(isFree))).every(Boolean)) return port;
  }
  throw new Error('No three free ports below 6000.');
}

function isFree(port: number): Promise<boolean> {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}
