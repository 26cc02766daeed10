// Makes packages/core/src/engine/kernel/bytes.ts: the engine's loops over sets of posts as a WebAssembly module, 128 bits at a
// time. `node tools/kernel.mjs` writes the file; a test holds the two together. The loops are written in the text format
// (WAT) of the WebAssembly core specification 2.0; what several share is put in by the functions below.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { root } from './root.mjs';
import wabt from 'wabt';

/** Runs `body` for as long as the address in `local` is below the one in `end`, moved on by `step` each time. */
const walk = (local, end, step, body) => `
  (block (loop
    ${get(local)} ${get(end)} i32.lt_u i32.eqz br_if 1
    ${body}
    ${moveOn(local, step)}
    br 0))`;
const get = (local) => `local.get $${local}`;
const moveOn = (local, step) => `${get(local)} i32.const ${step} i32.add local.set $${local}`;
/** Where the word stands that has the bit of the post in one local, of the set whose address is in another. */
const wordOf = (post, set) => `${get(post)} i32.const 5 i32.shr_u i32.const 2 i32.shl ${get(set)} i32.add`;
/** The sum of the four lanes of a vector. */
const sum = (local) =>
  [0, 1, 2, 3].map((n) => `${get(local)} i32x4.extract_lane ${n} ${n > 0 ? 'i32.add' : ''}`).join('\n');
/** Sets are a multiple of 64 bytes long, so that four vectors go by one look at the end and one widening. */
const stride = 64;
/** Adds the ones of four vectors to a local, widened from bytes to 32 bits; `vectorAt` puts each on the stack. */
const addOnes = (local, vectorAt) => `
  ${[0, 16, 32, 48].map((offset, i) => `${vectorAt(offset)} i8x16.popcnt ${i > 0 ? 'i8x16.add' : ''}`).join('\n')}
  i16x8.extadd_pairwise_i8x16_u i32x4.extadd_pairwise_i16x8_u
  ${get(local)} i32x4.add local.set $${local}`;

/** Joins two sets into a third by an instruction, and counts what is in it. */
const joinBy = (instruction) => `(param $a i32) (param $b i32) (param $out i32) (param $bytes i32) (result i32)
  (local $end i32) (local $ones v128) (local $joined v128)
  local.get $a local.get $bytes i32.add local.set $end
  ${walk(
    'a',
    'end',
    stride,
    `${addOnes(
      'ones',
      (offset) => `
        local.get $out
        local.get $a v128.load offset=${offset} local.get $b v128.load offset=${offset} ${instruction}
        local.tee $joined v128.store offset=${offset}
        local.get $joined`,
    )}
    ${moveOn('b', stride)} ${moveOn('out', stride)}`,
  )}
  ${sum('ones')}`;

/** Bytes of a list that are walked at a time. */
const posts = 512;

/**
 * Walks the posts from `$list` up to `$end`, some at a time, twice each time: first to read one number of each and forget it,
 * then to count. A processor that is to write a count waits with reading further numbers until it knows where; read
 * before, they come from memory many at once.
 * @param read   puts the number of the post whose address is in a local on the stack
 * @param count  counts the post at `$list`, given what reads its number
 * @param ahead  likewise as `read`, for reading ahead
 */
const inRuns = (read, count, ahead = read) => `
  ${walk(
    'list',
    'end',
    0,
    `local.get $list i32.const ${posts} i32.add local.tee $run local.get $end
    local.get $run local.get $end i32.lt_u select local.set $run
    local.get $list local.set $place
    ${walk('place', 'run', 4, `local.get $seen ${ahead('place')} i32.add local.set $seen`)}
    ${walk('list', 'run', 4, count(read('list')))}`,
  )}
  local.get $seen`;
/** The locals it works with. */
const ofRuns = '(local $run i32) (local $place i32) (local $seen i32)';
/** Fills counts with 0, and the one past them, where numbers that are none are counted. */
const zeroCounts = `
  local.get $counts i32.const 0
  local.get $most i32.const 1 i32.add i32.const 2 i32.shl
  memory.fill`;
/** The bit, 0 or 1, of a post in a word that is on the stack. */
const bitOf = (post) => `${get(post)} i32.shr_u i32.const 1 i32.and`;
/** Moves an address on by one number where a condition, 0 or 1, is on the stack above it. */
const moveOnIf = (local) => `i32.const 2 i32.shl i32.add local.set $${local}`;
/** Adds one to the count whose address is on the stack; it is kept in a local meanwhile. */
const countOne = (local) => `local.tee $${local} ${get(local)} i32.load i32.const 1 i32.add i32.store`;
/** Where the row stands of the post whose address is in a local. */
const rowOf = (post) => `${get(post)} i32.load local.get $row i32.mul local.get $rows i32.add`;
/** Where the starts of a post's numbers stand, by the post whose address is in a local. */
const startsOf = (post) => `${get(post)} i32.load i32.const 2 i32.shl local.get $starts i32.add local.tee $at`;
/** Where a number stands whose place among all is on the stack. */
const numberAt = 'i32.const 1 i32.shl local.get $numbers i32.add';

