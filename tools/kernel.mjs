// Makes packages/core/src/engine/kernel/bytes.ts: the engine's loops over sets of posts as a WebAssembly module, 128 bits at a
// time. `node tools/kernel.mjs` writes the file; a test holds the two together. Written out in opcodes, since a dozen short
// loops want no toolchain: tools/opcodes.mjs has what is used of them.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import {
  add,
  and,
  below,
  drop,
  equals,
  equalsZero,
  get,
  i32,
  i64,
  load,
  load16,
  loadFrom,
  long,
  multiply,
  name,
  number,
  ones,
  or,
  section,
  select,
  set,
  shiftLeft,
  shiftRight,
  store,
  subtract,
  tee,
  unsigned,
  v128,
  vector,
  wide,
} from './opcodes.mjs';
import { root } from './root.mjs';

/** Runs `body` for as long as the address in `local` is below the one in `end`, moved on by `step` each time. */
const walk = (local, end, step, body) => [
  ...[0x02, 0x40, 0x03, 0x40],
  ...[...get(local), ...get(end), below, equalsZero, 0x0d, 1],
  ...body,
  ...[...get(local), ...number(step), add, ...set(local)],
  ...[0x0c, 0, 0x0b, 0x0b],
];
const moveOn = (local, step) => [...get(local), ...number(step), add, ...set(local)];
/** Where the word stands that has the bit of the post in one local, of the set whose address is in another. */
const wordOf = (post, a) => [...get(post), ...number(5), shiftRight, ...number(2), shiftLeft, ...get(a), add];
const sum = (local) => [0, 1, 2, 3].flatMap((n) => [...get(local), ...wide.lane(n), ...(n > 0 ? [add] : [])]);
/** Sets are a multiple of 64 bytes long, so that four vectors go by one look at the end and one widening. */
const stride = 64;
/** Adds the ones of four vectors to a local; `vectorAt` puts each on the stack. */
const addOnes = (local, vectorAt) => [
  ...[0, 16, 32, 48].flatMap((offset, i) => [...vectorAt(offset), ...wide.ones, ...(i > 0 ? wide.addBytes : [])]),
  ...[...wide.widen, ...get(local), ...wide.add, ...set(local)],
];

/** `(a, b, out, bytes) → ones`: joins two sets into a third by `how`, and counts what is in it. */
const join2 = (how) => ({
  takes: 4,
  locals: [
    [1, i32],
    [2, v128],
  ],
  // 4: end of a, 5: ones so far, 6: what is joined
  body: [
    ...[...get(0), ...get(3), add, ...set(4)],
    ...walk(0, 4, stride, [
      ...addOnes(5, (offset) => [
        ...[...get(2), ...get(0), ...wide.load(offset), ...get(1), ...wide.load(offset), ...how],
        ...[...tee(6), ...wide.store(offset), ...get(6)],
      ]),
      ...[...moveOn(1, stride), ...moveOn(2, stride)],
    ]),
    ...sum(5),
  ],
});

/**
 * Walks the posts from the address in local 0 up to that in local 1, some at a time, twice each time: first to read one
 * number of each and forget it, then to count. A processor that is to write a count waits with reading further numbers
 * until it knows where; read before, they come from memory many at once.
 * @param locals  the first of three it may use: end of the run, place in it, what was read
 * @param read    puts the number of the post whose address is in a local on the stack
 * @param count   counts the post at local 0, given what reads its number
 * @param ahead   likewise as `read`, for reading ahead
 */
const inRuns = (locals, read, count, ahead = read) => {
  const [end, place, seen] = [locals, locals + 1, locals + 2];
  return [
    ...walk(0, 1, 0, [
      ...[...get(0), ...number(posts), add, ...tee(end), ...get(1), ...get(end), ...get(1), below, select, ...set(end)],
      ...[...get(0), ...set(place)],
      ...walk(place, end, 4, [...get(seen), ...ahead(place), add, ...set(seen)]),
      ...walk(0, end, 4, count(read(0))),
    ]),
    ...get(seen),
  ];
};
/** Fills counts with 0, and the one past them, where numbers that are none are counted. */
const zeroCounts = (most, counts) => [
  ...[...get(counts), ...number(0), ...get(most), ...number(1), add, ...number(2), shiftLeft],
  ...[0xfc, 11, 0],
];
/** Where the row stands of the post whose address is in a local, for `walkRows`. */
const rowOf = (post) => [...get(post), ...load, ...get(3), multiply, ...get(2), add];
/** Bytes of a list that are walked at a time. */
const posts = 512;

