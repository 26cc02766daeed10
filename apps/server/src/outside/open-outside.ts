import { lookup as resolveHost, type LookupAddress } from 'node:dns';
import { request as requestHttp, type IncomingMessage, type RequestOptions } from 'node:http';
import { request as requestHttps } from 'node:https';
import { Problem } from '../problem/problem.js';
import { isAllowed, isPublic, literalOf, type Reach } from './reach.js';

export interface Asking {
  signal: AbortSignal;
  /** What is asked for, as an `Accept` header says it. */
  accept: string;
  /** Milliseconds until an answer has begun. */
  begin?: number;
  /** Further headers. Those in `secret` go to no other origin, wherever a redirect leads. */
  headers?: Readonly<Record<string, string>>;
  secret?: Readonly<Record<string, string>>;
}

const mostRedirects = 5;

/**
 * Asks an address that someone typed, and follows where it leads. Addresses of this machine and of private networks are
 * refused, unless the owner allows them: looked at after the name is resolved, when the connection is made, and again at
 * each redirect.
 * @returns the answer, of whatever status but a redirect, with its body still to be read
 * @throws Problem with what is wrong, in words
 */
export async function openOutside(
  address: string,
  reach: Reach,
  asking: Asking,
): Promise<{ url: URL; answer: IncomingMessage }> {
  let url = readUrl(address);
  const { origin } = url;
  for (let hops = 0; hops <= mostRedirects; hops++) {
    const isSame = url.origin === origin;
    const answer = await ask(url, reach, { ...asking, secret: isSame ? (asking.secret ?? {}) : {} });
    const { statusCode = 0, headers } = answer;
    if (statusCode < 300 || statusCode >= 400 || statusCode === 304 || headers.location === undefined) {
      return { url, answer };
    }
    answer.destroy();
    url = readUrl(headers.location, url);
  }
  throw new Problem(422, 'page-failed', `${url.host} sends from one address to another without end.`);
}

export function readUrl(address: string, base?: URL): URL {
  const url = URL.canParse(address, base?.href) ? new URL(address, base) : null;
  if (url?.protocol !== 'http:' && url?.protocol !== 'https:') {
    throw new Problem(422, 'bad-page', 'Give an address that begins with https://, such as https://example.org/news.');
  }
  if (url.username !== '' || url.password !== '') {
    throw new Problem(422, 'bad-page', 'Leave the name and the password out of the address.');
  }
  return url;
}

function refused(url: URL): Problem {
  const { host } = url;
  return new Problem(
    422,
    'page-private',
    `${host} is on this machine or in a private network, which this server does not ask. Its owner can allow it by IVY_REACH=${host}.`,
  );
}

function ask(url: URL, reach: Reach, { signal, accept, begin, headers, secret }: Asking): Promise<IncomingMessage> {
  const allowed = isAllowed(url, reach);
  const literal = literalOf(url);
  if (!allowed && literal !== null && !isPublic(literal)) return Promise.reject(refused(url));
  const options: RequestOptions = {
    signal,
    agent: false,
    headers: { accept, 'accept-encoding': 'gzip, deflate, br', 'user-agent': 'ivy-lens', ...headers, ...secret },
    // whatever a name stands for is looked at in the same step that connects to it, so that it can't change between
    lookup: (host, { family = 0, all = false }, done) => {
      resolveHost(host, { family, all: true }, (error, found) => {
        if (error) return done(error, []);
        if (!allowed && !found.every((one) => isPublic(one.address))) return done(refused(url), []);
        const [first] = found as [LookupAddress];
        if (all) done(null, found);
        else done(null, first.address, first.family);
      });
    },
  };
  return new Promise((done, fail) => {
    const request = url.protocol === 'https:' ? requestHttps(url, options) : requestHttp(url, options);
    // whatever comes after the answer has begun is for whoever reads it to wait for
    const late = begin === undefined ? undefined : setTimeout(() => request.destroy(slowProblem(url)), begin);
    request.on('response', (answer) => {
      clearTimeout(late);
      done(answer);
    });
    request.on('error', (error) => {
      clearTimeout(late);
      fail(error instanceof Problem ? error : failure(error, url, signal));
    });
    request.end();
  });
}

function slowProblem({ host }: URL): Problem {
  return new Problem(422, 'page-slow', `${host} took too long to answer. Try again later.`);
}

function failure(error: Error & { code?: string }, url: URL, signal: AbortSignal): Problem {
  if (signal.aborted) return slowProblem(url);
  const why = error.code === 'ENOTFOUND' ? 'There is no such host' : 'It gave no answer';
  return new Problem(422, 'page-failed', `${url.host} can’t be read. ${why}: check the address in a browser.`);
}
