// What a WebAssembly module is written in, as arrays of bytes: numbers, sections and the opcodes that tools/kernel.mjs uses.
// After the WebAssembly core specification 2.0: the binary format and the vector instructions.

export const unsigned = (n) => (n < 128 ? [n] : [(n & 127) | 128, ...unsigned(n >>> 7)]);
const signed = (n) => (n >= -64 && n < 64 ? [n & 127] : [(n & 127) | 128, ...signed(n >> 7)]);
export const vector = (items) => [...unsigned(items.length), ...items.flat()];
export const section = (id, bytes) => [id, ...unsigned(bytes.length), ...bytes];
export const name = (text) => vector([...Buffer.from(text)].map((byte) => [byte]));

export const i32 = 0x7f;
export const i64 = 0x7e;
export const v128 = 0x7b;
export const get = (local) => [0x20, local];
export const set = (local) => [0x21, local];
export const tee = (local) => [0x22, local];
export const number = (n) => [0x41, ...signed(n)];
const simd = (code) => [0xfd, ...unsigned(code)];
/** Loads and stores: how they are aligned (as a power of two), and an offset of nothing. */
const at = (align) => [align, 0];
export const add = 0x6a;
export const and = 0x71;
export const or = 0x72;
export const ones = 0x69;
export const shiftLeft = 0x74;
export const shiftRight = 0x76;
export const below = 0x49;
export const load = [0x28, ...at(2)];
export const loadFrom = (offset) => [0x28, 2, offset];
export const load16 = [0x2f, ...at(1)];
export const subtract = 0x6b;
export const equalsZero = 0x45;
export const equals = 0x46;
export const multiply = 0x6c;
export const select = 0x1b;
export const drop = 0x1a;
export const store = [0x36, ...at(2)];
export const long = {
  load: (offset) => [0x29, 3, offset],
  one: [0x42, 1],
  equalsZero: 0x50,
  trailingZeros: 0x7a,
  subtract: 0x7d,
  and: 0x83,
  toInt: 0xa7,
};
export const wide = {
  load: (offset) => [...simd(0), 4, ...unsigned(offset)],
  store: (offset) => [...simd(11), 4, ...unsigned(offset)],
  zero: [...simd(12), ...Array(16).fill(0)],
  and: simd(0x4e),
  without: simd(0x4f),
  or: simd(0x50),
  any: simd(0x53),
  /** Ones in each byte. */
  ones: simd(0x62),
  addBytes: simd(0x6e),
  /** Neighbours added twice: from bytes to 32 bits. */
  widen: [...simd(0x7d), ...simd(0x7f)],
  add: simd(0xae),
  lane: (n) => [...simd(0x1b), n],
};