const functions = {
  and: joinBy('v128.and'),
  without: joinBy('v128.andnot'),
  or: joinBy('v128.or'),
  /** What `a` shares with each of some sets that lie in a row. */
  shared: `(param $a i32) (param $sets i32) (param $end i32) (param $bytes i32) (param $counts i32) (result i32)
    (local $place i32) (local $set_end i32) (local $ones v128)
    (block (loop
      local.get $sets local.get $end i32.lt_u i32.eqz br_if 1
      local.get $a local.set $place
      local.get $sets local.get $bytes i32.add local.set $set_end
      v128.const i32x4 0 0 0 0 local.set $ones
      ${walk(
        'sets',
        'set_end',
        stride,
        `${addOnes(
          'ones',
          (offset) => `local.get $place v128.load offset=${offset} local.get $sets v128.load offset=${offset} v128.and`,
        )}
        ${moveOn('place', stride)}`,
      )}
      local.get $counts ${sum('ones')} i32.store
      ${moveOn('counts', 4)}
      br 0))
    i32.const 0`,
  /** How many posts of each of some lists that lie in a row are in `a`. */
  listed: `(param $list i32) (param $ends i32) (param $last i32) (param $a i32) (param $counts i32) (result i32)
    (local $end i32) (local $hits i32) (local $post i32)
    ${walk(
      'ends',
      'last',
      4,
      `local.get $ends i32.load local.set $end
      i32.const 0 local.set $hits
      ${walk(
        'list',
        'end',
        4,
        `local.get $list i32.load local.set $post
        ${wordOf('post', 'a')} i32.load ${bitOf('post')} local.get $hits i32.add local.set $hits`,
      )}
      local.get $counts local.get $hits i32.store
      ${moveOn('counts', 4)}`,
    )}
    i32.const 0`,
  /** The posts of a set, ascending; gives the end of the list. Most of most sets is empty, and is passed over. */
  list: `(param $a i32) (param $bytes i32) (param $list i32) (result i32)
    (local $end i32) (local $first i32) (local $bits i64)
    local.get $a local.get $bytes i32.add local.set $end
    ${walk(
      'a',
      'end',
      16,
      `(block
        local.get $a v128.load v128.any_true i32.eqz br_if 0
        ${[0, 8]
          .map(
            (offset) => `
          local.get $a i64.load offset=${offset} local.set $bits
          (block (loop
            local.get $bits i64.eqz br_if 1
            local.get $list
            local.get $first ${offset > 0 ? 'i32.const 64 i32.add' : ''}
            local.get $bits i64.ctz i32.wrap_i64 i32.add i32.store
            ${moveOn('list', 4)}
            local.get $bits local.get $bits i64.const 1 i64.sub i64.and local.set $bits
            br 0))`,
          )
          .join('')})
      ${moveOn('first', 128)}`,
    )}
    local.get $list`,
  /**
   * The posts of a list that are in `a`; gives the end of what it wrote. Each is written down before it is known to stay: a
   * jump taken at random would cost more than the rest.
   */
  keep: `(param $list i32) (param $end i32) (param $a i32) (param $out i32) (result i32)
    (local $post i32)
    ${walk(
      'list',
      'end',
      4,
      `local.get $out local.get $list i32.load local.tee $post i32.store
      local.get $out ${wordOf('post', 'a')} i32.load ${bitOf('post')} ${moveOnIf('out')}`,
    )}
    local.get $out`,
  /** The places in a list, from 0 on, of the posts that are in `a`; gives the end of what it wrote. As \`keep\`. */
  places: `(param $list i32) (param $end i32) (param $a i32) (param $out i32) (result i32)
    (local $place i32) (local $post i32)
    ${walk(
      'list',
      'end',
      4,
      `local.get $out local.get $place i32.store
      local.get $list i32.load local.set $post
      local.get $out ${wordOf('post', 'a')} i32.load ${bitOf('post')} ${moveOnIf('out')}
      ${moveOn('place', 1)}`,
    )}
    local.get $out`,
  /** Puts the posts of a list into `a`. */
  mark: `(param $list i32) (param $end i32) (param $a i32) (result i32)
    (local $post i32) (local $word i32)
    ${walk(
      'list',
      'end',
      4,
      `local.get $list i32.load local.set $post
      ${wordOf('post', 'a')} local.tee $word
      local.get $word i32.load i32.const 1 local.get $post i32.shl i32.or i32.store`,
    )}
    i32.const 0`,
  /** How many posts of `a` come before each of some posts, which ascend. */
  before: `(param $a i32) (param $ends i32) (param $last i32) (param $counts i32) (result i32)
    (local $ones i32) (local $at i32) (local $post i32) (local $word i32)
    local.get $a local.set $at
    ${walk(
      'ends',
      'last',
      4,
      `local.get $ends i32.load local.set $post
      ${wordOf('post', 'a')} local.set $word
      ${walk('at', 'word', 4, 'local.get $ones local.get $at i32.load i32.popcnt i32.add local.set $ones')}
      local.get $counts
      local.get $ones
      local.get $word i32.load
      i32.const 1 local.get $post i32.shl i32.const 1 i32.sub i32.and i32.popcnt
      i32.add i32.store
      ${moveOn('counts', 4)}`,
    )}
    i32.const 0`,
  /** The places of the counts that are not 0; gives the end of what it wrote. Read four at a time, past the end. As `keep`. */
  found: `(param $counts i32) (param $end i32) (param $out i32) (result i32)
    (local $place i32)
    ${walk(
      'counts',
      'end',
      16,
      `(block
        local.get $counts v128.load v128.any_true i32.eqz br_if 0
        ${[0, 1, 2, 3]
          .map(
            (n) => `
          local.get $out local.get $place ${n > 0 ? `i32.const ${n} i32.add` : ''} i32.store
          local.get $out local.get $counts i32.load offset=${n * 4} i32.eqz i32.eqz ${moveOnIf('out')}`,
          )
          .join('')})
      ${moveOn('place', 4)}`,
    )}
    local.get $out`,
  /**
   * Counts the posts of a list by a 16-bit number each has, from 0 on; numbers of `most` and above are all counted as
   * `most`. What it gives means nothing.
   */
  walkOne: `(param $list i32) (param $end i32) (param $numbers i32) (param $most i32) (param $counts i32) (result i32)
    (local $number i32) ${ofRuns}
    ${zeroCounts}
    ${inRuns(
      (post) => `${get(post)} i32.load ${numberAt} i32.load16_u`,
      (read) => `
      ${read} local.tee $number local.get $most local.get $number local.get $most i32.lt_u select
      i32.const 2 i32.shl local.get $counts i32.add 
      ${countOne('number')}`,
    )}`,
  /**
   * Likewise for posts with several numbers, all below `most`: those of post `p` are from the `starts[p]`th up to the
   * `starts[p + 1]`th.
   */
  walkMany: `(param $list i32) (param $end i32) (param $starts i32) (param $numbers i32) (param $most i32) (param $counts i32)
    (result i32) (local $number i32) (local $numbers_end i32) (local $at i32) ${ofRuns}
    ${zeroCounts}
    ${inRuns(
      (post) => `${startsOf(post)} i32.load ${numberAt} local.tee $number i32.load16_u`,
      (read) => `
      ${read} drop
      local.get $at i32.load offset=4 ${numberAt} local.set $numbers_end
      ${walk(
        'number',
        'numbers_end',
        2,
        `local.get $number i32.load16_u i32.const 2 i32.shl local.get $counts i32.add 
        ${countOne('at')}`,
      )}`,
      // the first number and the last: a row may lie on two lines of the cache
      (post) => `
      ${startsOf(post)} i32.load ${numberAt} i32.load16_u
      local.get $at i32.load offset=4 ${numberAt} i32.const 2 i32.sub i32.load16_u i32.add`,
    )}`,
  /**
   * Likewise for posts with several numbers in rows of equal length, one after the other. Posts whose last number is `most`,
   * which is the highest, are written to `out`: they have further numbers elsewhere. Gives the end of what it wrote.
   */
  walkRows: `(param $list i32) (param $end i32) (param $rows i32) (param $row i32) (param $most i32) (param $counts i32)
    (param $out i32) (result i32) (local $number i32) (local $row_end i32) (local $count i32) ${ofRuns}
    ${zeroCounts}
    ${inRuns(
      (post) => `${rowOf(post)} i32.load16_u`,
      () => `
      ${rowOf('list')} local.tee $number local.get $row i32.add local.set $row_end
      ${
        // eight in a row: how many there are is the same for all posts, and no jump is taken at random
        walk(
          'number',
          'row_end',
          16,
          [0, 2, 4, 6, 8, 10, 12, 14]
            .map(
              (offset) => `
            local.get $number i32.load16_u offset=${offset} i32.const 2 i32.shl local.get $counts i32.add 
            ${countOne('count')}`,
            )
            .join(''),
        )
      }
      local.get $out local.get $list i32.load i32.store
      local.get $out local.get $row_end i32.const 2 i32.sub i32.load16_u local.get $most i32.eq ${moveOnIf('out')}`,
    )}
    drop local.get $out`,
};

/** The module in the text format: it works on a memory it is given, and exports the functions above. */
export function kernelText() {
  const all = Object.entries(functions).map(([name, body]) => `(func (export "${name}") ${body})`);
  return `(module (import "on" "memory" (memory 0))\n${all.join('\n')})`;
}

/** The module as bytes. */
export async function makeKernel() {
  const { parseWat } = await wabt();
  const parsed = parseWat('kernel.wat', kernelText(), { simd: true, bulk_memory: true });
  return parsed.toBinary({}).buffer;
}

/** The source file that carries the module, laid out as all our files are. */
export async function kernelSource() {
  const bytes = await makeKernel();
  const text = `// Made by tools/kernel.mjs, which says what is in it.\nexport const kernelBytes: readonly number[] = [${bytes.join(',')}];\n`;
  return format(text, { ...(await resolveConfig(kernelFile)), filepath: kernelFile });
}

export const kernelFile = join(root, 'packages/core/src/engine/kernel/bytes.ts');

if (process.argv[1] === import.meta.filename) writeFileSync(kernelFile, await kernelSource());
