// Uploads that never end: large ones that stop, and many that trickle.
import { connect } from 'node:net';
import { ask, meanwhile, ms, serve, wait } from './serve.mjs';

function begin(port, bytes) {
  const socket = connect(port, '127.0.0.1');
  socket.on('error', () => {});
  socket.write(
    `POST /api/v1/sources HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: multipart/form-data; boundary=b\r\ncontent-length: 66000000\r\n\r\n` +
      '--b\r\nContent-Disposition: form-data; name="file"; filename="a.csv"\r\n\r\nid,title\n',
  );
  if (bytes > 0) socket.write(Buffer.alloc(bytes, 'a'));
  return socket;
}

export async function uploads(postgres, say) {
  for (const [name, many, bytes, every] of [
    ['20 uploads of 60 MB that never end', 20, 60_000_000, 0],
    ['500 uploads that trickle a byte a second', 500, 0, 1000],
  ]) {
    const server = await serve(postgres.url);
    const before = server.memory();
    const sockets = Array.from({ length: many }, () => begin(server.port, bytes));
    const trickle =
      every > 0 && setInterval(() => sockets.forEach((socket) => socket.writable && socket.write('x')), every);
    const seen = await meanwhile(`${server.url}/api/v1/health`, async () => {
      await wait(8_000);
      const during = [server.memory(), server.sockets()];
      await wait(52_000);
      return during;
    });
    const [memory, open] = seen.result;
    say(
      `${name} · memory ${before} → ${memory} MB · sockets ${open} → ${server.sockets()} after a minute · others waited at most ${ms(seen.longest)}`,
    );
    if (trickle) clearInterval(trickle);
    for (const socket of sockets) socket.destroy();
    await ask(`${server.url}/api/v1/health`);
    await server.stop();
  }
}
