import { kernelBytes } from './bytes.js';

/**
 * The engine's loops over sets of posts in WebAssembly, 128 bits at a time: ten to twenty times as quick as the same in
 * plain code. All take addresses in the memory the kernel is on, and lengths in bytes; sets are a multiple of 64 long.
 * `tools/kernel.mjs` makes it and says what each does.
 */
export interface Kernel {
  /** Puts what is in both sets into `out`, and gives how many posts that is; likewise `without` and `or`. */
  and(this: void, a: number, b: number, out: number, bytes: number): number;
  without(this: void, a: number, b: number, out: number, bytes: number): number;
  or(this: void, a: number, b: number, out: number, bytes: number): number;
  /** Writes to `counts` how many posts `a` shares with each of the sets from `sets` up to `end`. */
  shared(this: void, a: number, sets: number, end: number, bytes: number, counts: number): void;
  /** Writes to `counts` how many posts are in `a` of each list; `ends` up to `endOfEnds` tells where each list ends. */
  listed(this: void, lists: number, ends: number, endOfEnds: number, a: number, counts: number): void;
  /** Writes the posts of a set to `list`, ascending, and gives where that ends. */
  list(this: void, a: number, bytes: number, list: number): number;
  /** Writes the posts of a list that are in `a` to `out`, and gives where that ends. */
  keep(this: void, list: number, end: number, a: number, out: number): number;
  /** Likewise the places in the list, from 0 on, of the posts that are in `a`. */
  places(this: void, list: number, end: number, a: number, out: number): number;
  /** Puts the posts of a list into `a`. */
  mark(this: void, list: number, end: number, a: number): void;
  /** Writes to `counts` how many posts of `a` come before each post of `ends`, which ascend up to `endOfEnds`. */
  before(this: void, a: number, ends: number, endOfEnds: number, counts: number): void;
  /** Writes the places of the counts that are not 0 to `out`, and gives where that ends; `end` is taken up to a 16th. */
  found(this: void, counts: number, end: number, out: number): number;
  /** Counts the posts of a list by a 16-bit number each has, from 0 on; those of `most` and above all as `most`. */
  walkOne(this: void, list: number, end: number, numbers: number, most: number, counts: number): void;
  /**
   * Likewise for posts with several numbers, all below `most`: those of post `p` are from the `starts[p]`th up to the
   * `starts[p + 1]`th.
   */
  walkMany(this: void, list: number, end: number, starts: number, numbers: number, most: number, counts: number): void;
  /**
   * Likewise for posts with several numbers, none above `most`, in rows of `bytes` each, a multiple of 16. Writes those
   * whose last number is `most` to `out`, and gives where that ends.
   */
  walkRows(
    this: void,
    list: number,
    end: number,
    rows: number,
    bytes: number,
    most: number,
    counts: number,
    out: number,
  ): number;
}

/** The part of the WebAssembly interface that is used: this room knows neither browser nor Node. */
interface Assembly {
  Module: new (bytes: Uint8Array) => object;
  Memory: new (size: { initial: number; maximum: number }) => { buffer: ArrayBuffer };
  Instance: new (module: object, imports: object) => { exports: object };
}

const pageBytes = 65_536;

let compiled: object | null | undefined;

/**
 * A kernel and the memory it is on, all of it zero.
 * @param bytes  how much memory; what is never written to takes none
 * @returns null where there is no WebAssembly with vectors, where a page's policy forbids it, or where no memory is left
 */
export function makeKernel(bytes: number): { kernel: Kernel; buffer: ArrayBuffer } | null {
  const assembly = (globalThis as { WebAssembly?: Assembly }).WebAssembly;
  if (!assembly || compiled === null) return null;
  const pages = Math.ceil(bytes / pageBytes);
  try {
    compiled ??= new assembly.Module(Uint8Array.from(kernelBytes));
  } catch {
    compiled = null;
    return null;
  }
  try {
    const memory = new assembly.Memory({ initial: pages, maximum: pages });
    const { exports } = new assembly.Instance(compiled, { on: { memory } });
    return { kernel: exports as Kernel, buffer: memory.buffer };
  } catch {
    return null;
  }
}
