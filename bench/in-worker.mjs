// The engine in a web worker of a real Chromium: the very worker the studio uses, loaded with the bytes of the index.
import { createServer } from 'node:http';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { withChromium } from './chromium.mjs';

const assets = fileURLToPath(new URL('../apps/studio/dist/assets', import.meta.url));

/** @returns what it took to load the bytes, and p50 and p95 of a question and its answer, there and back */
export async function measureWorker(bytes, config, addresses) {
  const worker = readdirSync(assets).find((name) => name.startsWith('dry-run-worker'));
  const server = createServer((request, response) => {
    if (request.url === '/worker.js')
      response.setHeader('content-type', 'text/javascript').end(readFileSync(join(assets, worker)));
    else if (request.url === '/index') response.setHeader('content-type', 'application/octet-stream').end(bytes);
    else response.setHeader('content-type', 'text/html').end('<!doctype html><title>bench</title>');
  });
  await new Promise((done) => server.listen(0, '127.0.0.1', done));
  try {
    return await withChromium(async (driver) => {
      await driver.get(`http://127.0.0.1:${server.address().port}/`);
      return driver.executeAsyncScript(askInPage, config, addresses);
    });
  } finally {
    server.close();
  }
}

/* global Worker */
/** Runs in the page. */
function askInPage(config, addresses, done) {
  const worker = new Worker('/worker.js', { type: 'module' });
  const send = (message, transfer = []) =>
    new Promise((reply) => {
      worker.onmessage = ({ data }) => reply(data);
      worker.postMessage(message, transfer);
    });
  void (async () => {
    const bytes = await (await fetch('/index')).arrayBuffer();
    let start = performance.now();
    const { said } = await send({ ask: 'load', bytes, about: { name: 'Bench', source: 'bench' } }, [bytes]);
    if (said !== 'loaded') return done({ error: said });
    const load = performance.now() - start;
    const times = [];
    for (let round = 0; round < 4; round++) {
      for (let id = 0; id < addresses.length; id++) {
        start = performance.now();
        const reply = await send({ ask: 'try', id, lens: config, address: addresses[id] });
        if (reply.said !== 'dry-run') return done({ error: JSON.stringify(reply).slice(0, 300) });
        if (round > 0) times.push(performance.now() - start);
      }
    }
    times.sort((a, b) => a - b);
    done({ load, p50: times[times.length >> 1], p95: times[Math.floor(times.length * 0.95)] });
  })();
}
