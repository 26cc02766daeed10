import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { writeProblem } from '../problem/problem.filter.js';
import { Problem } from '../problem/problem.js';

/** Milliseconds between looks at those who send. */
const lookEvery = 2_000;

/** How slowly a body may come. */
export interface Patience {
  /** Milliseconds without a byte. */
  quiet: number;
  /** Milliseconds after which it must have come at `slowest` on average. */
  grace: number;
  /** Bytes a second. */
  slowest: number;
}

export const patience: Patience = { quiet: 20_000, grace: 30_000, slowest: 2_000 };

interface Sender {
  request: FastifyRequest;
  reply: FastifyReply;
  start: number;
  startBytes: number;
  last: number;
  lastBytes: number;
}

/** Ends requests whose body does not come: each open one holds a socket, and an upload a file. */
export function endSlowSenders(
  server: FastifyInstance,
  { quiet, grace, slowest }: Patience = patience,
  every = lookEvery,
): void {
  const senders = new Set<Sender>();
  server.addHook('onRequest', (request, reply, done) => {
    const { headers, raw } = request;
    if (headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0) {
      const now = performance.now();
      const bytes = raw.socket.bytesRead;
      senders.add({ request, reply, start: now, startBytes: bytes, last: now, lastBytes: bytes });
    }
    done();
  });
  const look = setInterval(() => {
    const now = performance.now();
    for (const sender of senders) {
      const { raw } = sender.request;
      const bytes = raw.socket.bytesRead;
      if (raw.complete || raw.destroyed || raw.socket.destroyed) {
        senders.delete(sender);
        continue;
      }
      if (bytes > sender.lastBytes) Object.assign(sender, { last: now, lastBytes: bytes });
      const took = now - sender.start;
      const isSlow = took > grace && ((bytes - sender.startBytes) * 1000) / took < slowest;
      if (now - sender.last > quiet || isSlow) {
        senders.delete(sender);
        end(sender);
      }
    }
  }, every);
  look.unref();
  server.addHook('onClose', (_server, done) => {
    clearInterval(look);
    done();
  });
}

/** Says why, if nothing was said yet, and lets go of the socket: what is still to come would be read for nothing. */
function end({ request, reply }: Sender): void {
  const { socket } = request.raw;
  if (!reply.sent) {
    void reply.header('connection', 'close');
    writeProblem(
      reply,
      new Problem(408, 'too-slow', 'The body came too slowly, so it was not waited for. Send it again.'),
    );
  }
  setTimeout(() => socket.destroy(), 500).unref();
}
