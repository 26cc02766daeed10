import type { PostIndex } from '../index/post-index.js';
import { cardParts } from '../lens/card.js';
import type { Item, ItemValue, TermValue } from '../model/answer.js';
import { fieldsOf, type Lens } from '../model/lens.js';
import { fieldWithRole, type Post } from '../model/post.js';
import { marksIn } from '../search/marks.js';
import type { Search } from '../search/search.js';
import type { TextIndex } from '../search/text-index.js';
import { plainText } from '../text/plain-text.js';

/** How a field of a post is read into an answer. */
export interface ItemField {
  key: string;
  read: (post: Post) => ItemValue | undefined;
}

/** What of a lens every item is made by: worked out once a lens. */
export interface ItemPlan {
  fields: ItemField[];
  title: ItemField | null;
  link: ItemField | null;
}

/** An answer carries of each post what its card shows and what its facets filter by. */
export function itemPlan(index: PostIndex, lens: Lens): ItemPlan {
  const card = cardParts(lens, index.fields).map((part) => part.field);
  const keys = [...card, ...lens.facets.filter((facet) => facet.kind !== 'search').flatMap(fieldsOf)];
  const byRole = (role: 'title' | 'link') => {
    const field = fieldWithRole(index.fields, role);
    return field ? itemField(index, field.key) : null;
  };
  return {
    fields: [...new Set(keys)].map((key) => itemField(index, key)),
    title: byRole('title'),
    link: byRole('link'),
  };
}

function itemField(index: PostIndex, key: string): ItemField {
  if (index.field(key)?.type === 'html') {
    return { key, read: ({ values }) => (typeof values[key] === 'string' ? plainText(values[key]) : undefined) };
  }
  if (index.field(key)?.type !== 'terms') {
    return {
      key,
      read: ({ values }) => {
        const value = values[key];
        return Array.isArray(value) ? undefined : value;
      },
    };
  }
  const column = index.column(key);
  // one object a term, shared by all items: an answer is written out, never changed
  const terms = column.terms.map(({ slug, label }): TermValue => ({ slug, label }));
  return {
    key,
    read: ({ values }) => {
      const slugs = values[key];
      if (!Array.isArray(slugs)) return undefined;
      const found: TermValue[] = [];
      for (const slug of slugs) {
        const number = column.numbers.get(slug);
        if (number !== undefined) found.push(terms[number]!);
      }
      return found;
    },
  };
}

/**
 * What an answer carries of a post.
 * @param search  the search it was found by, to mark where
 */
export function itemOf(
  plan: ItemPlan,
  post: Post,
  search: { text: TextIndex; found: Search; fields: readonly string[] } | null,
): Item {
  const fields: Record<string, ItemValue> = {};
  let marks: Record<string, [number, number][]> | undefined;
  for (const { key, read } of plan.fields) {
    const value = read(post);
    if (value === undefined) continue;
    fields[key] = value;
    if (!search || typeof value !== 'string' || !search.fields.includes(key)) continue;
    const found = marksIn(search.text, search.found.wanted, value);
    if (found.length > 0) (marks ??= {})[key] = found;
  }
  const item: Item = {
    id: post.id,
    title: textOf(plan.title, post) ?? post.id,
    link: textOf(plan.link, post),
    fields,
  };
  if (marks) item.marks = marks;
  return item;
}

function textOf(field: ItemField | null, post: Post): string | null {
  const value = field?.read(post);
  return typeof value === 'string' && value !== '' ? value : null;
}
