import type { PostIndex } from '../index/post-index.js';
import { cardParts } from '../lens/card.js';
import type { Item, ItemValue } from '../model/answer.js';
import { fieldsOf, type Lens } from '../model/lens.js';
import { fieldWithRole, type Post } from '../model/post.js';
import { marksIn } from '../search/marks.js';
import type { Search } from '../search/search.js';
import type { TextIndex } from '../search/text-index.js';
import { plainText } from '../text/plain-text.js';

/** The fields an answer carries of each post: what its card shows and what its facets filter by. */
export function shownFields(index: PostIndex, lens: Lens): string[] {
  const card = cardParts(lens, index.fields).map((part) => part.field);
  return [...new Set([...card, ...lens.facets.filter((facet) => facet.kind !== 'search').flatMap(fieldsOf)])];
}

/**
 * What an answer carries of a post.
 * @param shown   keys of the fields
 * @param search  the search it was found by, to mark where
 */
export function itemOf(
  index: PostIndex,
  shown: readonly string[],
  post: Post,
  search: { text: TextIndex; found: Search; fields: readonly string[] } | null,
): Item {
  const title = fieldWithRole(index.fields, 'title');
  const link = fieldWithRole(index.fields, 'link');
  const fields: Record<string, ItemValue> = {};
  const marks: Record<string, [number, number][]> = {};
  for (const key of shown) {
    const value = itemValue(index, post, key);
    if (value === undefined) continue;
    fields[key] = value;
    if (!search || typeof value !== 'string' || !search.fields.includes(key)) continue;
    const found = marksIn(search.text, search.found.wanted, value);
    if (found.length > 0) marks[key] = found;
  }
  return {
    id: post.id,
    title: (title && textOf(index, post, title.key)) ?? post.id,
    link: (link && textOf(index, post, link.key)) ?? null,
    fields,
    ...(Object.keys(marks).length > 0 && { marks }),
  };
}

function itemValue(index: PostIndex, post: Post, key: string): ItemValue | undefined {
  const value = post.values[key];
  if (typeof value === 'string' && index.field(key)?.type === 'html') return plainText(value);
  if (!Array.isArray(value)) return value;
  const column = index.column(key);
  return value.flatMap((slug) => {
    const number = column.numbers.get(slug);
    return number === undefined ? [] : [{ slug: column.terms[number]!.slug, label: column.terms[number]!.label }];
  });
}

function textOf(index: PostIndex, post: Post, key: string): string | undefined {
  const value = itemValue(index, post, key);
  return typeof value === 'string' && value !== '' ? value : undefined;
}
