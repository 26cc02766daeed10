// A server of its own to be treated badly, and what is seen of it meanwhile.
import { fork } from 'node:child_process';
import { request } from 'node:http';
import { readdirSync, readFileSync, readlinkSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { freePort } from '../tools/postgres.mjs';
import { root } from '../tools/root.mjs';

export const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/**
 * Starts a server on a database.
 * @param {string} databaseUrl
 * @param {string} [from]  top of the checkout whose build is started; this one if not said otherwise
 */
export async function serve(databaseUrl, from = process.env.IVY_FAULTS_ROOT ?? root) {
  const port = await freePort(47_000 + Math.floor(Math.random() * 900));
  const child = fork(join(from, 'apps', 'server', 'dist', 'bundle', 'main.js'), {
    cwd: from,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      HOST: '127.0.0.1',
      IVY_DEMO: '0',
      NODE_ENV: 'production',
    },
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  await new Promise((done, fail) => {
    child.once('message', done);
    child.once('exit', () => fail(new Error('The server did not start.')));
  });
  const url = `http://127.0.0.1:${port}`;
  return {
    url,
    port,
    pid: child.pid,
    /** Resident memory of the process with all its threads, in MB. */
    memory: () => memoryOf(child.pid),
    peak: () => peakOf(child.pid),
    sockets: () => socketsOf(child.pid),
    stop: async () => {
      if (child.exitCode !== null || child.signalCode !== null) return;
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      const late = setTimeout(() => child.kill('SIGKILL'), 5000);
      await gone;
      clearTimeout(late);
    },
  };
}

function memoryOf(pid) {
  return statusOf(pid, 'VmRSS');
}

function peakOf(pid) {
  return statusOf(pid, 'VmHWM');
}

function statusOf(pid, name) {
  const line = readFileSync(`/proc/${pid}/status`, 'utf8')
    .split('\n')
    .find((one) => one.startsWith(name));
  return Math.round(Number(line.replace(/\D/g, '')) / 1024);
}

function socketsOf(pid) {
  return readdirSync(`/proc/${pid}/fd`).filter((fd) => {
    try {
      return readlinkSync(`/proc/${pid}/fd/${fd}`).startsWith('socket:');
    } catch {
      return false;
    }
  }).length;
}

/** Asks with a bound on the wait. `status` 0: no answer. */
export async function ask(url, init = {}, within = 30_000) {
  const start = performance.now();
  try {
    const response = await fetch(url, { ...init, signal: AbortSignal.timeout(within) });
    const body = await response.text();
    return { status: response.status, body, ms: performance.now() - start };
  } catch {
    return { status: 0, body: '', ms: performance.now() - start };
  }
}

/** Sends a file, and waits for the answer however long that takes. */
export function upload(url, file, name, parts = {}) {
  const boundary = 'between-the-parts';
  const fields = Object.entries(parts).map(
    ([key, value]) => `--${boundary}\r\nContent-Disposition: form-data; name="${key}"\r\n\r\n${value}\r\n`,
  );
  const head = `${fields.join('')}--${boundary}\r\nContent-Disposition: form-data; name="file"; filename="${name}"\r\n\r\n`;
  const body = Buffer.from(`${head}${file}\r\n--${boundary}--\r\n`);
  const start = performance.now();
  return new Promise((done) => {
    const failed = () => done({ status: 0, body: '', ms: performance.now() - start });
    const headers = { 'content-type': `multipart/form-data; boundary=${boundary}`, 'content-length': body.length };
    const sent = request(`${url}/api/v1/sources`, { method: 'POST', headers }, (response) => {
      let text = '';
      response.on('data', (chunk) => (text += chunk));
      response.on('error', failed);
      response.on('end', () => done({ status: response.statusCode, body: text, ms: performance.now() - start }));
    });
    sent.on('error', failed);
    sent.end(body);
  });
}

export function sendJson(url, method, body, headers = {}) {
  return ask(url, { method, headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) });
}

/** Asks over and over while something goes on. */
export async function meanwhile(url, work, every = 10) {
  const pinger = new Worker(new URL('./pinger.mjs', import.meta.url), { workerData: { url, every } });
  await new Promise((done) => pinger.once('message', done));
  const result = await work();
  const seen = new Promise((done) => pinger.once('message', done));
  pinger.postMessage('over');
  return { ...(await seen), result };
}

export const ms = (n) =>
  n < 10 ? `${n.toFixed(1)} ms` : n < 10_000 ? `${Math.round(n)} ms` : `${(n / 1000).toFixed(1)} s`;
