import { putAmong } from '../base/put-among.js';
import type { Steps } from '../base/steps.js';
import { noFlag, noWhole, type Values } from './values.js';
import type { Field } from '../../model/post.js';
import { gatherMapOf, type GatherMap } from './gather-map.js';
import { textAt } from './texts.js';
import { momentOf } from './order.js';

/** What posts are ordered by: newest first, and those that are as old as each other by id. */
export interface Ordered {
  /** NaN for none. */
  keyAt: (post: number) => number;
  idAt: (post: number) => string;
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
 * Puts the added posts, which are few, among the old ones.
 * @param posts  the old ones in their order
 */
export function* mergeOrder(old: Ordered, added: Ordered, posts: Uint32Array, count: number): Steps<GatherMap> {
  const few = Int32Array.from({ length: count }, (_, i) => ~i);
  const keys = Float64Array.from(few, (other) => added.keyAt(~other));
  const rows = yield* putAmong(posts, few, (post, other) =>
    isBefore(old.keyAt(post), keys[~other]!, () => old.idAt(post) < added.idAt(~other)),
  );
  yield;
  return gatherMapOf(rows);
}

function isBefore(a: number, b: number, isTieBefore: () => boolean): boolean {
  if (a === b || (Number.isNaN(a) && Number.isNaN(b))) return isTieBefore();
  return Number.isNaN(b) || a > b;
}
