import type { IncomingMessage } from 'node:http';
import { brotliDecompressSync, gunzipSync, inflateSync } from 'node:zlib';
import { Problem } from '../problem/problem.js';
import { openOutside } from './open-outside.js';
import type { Reach } from './reach.js';

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

/**
 * Fetches a page that someone typed the address of, as text.
 * @throws Problem with what is wrong, in words
 */
export async function fetchOutside(address: string, reach: Reach, bounds: Bounds): Promise<Fetched> {
  const { url, answer } = await openOutside(address, reach, bounds);
  const { statusCode = 0, headers } = answer;
  if (statusCode < 200 || statusCode >= 300) {
    answer.destroy();
    throw new Problem(422, 'page-failed', `${url.host} answered ${statusCode}. Check the address in a browser.`);
  }
  const policy = [headers['content-security-policy'] ?? []].flat().join(', ');
  const text = await read(answer, bounds.bytes, url);
  return { address: url.href, type: headers['content-type'] ?? '', policy, text };
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
