import { orderByKeys, sortKeys } from '../index/order.js';
import { fieldWithRole, type Field, type Post } from '../model/post.js';
import { packTexts, pickTexts, type Texts } from './texts.js';
import type { TermList } from './term-list.js';
import { packValues, pickValues, type Values } from './values.js';

/** The posts of a source, column by column, numbered newest first. Never changed once made. */
export interface PostStore {
  size: number;
  ids: Texts;
  /** Post numbers by id, ascending by code units: how all ties fall. */
  byId: Uint32Array;
  /** By field key. */
  values: ReadonlyMap<string, Values>;
}

/**
 * Takes posts apart into columns. Newest first is by the field with the published role, ties by id.
 * @param termsOf  the terms of a field of terms
 */
export function packPosts(
  fields: readonly Field[],
  termsOf: (key: string) => TermList | null,
  posts: readonly Post[],
): PostStore {
  const byId = sortIds(posts);
  // posts are read in the order they lie in memory, and the columns are put in their own order afterwards
  const given = new Map(fields.map((field) => [field.key, packValues(field, posts, termsOf(field.key))]));
  const published = fieldWithRole(fields, 'published');
  const order = published ? newestFirst(published, given.get(published.key)!, termsOf(published.key), byId) : byId;
  const picks = new Int32Array(order);
  const numberOf = new Uint32Array(posts.length);
  for (let p = 0; p < order.length; p++) numberOf[order[p]!] = p;
  const ids = packTexts(posts.length, (p) => posts[p]!.id);
  const inOrder = ([key, values]: [string, Values]) =>
    [key, pickValues(values, values, picks, termsOf(key)?.terms.length ?? 0)] as const;
  return {
    size: posts.length,
    ids: pickTexts(ids, ids, picks),
    byId: byId.map((post) => numberOf[post]!),
    values: new Map([...given].map(inOrder)),
  };
}

/** The order posts are numbered in. */
export function newestFirst(published: Field, values: Values, terms: TermList | null, byId: Uint32Array): Uint32Array {
  return orderByKeys(sortKeys(published, values, terms), byId, 'desc');
}

function sortIds(posts: readonly Post[]): Uint32Array {
  const order = new Uint32Array(posts.length);
  for (let p = 0; p < order.length; p++) order[p] = p;
  // ids often come in order: to look is a walk, to sort is many
  let sorted = true;
  for (let p = 1; p < posts.length && sorted; p++) sorted = posts[p - 1]!.id < posts[p]!.id;
  if (sorted) return order;
  return order.sort((a, b) => (posts[a]!.id < posts[b]!.id ? -1 : posts[a]!.id > posts[b]!.id ? 1 : 0));
}
