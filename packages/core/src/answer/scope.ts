import { andBits, clearBit, eachBit, fullBits, setBit, type Bits } from '../engine/base/bits.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { postsUnder } from '../engine/columns/term-column.js';
import type { NarrowedScope } from '../lens/for-page.js';
import type { Lens } from '../lens/lens.js';

/**
 * The posts a lens sees. `where` entries combine by AND, the terms of one by OR; then `exclude` takes single
 * posts away; then `limit` keeps the newest; then `within` narrows what is left, as `where` does.
 */
export function scopeOf(index: PostIndex, { where, exclude, limit, within = [] }: NarrowedScope): Bits {
  let scope = fullBits(index.size);
  const narrow = ({ field, is }: Lens['scope']['where'][number]) => {
    const column = index.column(field);
    const terms = is.flatMap((slug) => column.numbers.get(slug) ?? []);
    scope = andBits(scope, postsUnder(column, terms).bits);
  };
  where.forEach(narrow);
  for (const id of exclude) {
    const post = index.numberOf(id);
    if (post !== undefined) clearBit(scope, post);
  }
  if (limit !== undefined) scope = firstBits(scope, limit);
  within.forEach(narrow);
  return scope;
}

function firstBits(bits: Bits, limit: number): Bits {
  const result = new Int32Array(bits.length);
  let kept = 0;
  eachBit(bits, (post) => {
    if (kept++ >= limit) return false;
    setBit(result, post);
    return true;
  });
  return result;
}
