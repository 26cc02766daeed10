import { finished } from '../base/steps.js';
import { orderByKeys, sortKeys } from './order.js';
import type { Field } from '../../model/post.js';
import type { TermList } from './term-list.js';
import { compareTexts, type Texts } from './texts.js';
import type { Values } from './values.js';

/** The posts of a source, column by column, numbered newest first. Never changed once made. */
export interface PostStore {
  size: number;
  ids: Texts;
  /** Post numbers by id, ascending by code units: how all ties fall. */
  byId: Uint32Array;
  /** By field key. */
  values: ReadonlyMap<string, Values>;
}

/** The number of the post whose id is text `i` of some: found by halving, as ids are kept in order. */
export function postWithId({ ids, byId }: PostStore, texts: Texts, i: number): number | undefined {
  let [low, high] = [0, byId.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (compareTexts(ids, byId[middle]!, texts, i) < 0) low = middle + 1;
    else high = middle;
  }
  const post = byId[low];
  return post !== undefined && compareTexts(ids, post, texts, i) === 0 ? post : undefined;
}

// a plain loop: to map over typed arrays with a function is many times slower
export function placesOf(posts: Uint32Array, numberOf: Uint32Array): Uint32Array {
  const places = new Uint32Array(posts.length);
  for (let i = 0; i < posts.length; i++) places[i] = numberOf[posts[i]!]!;
  return places;
}

/** The order posts are numbered in. */
export function newestFirst(published: Field, values: Values, terms: TermList | null, byId: Uint32Array): Uint32Array {
  return finished(orderByKeys(finished(sortKeys(published, values, terms)), byId, 'desc'));
}
