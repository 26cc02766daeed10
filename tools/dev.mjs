// npm run dev: the whole product while one works on it. The studio is reloaded in place, the page script and the server are
// built anew when a file of theirs changes.
import chokidar from 'chokidar';
import { fork } from 'node:child_process';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from './build.mjs';
import { servePress } from '../demo/press/press.mjs';
import { serveDemo } from './demo-site.mjs';
import { checkNode, installPackages } from './packages.mjs';
import { startPostgres } from './postgres.mjs';
import { root } from './root.mjs';

const host = '127.0.0.1';
const port = Number(process.env.PORT ?? 4800);
const say = (words) => console.log(`· ${words}`);
/** What the server answers itself; all else is the studio, served from its sources. */
const served = ['/api', '/embed', '/l', '/preview', '/preview-font.woff2'];

checkNode();
installPackages(say);
const postgres = await startPostgres(say);
await build(say);
postgres.keepUp(say);

const apiPort = port + 2;
const api = `http://${host}:${apiPort}`;
const demoPress = await servePress({ host, port: port + 3, site: `http://${host}:${port + 1}` });
let server = await startServer();
const demo = await serveDemo({ host, port: port + 1, studio: `http://${host}:${port}` });
const studio = await serveStudio();
console.log(`Studio     http://${host}:${port}  (reloads itself)`);
console.log(`Demo site  http://${host}:${port + 1}`);
console.log('Stop       Ctrl-C');

const watched = [
  'packages/core/src',
  'packages/formats/src',
  'packages/view/src',
  'packages/runtime/src',
  'apps/server/src',
];
let isBuilding = false;
let isStale = false;
chokidar
  .watch(
    watched.map((folder) => join(root, folder)),
    { ignoreInitial: true, ignored: (path) => /\.test\.tsx?$/.test(path) },
  )
  .on('all', () => void rebuild());
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());

/** Builds what is stale, and starts the server anew by it. What does not build is said, and the old goes on. */
async function rebuild() {
  isStale = true;
  if (isBuilding) return;
  isBuilding = true;
  while (isStale) {
    isStale = false;
    try {
      await build(say);
      await stopServer();
      server = await startServer();
      studio.ws.send({ type: 'full-reload' });
    } catch (error) {
      console.error(error.message);
    }
  }
  isBuilding = false;
}

async function startServer() {
  const child = fork(join(root, 'apps', 'server', 'dist', 'bundle', 'main.js'), {
    env: {
      ...process.env,
      DATABASE_URL: postgres.url,
      HOST: host,
      PORT: String(apiPort),
      PUBLIC_URL: `http://${host}:${port}`,
      IVY_DEMO_SITE: `http://${host}:${port + 1}`,
    },
  });
  await new Promise((done, fail) => {
    child.once('message', done);
    child.once('exit', () => fail(new Error('The server ended. What it said stands above.')));
  });
  return child;
}

async function stopServer() {
  if (server.exitCode !== null) return;
  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await gone;
}

async function serveStudio() {
  const folder = join(root, 'apps', 'studio');
  const vite = await import(pathToFileURL(createRequire(join(folder, 'package.json')).resolve('vite')).href);
  const proxy = {
    target: api,
    changeOrigin: true,
    // to the server, the studio’s own pages come from the server’s own origin
    configure: (through) =>
      through.on('proxyReq', (request) => request.getHeader('origin') && request.setHeader('origin', api)),
  };
  const dev = await vite.createServer({
    root: folder,
    configFile: join(folder, 'vite.config.ts'),
    server: {
      host,
      port,
      strictPort: true,
      proxy: Object.fromEntries(served.map((path) => [`^${path}(/|$|\\?)`, proxy])),
    },
  });
  return dev.listen();
}

async function stop() {
  demo.close();
  demoPress.close();
  await studio.close();
  await stopServer();
  await postgres.stop();
  process.exit(0);
}
