import { orderByKeys } from '../store/order.js';
import { inParts, type Steps } from '../base/steps.js';

/** Ids that are mixed in one step. */
const mixedInAStep = 5000;

/**
 * Puts posts in an order that looks like chance but is the same for the same seed, step by step.
 * @param base  all posts by id: how ties fall
 */
export function* shuffle(
  size: number,
  idOf: (post: number) => string,
  base: Uint32Array,
  seed: string,
): Steps<Uint32Array> {
  const keys = new Float64Array(size);
  yield* inParts(size, mixedInAStep, (from, to) => {
    for (let p = from; p < to; p++) keys[p] = mixed(`${seed} ${idOf(p)}`);
  });
  return yield* orderByKeys(keys, base, 'asc');
}

/** A number that looks like chance but is the same for the same text: FNV-1a, then murmur3's finisher. */
function mixed(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}
