/*
 * Arrays of numbers and a piece of JSON in one run of bytes, so that an index can be kept and read back without being
 * made anew. Little-endian, as every machine this runs on is; each array starts at a multiple of 8, so that it can be
 * read where it lies.
 *
 *     0  magic           4 bytes each
 *     4  version
 *     8  length of all
 *    12  checksum of all that follows
 *    16  length of the JSON
 *    20  JSON, then the arrays in the order they were put
 */

import { inParts, type Steps } from '../base/steps.js';

declare const TextEncoder: new () => { encode(text: string): Uint8Array };
declare const TextDecoder: new () => { decode(bytes: Uint8Array): string };

const magic = 0x53_59_56_49;
const headSize = 20;

const kinds = {
  Uint8Array,
  Int16Array,
  Uint16Array,
  Uint32Array,
  Int32Array,
  Float64Array,
};
type Kind = keyof typeof kinds;
export type NumberArray = Uint8Array | Int16Array | Uint16Array | Uint32Array | Int32Array | Float64Array;

/** Bytes that are no snapshot, or no whole one. The message says what is wrong with them. */
export class DamagedSnapshot extends Error {}

interface Head {
  arrays: [kind: Kind, length: number][];
  body: unknown;
}

/**
 * Puts bytes together step by step, of arrays that do not change meanwhile.
 * @param version  of what is in it: bytes of another version are refused on reading
 */
export function* writeBytes(
  version: number,
  body: unknown,
  arrays: readonly NumberArray[],
): Steps<Uint8Array<ArrayBuffer>> {
  const head: Head = { arrays: arrays.map((array) => [kindOf(array), array.length]), body };
  const json = new TextEncoder().encode(JSON.stringify(head));
  let size = aligned(headSize + json.length);
  for (const array of arrays) size = aligned(size + array.byteLength);
  const bytes = new Uint8Array(size);
  bytes.set(json, headSize);
  let at = aligned(headSize + json.length);
  for (const array of arrays) {
    bytes.set(new Uint8Array(array.buffer, array.byteOffset, array.byteLength), at);
    at = aligned(at + array.byteLength);
    yield;
  }
  const words = new Uint32Array(bytes.buffer);
  words.set([magic, version, size, 0, json.length]);
  words[3] = yield* checking(words.subarray(4));
  return bytes;
}

/**
 * Takes bytes apart again, step by step. The arrays are views of the bytes, which must not be changed any more.
 * @throws {DamagedSnapshot}
 */
export function* readBytes(version: number, given: Uint8Array): Steps<{ body: unknown; arrays: NumberArray[] }> {
  // views need their own place in memory to start at a multiple of 8
  const bytes = given.byteOffset % 8 === 0 ? given : given.slice();
  if (bytes.length < headSize || bytes.length % 8 !== 0) throw new DamagedSnapshot('It is cut short.');
  const words = new Uint32Array(bytes.buffer, bytes.byteOffset, bytes.length / 4);
  if (words[0] !== magic) throw new DamagedSnapshot('It is not a snapshot of an index.');
  if (words[1] !== version) throw new DamagedSnapshot(`It is of version ${words[1]}, and ${version} is read here.`);
  if (words[2] !== bytes.length) throw new DamagedSnapshot('It is cut short, or has more than belongs to it.');
  if (words[3] !== (yield* checking(words.subarray(4))))
    throw new DamagedSnapshot('Its bytes are not as they were written.');
  const jsonEnd = headSize + words[4]!;
  const head = JSON.parse(new TextDecoder().decode(bytes.subarray(headSize, jsonEnd))) as Head;
  let at = aligned(jsonEnd);
  const arrays = head.arrays.map(([kind, length]) => {
    const array = new kinds[kind](bytes.buffer as ArrayBuffer, bytes.byteOffset + at, length);
    at = aligned(at + array.byteLength);
    return array;
  });
  return { body: head.body, arrays };
}

function kindOf(array: NumberArray): Kind {
  return Object.keys(kinds).find((kind) => array instanceof kinds[kind as Kind]) as Kind;
}

function aligned(at: number): number {
  return Math.ceil(at / 8) * 8;
}

/** Words that are looked at in one step. */
const checkedInAStep = 1 << 18;

/** FNV-1a (Fowler, Noll and Vo) over words of 32 bits: every step can be undone, so one changed word is always seen. */
function* checking(words: Uint32Array): Steps<number> {
  let hash = 0x811c9dc5 | 0;
  yield* inParts(words.length, checkedInAStep, (from, to) => (hash = hashed(hash, words, from, to)));
  return hash >>> 0;
}

function hashed(start: number, words: Uint32Array, from: number, to: number): number {
  let hash = start;
  for (let i = from; i < to; i++) hash = Math.imul(hash ^ words[i]!, 0x01000193);
  return hash;
}