const functions = {
  and: join2(wide.and),
  without: join2(wide.without),
  or: join2(wide.or),
  /** `(a, sets, ends of sets, bytes, counts) → 0`: what `a` shares with each of some sets that lie in a row. */
  shared: {
    takes: 5,
    locals: [
      [2, i32],
      [1, v128],
    ],
    // 5: place in a, 6: end of this set, 7: ones so far
    body: [
      ...[0x02, 0x40, 0x03, 0x40, ...get(1), ...get(2), below, equalsZero, 0x0d, 1],
      ...[...get(0), ...set(5), ...get(1), ...get(3), add, ...set(6), ...wide.zero, ...set(7)],
      ...walk(1, 6, stride, [
        ...addOnes(7, (offset) => [...get(5), ...wide.load(offset), ...get(1), ...wide.load(offset), ...wide.and]),
        ...moveOn(5, stride),
      ]),
      ...[...get(4), ...sum(7), ...store, ...moveOn(4, 4)],
      ...[0x0c, 0, 0x0b, 0x0b],
      ...number(0),
    ],
  },
  /** `(list, ends, end of ends, a, counts) → 0`: how many posts of each of some lists that lie in a row are in `a`. */
  listed: {
    takes: 5,
    locals: [[3, i32]],
    // 5: end of this list, 6: hits so far, 7: post
    body: [
      ...walk(1, 2, 4, [
        ...[...get(1), ...load, ...set(5), ...number(0), ...set(6)],
        ...walk(0, 5, 4, [
          ...[...get(0), ...load, ...set(7), ...wordOf(7, 3), ...load],
          ...[...get(7), shiftRight, ...number(1), and, ...get(6), add, ...set(6)],
        ]),
        ...[...get(4), ...get(6), ...store, ...moveOn(4, 4)],
      ]),
      ...number(0),
    ],
  },
  /** `(a, bytes, list) → end of list`: the posts of a set, ascending. Most of most sets is empty, and is passed over. */
  list: {
    takes: 3,
    locals: [
      [2, i32],
      [1, i64],
    ],
    // 3: end of a, 4: post of the first bit of 128, 5: the bits that are left of 64
    body: [
      ...[...get(0), ...get(1), add, ...set(3)],
      ...walk(0, 3, 16, [
        ...[0x02, 0x40, ...get(0), ...wide.load(0), ...wide.any, equalsZero, 0x0d, 0],
        ...[0, 8].flatMap((offset) => [
          ...[...get(0), ...long.load(offset), ...set(5)],
          ...[0x02, 0x40, 0x03, 0x40, ...get(5), long.equalsZero, 0x0d, 1],
          ...[...get(2), ...get(4), ...(offset > 0 ? [...number(64), add] : [])],
          ...[...get(5), long.trailingZeros, long.toInt, add, ...store, ...moveOn(2, 4)],
          ...[...get(5), ...get(5), ...long.one, long.subtract, long.and, ...set(5)],
          ...[0x0c, 0, 0x0b, 0x0b],
        ]),
        0x0b,
        ...moveOn(4, 128),
      ]),
      ...get(2),
    ],
  },
  /** `(list, end of list, a, out) → end of out`: the posts of a list that are in `a`. */
  keep: {
    takes: 4,
    locals: [[1, i32]],
    // 4: post. Each is written down before it is known to stay: a jump taken at random would cost more than the rest
    body: [
      ...walk(0, 1, 4, [
        ...[...get(3), ...get(0), ...load, ...tee(4), ...store],
        ...[...get(3), ...wordOf(4, 2), ...load, ...get(4), shiftRight, ...number(1), and],
        ...[...number(2), shiftLeft, add, ...set(3)],
      ]),
      ...get(3),
    ],
  },
  /** `(list, end of list, a, out) → end of out`: the places in a list, from 0 on, of the posts that are in `a`. */
  places: {
    takes: 4,
    locals: [[2, i32]],
    // 4: place, 5: post
    body: [
      ...walk(0, 1, 4, [
        ...[...get(3), ...get(4), ...store, ...get(0), ...load, ...set(5)],
        ...[...get(3), ...wordOf(5, 2), ...load, ...get(5), shiftRight, ...number(1), and],
        ...[...number(2), shiftLeft, add, ...set(3)],
        ...moveOn(4, 1),
      ]),
      ...get(3),
    ],
  },
  /** `(list, end of list, a) → 0`: puts the posts of a list into `a`. */
  mark: {
    takes: 3,
    locals: [[2, i32]],
    // 3: post, 4: where its word stands
    body: [
      ...walk(0, 1, 4, [
        ...[...get(0), ...load, ...set(3), ...wordOf(3, 2), ...tee(4)],
        ...[...get(4), ...load, ...number(1), ...get(3), shiftLeft, or, ...store],
      ]),
      ...number(0),
    ],
  },
  /** `(a, ends, end of ends, counts) → 0`: how many posts of `a` come before each of some posts, which ascend. */
  before: {
    takes: 4,
    locals: [[4, i32]],
    // 4: ones so far, 5: where in a, 6: post, 7: where its word stands
    body: [
      ...[...get(0), ...set(5)],
      ...walk(1, 2, 4, [
        ...[...get(1), ...load, ...set(6), ...wordOf(6, 0), ...set(7)],
        ...walk(5, 7, 4, [...get(4), ...get(5), ...load, ones, add, ...set(4)]),
        ...[...get(3), ...get(4), ...get(7), ...load],
        ...[...number(1), ...get(6), shiftLeft, ...number(1), subtract, and, ones, add, ...store],
        ...moveOn(3, 4),
      ]),
      ...number(0),
    ],
  },
  /** `(counts, end, out) → end of out`: the places of the counts that are not 0. Read four at a time, past the end. */
  found: {
    takes: 3,
    locals: [[1, i32]],
    // 3: place. Each is written down before it is known to stay, as in `keep`
    body: [
      ...walk(0, 1, 16, [
        ...[0x02, 0x40, ...get(0), ...wide.load(0), ...wide.any, equalsZero, 0x0d, 0],
        ...[0, 4, 8, 12].flatMap((offset) => [
          ...[...get(2), ...get(3), ...(offset > 0 ? [...number(offset / 4), add] : []), ...store],
          ...[
            ...get(2),
            ...get(0),
            ...loadFrom(offset),
            equalsZero,
            equalsZero,
            ...number(2),
            shiftLeft,
            add,
            ...set(2),
          ],
        ]),
        0x0b,
        ...moveOn(3, 4),
      ]),
      ...get(2),
    ],
  },
  /**
   * `(list, end of list, numbers, most, counts) → anything`: counts the posts of a list by a 16-bit number each has, from
   * 0 on; numbers of `most` and above are all counted as `most`.
   */
  walkOne: {
    takes: 5,
    locals: [[4, i32]],
    // 5: number, then where it is counted, 6 to 8: as `inRuns` says
    body: [
      ...zeroCounts(3, 4),
      ...inRuns(
        6,
        (post) => [...get(post), ...load, ...number(1), shiftLeft, ...get(2), add, ...load16],
        (read) => [
          ...[...read, ...tee(5), ...get(3), ...get(5), ...get(3), below, select],
          ...[...number(2), shiftLeft, ...get(4), add, ...tee(5)],
          ...[...get(5), ...load, ...number(1), add, ...store],
        ],
      ),
    ],
  },
  /**
   * `(list, end of list, starts, numbers, most, counts) → anything`: likewise for posts with several numbers, all below
   * `most`: those of post `p` are from the `starts[p]`th up to the `starts[p + 1]`th.
   */
  walkMany: {
    takes: 6,
    locals: [[6, i32]],
    // 6: where a number stands, 7: where the post's numbers end, 8: where its starts stand, then where it is counted,
    // 9 to 11: as `inRuns` says
    body: [
      ...zeroCounts(4, 5),
      ...inRuns(
        9,
        (post) => [
          ...[...get(post), ...load, ...number(2), shiftLeft, ...get(2), add, ...tee(8)],
          ...[...load, ...number(1), shiftLeft, ...get(3), add, ...tee(6), ...load16],
        ],
        (read) => [
          ...[...read, drop],
          ...[...get(8), ...loadFrom(4), ...number(1), shiftLeft, ...get(3), add, ...set(7)],
          ...walk(6, 7, 2, [
            ...[...get(6), ...load16, ...number(2), shiftLeft, ...get(5), add, ...tee(8)],
            ...[...get(8), ...load, ...number(1), add, ...store],
          ]),
        ],
        // the first number and the last: a row may lie on two lines of the cache
        (post) => [
          ...[...get(post), ...load, ...number(2), shiftLeft, ...get(2), add, ...tee(8)],
          ...[...load, ...number(1), shiftLeft, ...get(3), add, ...load16],
          ...[
            ...get(8),
            ...loadFrom(4),
            ...number(1),
            shiftLeft,
            ...get(3),
            add,
            ...number(2),
            subtract,
            ...load16,
            add,
          ],
        ],
      ),
    ],
  },
  /**
   * `(list, end of list, rows, bytes of a row, most, counts, out) → end of out`: likewise for posts with several numbers
   * in rows of equal length, one after the other. Posts whose last number is `most`, which is the highest, are written
   * to `out`: they have further numbers elsewhere.
   */
  walkRows: {
    takes: 7,
    locals: [[6, i32]],
    // 7: where a number stands, 8: where the row ends, 9: where the number is counted, 10 to 12: as `inRuns` says
    body: [
      ...zeroCounts(4, 5),
      ...inRuns(
        10,
        (post) => [...rowOf(post), ...load16],
        () => [
          ...[...rowOf(0), ...tee(7), ...get(3), add, ...set(8)],
          // eight in a row: how many there are is the same for all posts, and no jump is taken at random
          ...walk(
            7,
            8,
            16,
            [0, 2, 4, 6, 8, 10, 12, 14].flatMap((offset) => [
              ...[...get(7), 0x2f, 1, offset, ...number(2), shiftLeft, ...get(5), add, ...tee(9)],
              ...[...get(9), ...load, ...number(1), add, ...store],
            ]),
          ),
          // as in `keep`: written down before it is known to have more
          ...[...get(6), ...get(0), ...load, ...store],
          ...[...get(6), ...get(8), ...number(2), subtract, ...load16, ...get(4), equals],
          ...[...number(2), shiftLeft, add, ...set(6)],
        ],
      ),
      ...[drop, ...get(6)],
    ],
  },
};

