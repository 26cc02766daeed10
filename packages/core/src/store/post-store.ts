import { orderByKeys, sortKeys } from '../index/order.js';
import { fieldWithRole, type Field, type Post } from '../model/post.js';
import { packTexts, type Texts } from './texts.js';
import type { TermList } from './term-list.js';
import { packValues, type Values } from './values.js';

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
  const given = Uint32Array.from(posts, (_, p) => p);
  const byId = sortIds(posts);
  const published = fieldWithRole(fields, 'published');
  const order = published
    ? newestFirst(published, packValues(published, posts, given, termsOf(published.key)), termsOf(published.key), byId)
    : byId;
  const numberOf = new Uint32Array(posts.length);
  order.forEach((post, p) => (numberOf[post] = p));
  return {
    size: posts.length,
    ids: packTexts(posts.length, (p) => posts[order[p]!]!.id),
    byId: byId.map((post) => numberOf[post]!),
    values: new Map(fields.map((field) => [field.key, packValues(field, posts, order, termsOf(field.key))])),
  };
}

/** The order posts are numbered in. */
export function newestFirst(published: Field, values: Values, terms: TermList | null, byId: Uint32Array): Uint32Array {
  return orderByKeys(sortKeys(published, values, terms), byId, 'desc');
}

function sortIds(posts: readonly Post[]): Uint32Array {
  const order = Uint32Array.from(posts, (_, p) => p);
  // ids often come in order: to look is a walk, to sort is many
  let sorted = true;
  for (let p = 1; p < posts.length && sorted; p++) sorted = posts[p - 1]!.id < posts[p]!.id;
  if (sorted) return order;
  return order.sort((a, b) => (posts[a]!.id < posts[b]!.id ? -1 : posts[a]!.id > posts[b]!.id ? 1 : 0));
}
