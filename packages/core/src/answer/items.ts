import type { PostIndex } from '../engine/index/post-index.js';
import type { Derived } from '../card/derived.js';
import { partKind } from '../card/parts.js';
import { cardParts } from '../lens/card.js';
import type { Item, ItemValue, TermValue } from '../model/answer.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import { fieldWithRole } from '../model/post.js';
import { Lru } from '../engine/base/lru.js';
import type { Marker } from '../engine/words/marks.js';
import { noTerm } from '../engine/store/values.js';
import { plainText } from '../text/plain-text.js';
import { own } from '../text/own.js';
import { safeAddress } from '../text/safe-address.js';

/** How a field of a post is read into an answer. */
export interface ItemField {
  key: string;
  read: (post: number) => ItemValue | undefined;
}

/** What of a lens every item is made by: worked out once a lens. */
export interface ItemPlan {
  fields: ItemField[];
  title: ItemField | null;
  link: ItemField | null;
  /** Items as they were last drawn, without marks. The newest posts are on most first pages. */
  kept: Lru<number, Item>;
}

/** Items kept of a lens. */
export const itemsKept = 4000;

/** The fields whose values a facet filters by; those it searches are too long to be carried along. */
function filteredBy(facet: Facet): readonly string[] {
  const { finding, fields } = kindOf(facet);
  return finding ? [] : fields(facet);
}

/** An answer carries of each post what its card shows and what its facets filter by. */
export function itemPlan(index: PostIndex, lens: Lens): ItemPlan {
  const parts = cardParts(lens, index.fields);
  const card = parts.flatMap((part) => partKind(part).fields(part));
  const derived = parts.flatMap((part) => partKind(part).derived?.(part) ?? []);
  const keys = [...card, ...lens.facets.flatMap(filteredBy)];
  const byRole = (role: 'title' | 'link') => {
    const field = fieldWithRole(index.fields, role);
    return field ? itemField(index, field.key) : null;
  };
  return {
    fields: [
      ...[...new Set(keys)].map((key) => itemField(index, key)),
      ...new Map(derived.map((one) => [one.key, derivedField(index, one)])).values(),
    ],
    title: byRole('title'),
    link: byRole('link'),
    kept: new Lru(itemsKept),
  };
}

function itemField(index: PostIndex, key: string): ItemField {
  const values = index.valuesOf(key);
  if (values?.form === 'term' || values?.form === 'terms') {
    // one object a term, shared by all items: an answer is written out, never changed
    const terms = (index.termList(key)?.terms ?? []).map(({ slug, label }): TermValue => ({ slug, label }));
    if (values.form === 'term') {
      const { numbers } = values;
      const none = noTerm(numbers);
      const alone = terms.map((term) => [term]);
      return { key, read: (post) => (numbers[post] === none ? undefined : alone[numbers[post]!]) };
    }
    const { starts, numbers } = values;
    return {
      key,
      read: (post) => {
        const found: TermValue[] = [];
        for (let i = starts[post]!; i < starts[post + 1]!; i++) found.push(terms[numbers[i]!]!);
        return found.length === 0 ? undefined : found;
      },
    };
  }
  const type = index.field(key)?.type;
  return {
    key,
    read: (post) => {
      const value = index.valueOf(post, key);
      if (Array.isArray(value)) return undefined;
      if (typeof value !== 'string') return value;
      if (type === 'html') return plainText(value);
      // posts may have come in before addresses were looked at this closely
      return type === 'link' || type === 'image' ? (safeAddress(value) ?? undefined) : value;
    },
  };
}

/** A field made from the text of another. */
function derivedField(index: PostIndex, { key, from, unless, make }: Derived): ItemField {
  const source = itemField(index, from);
  const before = unless === '' ? null : itemField(index, unless);
  return {
    key,
    read: (post) => {
      if (before && before.read(post) !== undefined) return undefined;
      const text = source.read(post);
      return typeof text === 'string' && text !== '' ? make(text) : undefined;
    },
  };
}

/**
 * What an answer carries of a post.
 * @param search  the search it was found by, to mark where
 */
export function itemOf(
  plan: ItemPlan,
  index: PostIndex,
  post: number,
  search: { marks: Marker; fields: readonly string[] } | null,
): Item {
  let item = plan.kept.get(post);
  if (!item) {
    item = makeItem(plan, index, post);
    plan.kept.put(post, item);
  }
  if (!search) return item;
  const marks = marksIn((key) => own(item.fields, key), search);
  if (!marks) return item;
  // written out: to spread an object is many times slower
  const { id, title, link, fields } = item;
  return { id, title, link, fields, marks };
}

/** Where in the fields of a post a search matched something; undefined where nowhere. */
export function marksIn(
  valueOf: (key: string) => unknown,
  search: { marks: Marker; fields: readonly string[] },
): Item['marks'] {
  let marks: Item['marks'];
  for (const key of search.fields) {
    const value = valueOf(key);
    if (typeof value !== 'string') continue;
    const found = search.marks(value);
    if (found.length > 0) (marks ??= {})[key] = found;
  }
  return marks;
}

function makeItem(plan: ItemPlan, index: PostIndex, post: number): Item {
  const fields: Record<string, ItemValue> = {};
  for (const { key, read } of plan.fields) {
    const value = read(post);
    if (value !== undefined) fields[key] = value;
  }
  const id = index.idOf(post);
  return { id, title: textOf(plan.title, post, fields) ?? id, link: textOf(plan.link, post, fields), fields };
}

/** @param known  values of the post that were read already */
export function textOf(
  field: ItemField | null,
  post: number,
  known: Readonly<Record<string, ItemValue>>,
): string | null {
  const value = field && (own(known, field.key) ?? field.read(post));
  return typeof value === 'string' && value !== '' ? value : null;
}
