import { putAmong } from '../base/put-among.js';
import { finished, type Steps } from '../base/steps.js';
import { fieldWithRole, holdsTerms, type Field, type Post, type Term } from '../../model/post.js';
import { packValues } from '../store/pack-values.js';
import { inOrder, newNumbers, gatherMapOf, type NewNumbers, type GatherMap } from '../store/gather-map.js';
import { packingPosts } from '../store/post-packer.js';
import { newestFirst, postWithId, type PostStore } from '../store/post-store.js';
import { termListOf, type TermList } from '../store/term-list.js';
import { compareTexts, pickTexts, textAt } from '../store/texts.js';
import { pickValues, type Values } from '../store/values.js';
import { changeTermColumn, movesOf } from './change-term-column.js';
import { changeText } from './change-text.js';
import { hasSameSlugs, renamedTerms, renumbered, reshaped } from './reshape.js';
import { keysOf, mergeOrder } from '../store/merge-order.js';
import { PostIndex, type KeptText } from '../index/post-index.js';
import { own } from '../../text/own.js';

/** What changed of a source. */
export interface Change {
  /** Posts that are new, or new in something. */
  upsert: readonly Post[];
  /** Ids of posts that are gone. */
  remove: readonly string[];
  /** As they are after the change. Left out: as before. */
  taxonomies?: Record<string, readonly Term[]>;
  /** As they are after the change. Left out: as before. A field that is new has no value in posts that did not change. */
  fields?: readonly Field[];
}

/**
 * Makes the index after a change out of the one before: the same as building it from nothing, in less time. What did
 * not change is copied column by column, the columns of terms that were made are taken over, and only texts that are new
 * are cut into words. The old index stays as it is.
 */
export function changeIndex(old: PostIndex, change: Change): PostIndex {
  return finished(prepareChange(old, change));
}

/** The same, a field at a time. */
export function* prepareChange(old: PostIndex, change: Change): Steps<PostIndex> {
  const fields = change.fields ?? old.fields;
  const taxonomies = change.taxonomies ?? old.taxonomies;
  const lists = new Map(fields.map((field) => [field.key, termListOf(field, own(taxonomies, field.key))]));
  if (isOfTermsAlone(old, change)) return reshaped(old, taxonomies, lists);
  const termsOf = (key: string) => lists.get(key) ?? null;
  // the last of several under one id counts, as if they had come one after the other
  const upsert = [...new Map(change.upsert.map((post) => [post.id, post])).values()];
  const added = yield* packingPosts(fields, termsOf, upsert);
  const kept = keptPosts(old, added, change.remove);
  yield;
  const before = new Map<string, Values>();
  for (const field of fields) {
    before.set(field.key, valuesBefore(old, field, termsOf));
    yield;
  }
  const published = fieldWithRole(fields, 'published');
  const gatherMap =
    (yield* inOldOrder(old, added, kept, published)) ??
    (yield* inNewOrder(old, added, kept, published && { field: published, before, terms: termsOf(published.key) }));
  yield;
  const numbers = newNumbers(old.size, added.size, gatherMap);
  yield;
  const valuesOf = (key: string) =>
    pickValues(before.get(key)!, added.values.get(key)!, gatherMap, termsOf(key)?.terms.length ?? 0);
  const values = new Map<string, Values>();
  for (const { key } of fields) {
    values.set(key, valuesOf(key));
    yield;
  }
  const ids = pickTexts(old.store.ids, added.ids, gatherMap);
  yield;
  const store: PostStore = { size: gatherMap.rows.length, ids, byId: yield* mergeIds(old, added, numbers), values };
  yield;
  const bare = new PostIndex(fields, taxonomies, store);
  const ordered = inOrder(gatherMap);
  yield;
  const texts: KeptText[] = [];
  for (const text of old.texts) {
    if (!readsAlike(text, old, bare)) continue;
    texts.push({ fields: text.fields, text: yield* changeText(text, bare, ordered) });
  }
  const now = new PostIndex(fields, taxonomies, store, texts, old.arenaFrom);
  yield;
  const moves = movesOf(ordered, numbers);
  yield;
  for (const [key, column] of moves ? old.columns : []) {
    const terms = now.termList(key);
    if (!terms || !sameTerms(old, now, key)) continue;
    const pick = (some: GatherMap) => pickValues(before.get(key)!, added.values.get(key)!, some, terms.terms.length);
    now.keepColumn(key, yield* changeTermColumn(column, terms, store.values.get(key)!, pick, moves!, now.arena));
    yield;
  }
  return now;
}

/** Whether the posts stay as they are, in their order, and only what their terms are is another. */
function isOfTermsAlone(old: PostIndex, { upsert, remove, fields }: Change): boolean {
  if (upsert.length > 0 || remove.length > 0 || fields) return false;
  // posts stand in the order of what was published when
  return !old.fields.some((field) => field.role === 'published' && holdsTerms(field));
}

