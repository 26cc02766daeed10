import { mkdtempSync, readFileSync, existsSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { saveOutside, type SaveBounds } from './save-outside.js';

let site: Server;
let origin: string;
let answer: RequestListener;
const folder = mkdtempSync(join(tmpdir(), 'ivy-save-'));
let files = 0;
beforeAll(async () => {
  site = createServer((request, response) => answer(request, response));
  await new Promise<void>((done) => site.listen(0, '127.0.0.1', done));
  origin = `http://127.0.0.1:${(site.address() as AddressInfo).port}`;
});
afterAll(() => {
  site.closeAllConnections();
  site.close();
});

/** Fetches, and tells what came of it: the text, or why not; and whether a file was left. */
async function save(more: Partial<SaveBounds> = {}, reach = [new URL(origin).host], ms = 4000): Promise<string> {
  const path = join(folder, `f-${++files}`);
  const bounds = { bytes: 10_000, idle: 300, accept: '*/*', signal: AbortSignal.timeout(ms), ...more };
  try {
    const { status } = await saveOutside(`${origin}/`, path, reach, bounds);
    return status === 304 ? 'not modified' : readFileSync(path, 'utf8');
  } catch (error) {
    expect(existsSync(path)).toBe(false);
    return (error as { code: string }).code;
  }
}

test('what comes is on disk, unpacked', async () => {
  answer = (_request, response) => response.setHeader('content-encoding', 'gzip').end(gzipSync('größe'));
  expect(await save()).toBe('größe');
});

test('a stream without end is given up at its bound, and leaves no file', async () => {
  let sent = 0;
  answer = (_request, response) => {
    const timer = setInterval(() => {
      sent += 4000;
      response.write('x'.repeat(4000));
    }, 1);
    response.on('close', () => clearInterval(timer));
  };
  expect(await save()).toBe('page-too-large');
  expect(sent).toBeLessThan(10_000_000);
});

test('what grows when it is unpacked is given up at the same bound', async () => {
  answer = (_request, response) =>
    response.setHeader('content-encoding', 'gzip').end(gzipSync(Buffer.alloc(5_000_000)));
  expect(await save()).toBe('page-too-large');
});

test('one that begins and then says nothing, and one that never begins, are given up', async () => {
  answer = (_request, response) => void response.write('id,title\n');
  expect(await save()).toBe('page-slow');
  answer = () => undefined;
  expect(await save({}, undefined, 300)).toBe('page-slow');
});

test('one that sends less than it said it would is no whole answer', async () => {
  answer = (_request, response) => {
    response.writeHead(200, { 'content-length': 100 });
    response.write('id,title\n');
    setTimeout(() => response.destroy(), 20);
  };
  expect(await save()).toBe('page-failed');
});

test('one that sends round in circles, or to a private address, is given up', async () => {
  answer = (_request, response) => response.writeHead(302, { location: '/' }).end();
  expect(await save()).toBe('page-failed');
  answer = (_request, response) => response.writeHead(302, { location: 'http://10.0.0.1/' }).end();
  expect(await save()).toBe('page-private');
  answer = (_request, response) => response.writeHead(302, { location: 'file:///etc/passwd' }).end();
  expect(await save()).toBe('bad-page');
});

test('a name that stands for a private address is refused when it is connected to, whatever it stood for before', async () => {
  answer = (_request, response) => response.end('x');
  const path = join(folder, 'named');
  const bounds = { bytes: 10, idle: 300, accept: '*/*', signal: AbortSignal.timeout(4000) };
  const { port } = new URL(origin);
  await expect(saveOutside(`http://localhost:${port}/`, path, [], bounds)).rejects.toMatchObject({
    code: 'page-private',
  });
  expect(await save({}, [])).toBe('page-private');
});

test('what is secret goes where it was meant for, and not where that leads', async () => {
  const other = createServer((request, response) => response.end(String(request.headers['x-key'])));
  await new Promise<void>((done) => other.listen(0, '127.0.0.1', done));
  const to = `http://127.0.0.1:${(other.address() as AddressInfo).port}/`;
  answer = (request, response) => response.end(String(request.headers['x-key']));
  const secret = { 'x-key': 'mudflat' };
  expect(await save({ secret })).toBe('mudflat');
  answer = (_request, response) => response.writeHead(307, { location: to }).end();
  expect(await save({ secret }, [new URL(origin).host, new URL(to).host])).toBe('undefined');
  other.close();
});

test('an answer that is no success says what it is, and when to ask again', async () => {
  answer = (_request, response) => response.writeHead(429, { 'retry-after': '120' }).end();
  const bounds = { bytes: 10, idle: 300, accept: '*/*', signal: AbortSignal.timeout(4000) };
  const asked = saveOutside(`${origin}/`, join(folder, 'late'), [new URL(origin).host], bounds);
  await expect(asked).rejects.toMatchObject({ code: 'endpoint-failed', answered: 429, retryAfter: 120 });
  answer = (_request, response) => response.writeHead(304).end();
  expect(await save()).toBe('not modified');
});
