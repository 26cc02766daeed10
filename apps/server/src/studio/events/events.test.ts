import { get } from 'node:http';
import { startHarness, type Harness } from '../../../test/harness.js';

let server: Harness;
beforeAll(async () => {
  server = await startHarness();
});

test('whoever listens hears of each change, and a server that stops does not wait for them', async () => {
  let said = '';
  const listening = new Promise<{ type: string | undefined; ended: Promise<void> }>((done, fail) => {
    get(`${server.url}/api/v1/events`, (response) => {
      response.setEncoding('utf8').on('data', (text: string) => (said += text));
      const ended = new Promise<void>((end) => response.on('end', end));
      done({ type: response.headers['content-type'], ended });
    }).on('error', fail);
  });
  const { type, ended } = await listening;
  expect(type).toBe('text/event-stream');
  await server.upload('id,title,kind\n1,A,Walk\n2,B,Talk\n3,C,Walk\n', 'notes.csv', { slug: 'heard' });
  const { status } = await server.ask('PATCH', '/api/v1/sources/heard/terms/kind/walk', { label: 'Stroll' });
  expect(status).toBe(200);
  expect(said).toMatch(/data: \{"kind":"source","id":"[0-9a-f-]{36}"/);
  await server.stop();
  await ended;
});