/** Whether a field has the terms it had, one under the other as they were. */
function sameTerms(old: PostIndex, now: PostIndex, key: string): boolean {
  const [before, after] = [old.termList(key), now.termList(key)];
  if (!before || !after || old.field(key)?.type !== now.field(key)?.type) return false;
  return hasSameSlugs(before.terms, after.terms) && before.parents.every((parent, t) => parent === after.parents[t]);
}

/** Numbers of the old posts that stay, ascending: those that are not removed, nor come anew. */
function keptPosts(old: PostIndex, added: PostStore, gone: readonly string[]): Uint32Array {
  const removed = new Uint8Array(old.size);
  const take = (post: number | undefined) => {
    if (post !== undefined) removed[post] = 1;
  };
  for (const id of gone) take(old.numberOf(id));
  for (let post = 0; post < added.size; post++) take(postWithId(old.store, added.ids, post));
  const kept = new Uint32Array(old.size);
  let count = 0;
  for (let p = 0; p < old.size; p++) if (!removed[p]) kept[count++] = p;
  return kept.subarray(0, count);
}

/** Puts the added posts between the old ones, as those stand; null where they may stand otherwise now. */
function* inOldOrder(
  old: PostIndex,
  added: PostStore,
  kept: Uint32Array,
  published: Field | undefined,
): Steps<GatherMap | null> {
  const before = fieldWithRole(old.fields, 'published');
  if (before?.key !== published?.key || before?.type !== published?.type) return null;
  const [oldValues, addedValues] = [old.valuesOf(published?.key ?? ''), added.values.get(published?.key ?? '')];
  const [oldKeys, addedKeys] = [keysOf(published, oldValues ?? undefined), keysOf(published, addedValues)];
  if (!oldKeys || !addedKeys) return null;
  return yield* mergeOrder(
    { keyAt: oldKeys, idAt: (post) => old.idOf(post) },
    { keyAt: addedKeys, idAt: (post) => textAt(added.ids, post) },
    kept,
    added.size,
  );
}

/** Puts all posts in order anew. */
function* inNewOrder(
  old: PostIndex,
  added: PostStore,
  kept: Uint32Array,
  published: { field: Field; before: ReadonlyMap<string, Values>; terms: TermList | null } | undefined,
): Steps<GatherMap> {
  const rows = new Int32Array(kept.length + added.size);
  rows.set(kept);
  for (let post = 0; post < added.size; post++) rows[kept.length + post] = ~post;
  const loose = gatherMapOf(rows);
  const byId = yield* mergeIds(old, added, newNumbers(old.size, added.size, loose));
  if (!published) return gatherMapOf(rows.map((_, p) => rows[byId[p]!]!));
  const { field, before, terms } = published;
  const { key } = field;
  const values = pickValues(before.get(key)!, added.values.get(key)!, loose, terms?.terms.length ?? 0);
  const order = newestFirst(field, values, terms, byId);
  return gatherMapOf(rows.map((_, p) => rows[order[p]!]!));
}

/** Old values of a field, in the terms of the new index; none where the field is new or of another type. */
function valuesBefore(old: PostIndex, field: Field, termsOf: (key: string) => ReturnType<typeof termListOf>): Values {
  const values = old.field(field.key)?.type === field.type ? old.valuesOf(field.key) : null;
  if (!values) {
    const nobody: Post = { id: '', values: {} };
    return packValues(field, new Array<Post>(old.size).fill(nobody), termsOf(field.key));
  }
  const [from, to] = [old.termList(field.key), termsOf(field.key)];
  return !from || !to || hasSameSlugs(from.terms, to.terms) ? values : renumbered(values, from, to);
}

/** The new numbers of all posts, ascending by id. Old and added come sorted already. */
function* mergeIds(old: PostIndex, added: PostStore, { ofOld, ofAdded }: NewNumbers): Steps<Uint32Array> {
  const many = new Uint32Array(old.size);
  let count = 0;
  const { byId } = old.store;
  for (let i = 0; i < byId.length; i++) if (ofOld[byId[i]!]! >= 0) many[count++] = byId[i]!;
  yield;
  const few = Int32Array.from(added.byId, (post) => ~post);
  const merged = yield* putAmong(
    many.subarray(0, count),
    few,
    (one, other) => compareTexts(old.store.ids, one, added.ids, ~other) < 0,
  );
  yield;
  const numbers = new Uint32Array(merged.length);
  for (let i = 0; i < numbers.length; i++) numbers[i] = merged[i]! < 0 ? ofAdded[~merged[i]!]! : ofOld[merged[i]!]!;
  return numbers;
}

/** Whether terms read the same, so that the words of posts that carry them stand. */
function readsAlike({ fields }: KeptText, old: PostIndex, now: PostIndex): boolean {
  return fields.every(
    ({ key }) => old.field(key)?.type === now.field(key)?.type && !renamedTerms(old, key, now.termList(key)),
  );
}
