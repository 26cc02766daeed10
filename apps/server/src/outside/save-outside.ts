import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import type { IncomingMessage } from 'node:http';
import { Transform, type TransformCallback } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { Problem } from '../problem/problem.js';
import { openOutside, type Asking } from './open-outside.js';
import type { Reach } from './reach.js';

/** What an address answered, its body on disk. */
export interface Saved {
  /** Where it came from in the end. */
  address: string;
  /** 200 for a body that came, 304 for one that is as it was. */
  status: number;
  type: string;
  /** The `Link` header. */
  link: string;
  etag: string;
  modified: string;
  /** Bytes, unpacked. */
  size: number;
  /** Seconds after which the other side would like to be asked again; null where it does not say. */
  retryAfter: number | null;
}

export interface SaveBounds extends Asking {
  /** Bytes, packed and unpacked. */
  bytes: number;
  /** Milliseconds without a byte after which it is given up. */
  idle: number;
}

/** An answer that is no success, with what it says about when to ask again. */
export class FailedAnswer extends Problem {
  constructor(
    host: string,
    readonly answered: number,
    readonly retryAfter: number | null,
  ) {
    super(422, 'endpoint-failed', `${host} answered ${answered}${meaningOf(answered)}.`);
  }
}

/**
 * Fetches what is at an address into a file.
 * @throws Problem with what is wrong, in words; then there is no file
 */
export async function saveOutside(address: string, path: string, reach: Reach, bounds: SaveBounds): Promise<Saved> {
  const { url, answer } = await openOutside(address, reach, bounds);
  const { statusCode = 0, headers } = answer;
  const said = {
    address: url.href,
    type: headers['content-type'] ?? '',
    link: [headers.link ?? []].flat().join(', '),
    etag: headers.etag ?? '',
    modified: headers['last-modified'] ?? '',
    retryAfter: secondsIn(headers['retry-after']),
  };
  if (statusCode === 304) {
    answer.destroy();
    return { ...said, status: 304, size: 0 };
  }
  if (statusCode < 200 || statusCode >= 300) {
    answer.destroy();
    throw new FailedAnswer(url.host, statusCode, said.retryAfter);
  }
  try {
    const size = await save(answer, path, url, bounds);
    return { ...said, status: 200, size };
  } catch (error) {
    await rm(path, { force: true });
    throw error;
  }
}

async function save(
  answer: IncomingMessage,
  path: string,
  url: URL,
  { bytes, idle, signal }: SaveBounds,
): Promise<number> {
  const { host } = url;
  const tooLarge = () =>
    new Problem(422, 'page-too-large', `What ${host} sends is larger than ${Math.round(bytes / 1024 / 1024)} MB.`);
  const slow = () =>
    new Problem(422, 'page-slow', `${host} began to answer, and then sent nothing more. Try again later.`);
  let size = 0;
  const counting = () => {
    let seen = 0;
    return new Transform({
      transform(chunk: Buffer, _encoding, done: TransformCallback) {
        seen += chunk.length;
        size = seen;
        done(seen > bytes ? tooLarge() : null, chunk);
      },
    });
  };
  const unpacking = unpackerFor(answer.headers['content-encoding']);
  let isIdle = false;
  answer.setTimeout(idle, () => {
    isIdle = true;
    answer.destroy();
  });
  try {
    const to = createWriteStream(path);
    if (unpacking) await pipeline(answer, counting(), unpacking, counting(), to, { signal });
    else await pipeline(answer, counting(), to, { signal });
    // one that breaks off short of what it said it would send is no whole answer
    if (!answer.complete) throw new Error('broke off');
    return size;
  } catch (error) {
    if (error instanceof Problem) throw error;
    if (isIdle) throw slow();
    if (signal.aborted) throw new Problem(422, 'page-slow', `${host} took too long to answer. Try again later.`);
    throw new Problem(422, 'page-failed', `What ${host} sent broke off. Try again.`);
  } finally {
    answer.destroy();
  }
}

function unpackerFor(encoding: string | undefined): Transform | null {
  if (encoding === 'gzip' || encoding === 'x-gzip') return createGunzip();
  if (encoding === 'deflate') return createInflate();
  return encoding === 'br' ? createBrotliDecompress() : null;
}

/** Seconds of a `Retry-After`, which says those or a moment. */
function secondsIn(said: string | undefined): number | null {
  if (said === undefined) return null;
  if (/^\d+$/.test(said)) return Number(said);
  const moment = Date.parse(said);
  return Number.isNaN(moment) ? null : Math.max(0, Math.round((moment - Date.now()) / 1000));
}

function meaningOf(status: number): string {
  if (status === 401 || status === 403) return ': it wants a key, or another one. Give it as a header';
  if (status === 404 || status === 410) return ': there is nothing at this address. Check it in a browser';
  if (status === 429) return ': it was asked too often. It is asked again later';
  return status >= 500 ? ': something is wrong there. It is asked again later' : '';
}
