// npm start: everything from a bare clone to a page one can open.
import { fork } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { build } from './build.mjs';
import { servePress } from '../demo/press/press.mjs';
import { serveDemo } from './demo-site.mjs';
import { checkNode, installPackages } from './packages.mjs';
import { startPostgres } from './postgres.mjs';
import { root } from './root.mjs';

const host = process.env.HOST || '127.0.0.1';
const port = Number(process.env.PORT ?? 4800);
/** The address to listen on as a name one can go to: “any address” is none. */
const name = ['0.0.0.0', '::'].includes(host) ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host;
const studio = process.env.PUBLIC_URL?.replace(/\/+$/, '') || `http://${name}:${port}`;
const site = `http://${name}:${port + 1}`;
const press = `http://${name}:${port + 2}`;
const withDemo = process.env.IVY_DEMO !== '0';
const say = (words) => console.log(`· ${words}`);

/** PostgreSQL on its way, from the moment it is started. */
let starting;
let server;
let demo;
let demoPress;
let stopping = false;

process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));
process.on('SIGHUP', () => void stop(0));

try {
  checkNode();
  if (!Number.isInteger(port) || port < 1 || port > 65533)
    throw new Error(`PORT must be a number from 1 to 65533, not “${process.env.PORT}”.`);
  await needPort(port, 'PORT');
  if (withDemo) {
    await needPort(port + 1, 'PORT (the demo site takes the one after it)');
    await needPort(port + 2, 'PORT (what the demo fetches from takes the second after it)');
  }
  installPackages(say);
  // the build and the database use different things, so they need not wait for one another
  starting = startPostgres(say);
  // told below; until then a failure must not end the process
  starting.catch(() => {});
  await build(say);
  if (!stopping) server = loadServer();
  const postgres = await starting;
  if (!stopping) await startServer(postgres.url);
  if (!stopping) postgres.keepUp((words) => console.error(`· ${words}`));
} catch (error) {
  console.error(error.message);
  await stop(1);
}

/** Loads the server while PostgreSQL is still coming up: it is told where that is when it is there. */
function loadServer() {
  const env = { ...process.env };
  delete env.DATABASE_URL;
  const child = fork(join(root, 'apps', 'server', 'dist', 'bundle', 'main.js'), {
    env: { ...env, NODE_ENV: 'production', HOST: host, PORT: String(port), IVY_DEMO_SITE: site, IVY_DEMO_PRESS: press },
  });
  child.on('exit', (code) => {
    if (!stopping) void stop(code || 1);
  });
  return child;
}

async function startServer(databaseUrl) {
  const ready = new Promise((done) => server.once('message', done));
  // the demo's live source is fetched from it as the server starts
  if (withDemo) demoPress = await servePress({ host, port: port + 2, site });
  server.send({ databaseUrl });
  await ready;
  if (withDemo) demo = await serveDemo({ host, port: port + 1, studio });
  console.log(`Studio     http://${name}:${port}`);
  if (withDemo) console.log(`Demo site  ${site}\nDemo press ${press}`);
  console.log('Stop       Ctrl-C');
}

function needPort(wanted, name) {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', (error) => {
      const words =
        error.code === 'EADDRINUSE' ? 'is in use. Stop what uses it, or' : `can’t be opened (${error.code}). To go on,`;
      fail(new Error(`Port ${wanted} ${words} set ${name} to another.`));
    });
    probe.listen(wanted, host, () => probe.close(done));
  });
}

async function stop(code) {
  if (stopping) return;
  stopping = true;
  demo?.close();
  demoPress?.close();
  if (server && server.exitCode === null) {
    const gone = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    const late = setTimeout(() => server.kill('SIGKILL'), 5000);
    await gone;
    clearTimeout(late);
  }
  try {
    // whatever else failed, a database that was started is stopped again
    const postgres = await starting;
    await postgres?.stop();
  } catch {
    // it never started, which was said already
  }
  process.exit(code);
}