/** The module as bytes: it works on a memory it is given, and exports the functions above. */
export function makeKernel() {
  const all = Object.entries(functions);
  const type = ({ takes }) => [0x60, ...vector(Array(takes).fill([i32])), ...vector([[i32]])];
  const code = ({ locals, body }) => {
    const bytes = [...vector(locals.map(([count, kind]) => [count, kind])), ...body, 0x0b];
    return [...unsigned(bytes.length), ...bytes];
  };
  return Uint8Array.from([
    ...[0x00, 0x61, 0x73, 0x6d, 0x01, 0x00, 0x00, 0x00],
    ...section(1, vector(all.map(([, one]) => type(one)))),
    ...section(2, vector([[...name('on'), ...name('memory'), 0x02, 0x00, 0x00]])),
    ...section(3, vector(all.map((_, i) => [i]))),
    ...section(7, vector(all.map(([key], i) => [...name(key), 0x00, i]))),
    ...section(10, vector(all.map(([, one]) => code(one)))),
  ]);
}

/** The source file that carries the module, laid out as all our files are. */
export async function kernelSource() {
  const text = `// Made by tools/kernel.mjs, which says what is in it.\nexport const kernelBytes: readonly number[] = [${makeKernel().join(',')}];\n`;
  return format(text, { ...(await resolveConfig(kernelFile)), filepath: kernelFile });
}

export const kernelFile = join(root, 'packages/core/src/engine/kernel/bytes.ts');

if (process.argv[1] === import.meta.filename) writeFileSync(kernelFile, await kernelSource());
