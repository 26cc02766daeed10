import { lookup as resolveHost, type LookupAddress } from 'node:dns';
import { request as requestHttp, type IncomingMessage, type RequestOptions } from 'node:http';
import { request as requestHttps } from 'node:https';
import { brotliDecompressSync, gunzipSync, inflateSync } from 'node:zlib';
import { Problem } from '../problem/problem.js';
import { isAllowed, isPublic, literalOf, type Reach } from './reach.js';

/** What came from elsewhere. */
export interface Fetched {
  /** Where it came from in the end, after redirects. */
  address: string;
  type: string;
  /** What the server says the page may load and run; '' for nothing. */
  policy: string;
  text: string;
}

export interface Bounds {
  /** Bytes, packed and unpacked. */
  bytes: number;
  signal: AbortSignal;
  /** What is asked for, as an `Accept` header says it. */
  accept: string;
}

const mostRedirects = 5;

/**
 * Fetches an address that someone typed. Addresses of this machine and of private networks are refused, unless the owner
 * allows them: looked at after the name is resolved, when the connection is made, and again at each redirect.
 * @throws Problem with what is wrong, in words
 */
export async function fetchOutside(address: string, reach: Reach, bounds: Bounds): Promise<Fetched> {
  let url = readUrl(address);
  for (let hops = 0; hops <= mostRedirects; hops++) {
    const answer = await ask(url, reach, bounds);
    const { statusCode = 0, headers } = answer;
    if (statusCode >= 300 && statusCode < 400 && headers.location !== undefined) {
      answer.destroy();
      url = readUrl(headers.location, url);
      continue;
    }
    if (statusCode < 200 || statusCode >= 300) {
      answer.destroy();
      throw new Problem(422, 'page-failed', `${url.host} answered ${statusCode}. Check the address in a browser.`);
    }
    const policy = [headers['content-security-policy'] ?? []].flat().join(', ');
    const text = await read(answer, bounds.bytes, url);
    return { address: url.href, type: headers['content-type'] ?? '', policy, text };
  }
  throw new Problem(422, 'page-failed', `${url.host} sends from one address to another without end.`);
}

function readUrl(address: string, base?: URL): URL {
  const url = URL.canParse(address, base?.href) ? new URL(address, base) : null;
  if (url?.protocol !== 'http:' && url?.protocol !== 'https:') {
    throw new Problem(422, 'bad-page', 'Give the address of a page, such as https://example.org/news.');
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

function ask(url: URL, reach: Reach, { signal, accept }: Bounds): Promise<IncomingMessage> {
  const allowed = isAllowed(url, reach);
  const literal = literalOf(url);
  if (!allowed && literal !== null && !isPublic(literal)) return Promise.reject(refused(url));
  const options: RequestOptions = {
    signal,
    agent: false,
    headers: { accept, 'accept-encoding': 'gzip, deflate, br', 'user-agent': 'ivy-lens' },
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
    request.on('response', done);
    request.on('error', (error) => fail(error instanceof Problem ? error : failure(error, url, signal)));
    request.end();
  });
}

function failure(error: Error & { code?: string }, url: URL, signal: AbortSignal): Problem {
  if (signal.aborted) return new Problem(422, 'page-slow', `${url.host} took too long to answer. Try again later.`);
  const why = error.code === 'ENOTFOUND' ? 'There is no such host' : 'It gave no answer';
  return new Problem(422, 'page-failed', `${url.host} can’t be read. ${why}: check the address in a browser.`);
}

/** Reads a body whole, but no more of it than is allowed, packed or unpacked. */
async function read(answer: IncomingMessage, most: number, url: URL): Promise<string> {
  const tooLarge = () =>
    new Problem(422, 'page-too-large', `What ${url.host} sends is larger than ${most / 1_000_000} MB.`);
  const chunks: Buffer[] = [];
  let size = 0;
  try {
    for await (const chunk of answer as AsyncIterable<Buffer>) {
      size += chunk.length;
      if (size > most) throw tooLarge();
      chunks.push(chunk);
    }
    return decode(unpack(Buffer.concat(chunks), answer.headers['content-encoding'], most), answer);
  } catch (error) {
    if (error instanceof Problem) throw error;
    if ((error as { code?: string }).code === 'ERR_BUFFER_TOO_LARGE') throw tooLarge();
    throw new Problem(422, 'page-failed', `What ${url.host} sent broke off. Try again.`);
  } finally {
    answer.destroy();
  }
}

function unpack(body: Buffer, encoding: string | undefined, maxOutputLength: number): Buffer {
  if (encoding === 'gzip') return gunzipSync(body, { maxOutputLength });
  if (encoding === 'deflate') return inflateSync(body, { maxOutputLength });
  return encoding === 'br' ? brotliDecompressSync(body, { maxOutputLength }) : body;
}

function decode(body: Buffer, { headers }: IncomingMessage): string {
  const charset = /charset=["']?([\w-]+)/i.exec(headers['content-type'] ?? '')?.[1] ?? 'utf-8';
  try {
    return new TextDecoder(charset).decode(body);
  } catch {
    // a charset nobody knows: most pages are UTF-8 whatever they say
    return new TextDecoder().decode(body);
  }
}
