import { orderByKeys, sortKeys } from '../index/order.js';
import { fieldWithRole, type Field, type Post } from '../model/post.js';
import { packerOf } from './packer.js';
import type { TermList } from './term-list.js';
import { TextPacker } from './text-packer.js';
import { pickTexts, type Texts } from './texts.js';
import { pickValues, type Values } from './values.js';

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
  const { ids, values: given } = packAll(fields, termsOf, posts);
  const published = fieldWithRole(fields, 'published');
  const order = published ? newestFirst(published, given.get(published.key)!, termsOf(published.key), byId) : byId;
  const picks = new Int32Array(order);
  const numberOf = new Uint32Array(posts.length);
  for (let p = 0; p < order.length; p++) numberOf[order[p]!] = p;
  const inOrder = ([key, values]: [string, Values]) =>
    [key, pickValues(values, values, picks, termsOf(key)?.terms.length ?? 0)] as const;
  return {
    size: posts.length,
    ids: pickTexts(ids, ids, picks),
    byId: placesOf(byId, numberOf),
    values: new Map([...given].map(inOrder)),
  };
}

/** Every post is taken apart in one go: what it holds lies together, and to come back for each field costs more. */
function packAll(
  fields: readonly Field[],
  termsOf: (key: string) => TermList | null,
  posts: readonly Post[],
): { ids: Texts; values: Map<string, Values> } {
  const ids = new TextPacker(posts.length);
  const packers = fields.map((field) => packerOf(field, posts.length, termsOf(field.key)));
  const keys = fields.map((field) => field.key);
  for (let p = 0; p < posts.length; p++) {
    const { id, values } = posts[p]!;
    ids.add(id);
    for (let f = 0; f < keys.length; f++) packers[f]!.add(values[keys[f]!]);
  }
  return { ids: ids.done(), values: new Map(keys.map((key, f) => [key, packers[f]!.done()])) };
}

// a plain loop: to map over typed arrays with a function is many times slower
export function placesOf(posts: Uint32Array, numberOf: Uint32Array): Uint32Array {
  const places = new Uint32Array(posts.length);
  for (let i = 0; i < posts.length; i++) places[i] = numberOf[posts[i]!]!;
  return places;
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
