import { noFlag, noWhole, type Values } from './values.js';
import type { Field } from '../../model/post.js';
import { gatherMapOf, type GatherMap } from './gather-map.js';
import { textAt } from './texts.js';
import { momentOf } from './order.js';

/** Some posts in their order: newest first, and those that are as old as each other by id. */
export interface Ordered {
  count: number;
  /** What the post at a place is ordered by, NaN for none. */
  keyAt: (place: number) => number;
  idAt: (place: number) => string;
}

/** What posts are ordered by when it is a number that says the same in any index; null when it is none such. */
export function keysOf(published: Field | undefined, values: Values | undefined): ((post: number) => number) | null {
  if (!published) return () => NaN;
  switch (values?.form) {
    case 'days':
    case 'wholes': {
      const { numbers } = values;
      const none = noWhole(numbers);
      return (post) => (numbers[post] === none ? NaN : numbers[post]!);
    }
    case 'numbers':
      return (post) => values.numbers[post]!;
    case 'flags':
      return (post) => (values.flags[post] === noFlag ? NaN : values.flags[post]!);
    case 'texts':
      // other texts are ordered by their place among all
      return published.type === 'datetime' ? (post) => momentOf(textAt(values.texts, post)) ?? NaN : null;
    case 'term':
    case 'terms':
    case undefined:
      return null;
  }
}

/**
 * Puts the added posts, which are few, among the old ones, each by halving.
 * @param posts  the old post at each place
 */
export function mergeOrder(old: Ordered, added: Ordered, posts: Uint32Array): GatherMap {
  const rows = new Int32Array(old.count + added.count);
  let [p, from] = [0, 0];
  for (let i = 0; i < added.count; i++) {
    const [key, id] = [added.keyAt(i), added.idAt(i)];
    let [low, high] = [from, old.count];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (isBefore(old.keyAt(middle), key, () => old.idAt(middle) < id)) low = middle + 1;
      else high = middle;
    }
    rows.set(posts.subarray(from, low), p);
    p += low - from;
    from = low;
    rows[p++] = ~i;
  }
  rows.set(posts.subarray(from, old.count), p);
  return gatherMapOf(rows);
}

function isBefore(a: number, b: number, isTieBefore: () => boolean): boolean {
  if (a === b || (Number.isNaN(a) && Number.isNaN(b))) return isTieBefore();
  return Number.isNaN(b) || a > b;
}
