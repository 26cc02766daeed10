import { andBits, clearBit, eachBit, fullBits, hasBit, setBit, type Bits } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { postsUnder } from '../engine/columns/term-column.js';
import type { NarrowedScope } from '../lens/for-page.js';
import type { Lens } from '../lens/lens.js';

/**
 * The posts a lens sees. `where` entries combine by AND, the terms of one by OR; then `include` adds single posts and
 * `exclude` takes some away; then `limit` keeps those that were added and the newest besides; then `within` narrows what is left, as `where` does.
 */
export function scopeOf(index: PostIndex, { where, include, exclude, limit, within = [] }: NarrowedScope): Bits {
  let scope = fullBits(index.size);
  const narrow = ({ field, is }: Lens['scope']['where'][number]) => {
    const column = index.column(field);
    const terms = is.flatMap((slug) => column.numbers.get(slug) ?? []);
    scope = andBits(scope, postsUnder(column, terms).bits);
  };
  where.forEach(narrow);
  const byHand = numbersOf(index, include);
  for (const post of byHand) setBit(scope, post);
  for (const id of exclude) {
    const post = index.numberOf(id);
    if (post !== undefined) clearBit(scope, post);
  }
  if (limit !== undefined) scope = newest(scope, limit, byHand);
  within.forEach(narrow);
  return scope;
}

/** The numbers of posts, in the order of their ids; those that are not there are passed over. */
export function numbersOf(index: PostIndex, ids: readonly string[]): number[] {
  return [...new Set(ids)].flatMap((id) => index.numberOf(id) ?? []);
}

/** So many posts of a set: first those that are in it by hand, then the newest. */
function newest(bits: Bits, limit: number, byHand: readonly number[]): Bits {
  const result = new Int32Array(bits.length);
  let kept = 0;
  const keep = (post: number) => {
    if (kept >= limit) return false;
    if (!hasBit(result, post)) kept++;
    setBit(result, post);
    return true;
  };
  for (const post of [...byHand].sort((a, b) => a - b)) if (hasBit(bits, post)) keep(post);
  eachBit(bits, keep);
  return result;
}
