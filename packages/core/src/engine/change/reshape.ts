import type { Steps } from '../base/steps.js';
import type { Term } from '../../model/post.js';
import { PostIndex, type KeptText, type PendingText } from '../index/post-index.js';
import { gatherMapOf } from '../store/gather-map.js';
import type { TermList } from '../store/term-list.js';
import { mergeTexts } from '../words/merge-texts.js';
import { recut } from '../words/recut.js';
import type { TextIndex } from '../words/text-index.js';
import { manyOf, renumberTerms, type Values } from '../store/values.js';

/**
 * The index of the same posts by other terms. What does not hang on them is shared with the index before; words are cut
 * again of posts alone whose terms read otherwise, and not before a search asks for them.
 */
export function reshaped(
  old: PostIndex,
  taxonomies: Readonly<Record<string, readonly Term[]>>,
  lists: ReadonlyMap<string, TermList | null>,
): PostIndex {
  const values = new Map(old.store.values);
  for (const { key } of old.fields) {
    const [from, to, had] = [old.termList(key), lists.get(key), values.get(key)];
    if (from && to && had && !hasSameSlugs(from.terms, to.terms)) values.set(key, renumbered(had, from, to));
  }
  const ready: KeptText[] = [];
  const pending: PendingText[] = [];
  for (const kept of old.texts) {
    const isOther = kept.fields.map(({ key }) => renamedTerms(old, key, lists.get(key)));
    const posts = postsWithOtherWords(old, kept, isOther);
    if (posts.length === 0) ready.push(kept);
    else pending.push({ fields: kept.fields, make: () => textWith(kept, now, posts, isOther) });
  }
  const now = new PostIndex(old.fields, taxonomies, { ...old.store, values }, ready, old.arenaFrom, pending);
  return now;
}

/** Values of a field in the terms of another list; those that are not in it are left out. */
export function renumbered(values: Values, from: TermList, to: TermList): Values {
  const numbers = Int32Array.from(from.terms, (term) => to.numbers.get(term.slug) ?? -1);
  return renumberTerms(values, numbers, to.terms.length);
}

export function hasSameSlugs(a: readonly Term[], b: readonly Term[]): boolean {
  return a.length === b.length && a.every((term, i) => term.slug === b[i]!.slug);
}

/** By number: terms that read otherwise in another list, or are not in it; null where there are none. */
export function renamedTerms(old: PostIndex, key: string, after: TermList | null | undefined): boolean[] | null {
  const before = old.termList(key);
  if (!before) return null;
  const isOther = before.terms.map(({ slug, label }) => after?.terms[after.numbers.get(slug) ?? -1]?.label !== label);
  return isOther.includes(true) ? isOther : null;
}

/** Numbers of the posts whose words in some fields are others, ascending. */
function postsWithOtherWords(
  old: PostIndex,
  { fields }: KeptText,
  isOtherIn: readonly (boolean[] | null)[],
): Uint32Array {
  const marked = new Uint8Array(old.size);
  let count = 0;
  for (const [f, { key }] of fields.entries()) {
    const isOther = isOtherIn[f];
    if (!isOther) continue;
    const { starts, numbers } = manyOf(old.valuesOf(key)!);
    for (let p = 0; p < old.size; p++) {
      for (let i = starts[p]!; i < starts[p + 1]!; i++) {
        if (!isOther[numbers[i]!] || marked[p]) continue;
        marked[p] = 1;
        count++;
      }
    }
  }
  const posts = new Uint32Array(count);
  for (let p = 0, i = 0; p < old.size; p++) if (marked[p]) posts[i++] = p;
  return posts;
}

/** The words of all posts, where the terms of some in some fields read otherwise. */
function* textWith(
  { fields, text }: KeptText,
  now: PostIndex,
  posts: Uint32Array,
  isOther: readonly (boolean[] | null)[],
): Steps<TextIndex> {
  const readers = fields.map(({ key }, f) => (isOther[f] ? (post: number) => now.textOf(post, key) : null));
  const added = yield* recut(text, posts, readers);
  const rows = new Int32Array(text.size);
  for (let p = 0; p < rows.length; p++) rows[p] = p;
  posts.forEach((post, i) => (rows[post] = ~i));
  return yield* mergeTexts(text, added, gatherMapOf(rows));
}
