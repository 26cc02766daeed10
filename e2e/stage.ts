import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { Client } from 'pg';

const root = join(__dirname, '..');

/** The whole product, running: server and demo site on ports of their own, with a database of their own. */
export interface Stage {
  studio: string;
  site: string;
  stop(): Promise<void>;
}

/** Starts the product as `npm start` does, on a fresh database. */
export async function setStage(): Promise<Stage> {
  const admin = process.env.DATABASE_URL;
  if (!admin) throw new Error('DATABASE_URL is not set: run the tests by npm test, which starts PostgreSQL.');
  const name = `ivy_e2e_${process.pid}_${Date.now()}`;
  await onDatabase(admin, `CREATE DATABASE ${name}`);
  const port = await freePair();
  const child = spawn(process.execPath, [join(root, 'tools', 'start.mjs')], {
    env: {
      ...process.env,
      PORT: String(port),
      DATABASE_URL: Object.assign(new URL(admin), { pathname: `/${name}` }).href,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await lineWith(child, 'Stop');
  return {
    studio: `http://127.0.0.1:${port}`,
    site: `http://127.0.0.1:${port + 1}`,
    stop: async () => {
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGINT');
      await gone;
      await onDatabase(admin, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
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
const forbidden = 5060;

/** A port that is free, and the one after it too. */
async function freePair(): Promise<number> {
  for (let port = 4900 + Math.floor(Math.random() * 400) * 2; port < 6000; port += 2) {
    if (port !== forbidden && (await isFree(port)) && (await isFree(port + 1))) return port;
  }
  throw new Error('No two free ports below 6000.');
}

function isFree(port: number): Promise<boolean> {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}
