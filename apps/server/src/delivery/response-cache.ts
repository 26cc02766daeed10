import { Lru } from '@ivy/core';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';

const pack = promisify(gzip);

/** A body as it is sent: plain, and packed for all who can read that. */
export interface ResponseBody {
  plain: Buffer;
  gzip: Buffer;
}

/** Bytes up to which a body is packed with less room to look back in: to make room takes longer than to pack it. */
const small = 16 * 1024;
const forSmall = { level: 2, windowBits: 13, memLevel: 7, chunkSize: 8192 };
const forLarge = { level: 5 };

/** Writes a body out. It is packed off the main thread. */
export async function writeBody(body: object): Promise<ResponseBody> {
  const plain = Buffer.from(JSON.stringify(body));
  return { plain, gzip: await pack(plain, plain.length <= small ? forSmall : forLarge) };
}

/**
 * Bodies that were asked for of late, by what they answer.
 * @param mostBytes  of all bodies together
 */
export function responseCache(mostBytes: number): Lru<string, ResponseBody> {
  return new Lru(mostBytes, (name, { plain, gzip: packed }) => name.length * 2 + plain.length + packed.length);
}
