import type { FastifyInstance, FastifyRequest } from 'fastify';
import { writeProblem } from '../problem/problem.filter.js';
import { Problem } from '../problem/problem.js';
import { isLoopback, isOwnHost, type Doors } from './doors.js';

/**
 * Guards all that is not public, until people have accounts: a request must come to a name that is this server's own, from
 * a page of its own or from no browser at all. So no page of another site can read or write through the browser of whoever
 * runs the studio, whatever name it gives this machine.
 * @param publicPaths  what anyone may ask for from anywhere
 */
export function guardDoors(server: FastifyInstance, doors: Doors, publicPaths: readonly RegExp[]): void {
  const isShut = !isLoopback(doors.host) && !doors.isOpen;
  server.addHook('onRequest', (request, reply, done) => {
    const problem = isPublic(request, publicPaths) ? null : refusal(request, doors, isShut);
    if (problem) writeProblem(reply, problem);
    else done();
  });
  // a page of another site is to see why it is refused, too: what is refused tells nothing that is not public
  server.addHook('onSend', (request, reply, _body, done) => {
    const isRefusal = reply.statusCode >= 400 && isPublic(request, publicPaths);
    if (isRefusal && !reply.hasHeader('access-control-allow-origin')) {
      void reply.header('access-control-allow-origin', '*').header('cross-origin-resource-policy', 'cross-origin');
    }
    done();
  });
}

/** Where other servers may send something: it is signed, and looked at by whoever takes it. */
const signed = /^\/api\/v1\/pings\/[^/]+$/;

function isPublic({ method, url }: FastifyRequest, publicPaths: readonly RegExp[]): boolean {
  if (method === 'POST') return signed.test(url.split('?', 1)[0]!);
  if (method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS') return false;
  const path = url.split('?', 1)[0]!;
  return publicPaths.some((one) => one.test(path));
}

function refusal(request: FastifyRequest, doors: Doors, isShut: boolean): Problem | null {
  if (isShut) {
    return new Problem(
      403,
      'shut',
      'This server can be reached from elsewhere, and there are no accounts yet, so the studio and its API stay shut. ' +
        'Start it with HOST=127.0.0.1 to use them on this machine, or with IVY_OPEN=1 to open them to everybody who can reach it.',
    );
  }
  const { headers } = request;
  const port = request.socket.localPort ?? 0;
  const { host = '', origin } = headers;
  if (!isOwnHost(host, port, doors)) {
    return new Problem(
      403,
      'foreign-host',
      `This server is not called “${host.slice(0, 100)}”. If that is right, put the name into ALLOWED_HOSTS and start it again.`,
    );
  }
  if (origin !== undefined && !isOwnOrigin(origin, port, doors)) return foreign();
  const site = headers['sec-fetch-site'];
  if (site === undefined || site === 'same-origin' || isVisit(request, site)) return null;
  return foreign();
}

function isOwnOrigin(origin: string, port: number, doors: Doors): boolean {
  if (!/^https?:\/\//.test(origin) || !URL.canParse(origin)) return false;
  return isOwnHost(new URL(origin).host, port, doors);
}

/** Whether a browser goes to a page of the studio, by a link or the address bar: that alone tells and changes nothing. */
function isVisit({ method, url, headers }: FastifyRequest, site: string | string[]): boolean {
  if (method !== 'GET' && method !== 'HEAD') return false;
  if (site === 'none') return true;
  return headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document' && !/^\/api\b/.test(url);
}

function foreign(): Problem {
  return new Problem(
    403,
    'foreign-origin',
    'A page of another site asked for this. Only released results are answered to other sites.',
  );
}
