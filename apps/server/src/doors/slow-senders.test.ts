import fastify, { type FastifyInstance } from 'fastify';
import { connect, type Socket } from 'node:net';
import { endSlowSenders } from './slow-senders.js';

let server: FastifyInstance;
let port: number;
beforeAll(async () => {
  server = fastify();
  endSlowSenders(server, { quiet: 1_000, grace: 3_000, slowest: 1_000 }, 200);
  server.post('/', (request) => ({ got: request.body }));
  server.post('/slow', async () => {
    await new Promise((done) => setTimeout(done, 4_000));
    return { ok: true };
  });
  await server.listen({ port: 0, host: '127.0.0.1' });
  ({ port } = server.server.address() as { port: number });
});
afterAll(() => server.close());

/** Begins to send a body and never ends. */
function begin(): { socket: Socket; ended: Promise<{ said: string; ms: number }> } {
  const socket = connect(port, '127.0.0.1');
  const start = Date.now();
  let said = '';
  socket.on('data', (data) => (said += data.toString()));
  socket.on('error', () => {});
  socket.write('POST / HTTP/1.1\r\nhost: x\r\ncontent-type: application/json\r\ncontent-length: 100000\r\n\r\n{"a":"');
  const ended = new Promise<{ said: string; ms: number }>((done) =>
    socket.on('close', () => done({ said, ms: Date.now() - start })),
  );
  return { socket, ended };
}

test('a body that stops coming is not waited for', async () => {
  const { said, ms } = await begin().ended;
  expect(said).toMatch(/^HTTP\/1.1 408/);
  expect(said).toContain('too-slow');
  expect(ms).toBeLessThan(3_000);
});

test('a body that trickles in is not waited for either', async () => {
  const { socket, ended } = begin();
  const trickle = setInterval(() => socket.write('x'), 100);
  const { said, ms } = await ended;
  clearInterval(trickle);
  expect(said).toMatch(/^HTTP\/1.1 408/);
  expect(ms).toBeGreaterThan(2_500);
  expect(ms).toBeLessThan(6_000);
});

test('what comes quickly enough is taken, however long its answer takes', async () => {
  const response = await fetch(`http://127.0.0.1:${port}/slow`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"a":1}',
  });
  expect(await response.json()).toEqual({ ok: true });
});
