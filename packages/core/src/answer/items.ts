import { eachBit, hasBit, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import { cardParts } from '../lens/card.js';
import type { Item, ItemValue } from '../model/answer.js';
import type { Lens, SortOption } from '../model/lens.js';
import { fieldWithRole, type Post } from '../model/post.js';
import { plainText } from '../text/plain-text.js';

/** Post numbers of one page, in the order asked for. */
export function pageOf(
  index: PostIndex,
  matched: Bits,
  sort: SortOption | null,
  start: number,
  size: number,
): number[] {
  const page: number[] = [];
  let seen = 0;
  const take = (post: number) => {
    if (seen++ >= start) page.push(post);
    return page.length < size;
  };
  const published = fieldWithRole(index.fields, 'published');
  if (!sort || (sort.field === published?.key && sort.order === 'desc')) {
    // posts are numbered in this very order
    eachBit(matched, take);
    return page;
  }
  for (const post of index.order(sort.field, sort.order)) {
    if (hasBit(matched, post) && !take(post)) break;
  }
  return page;
}

/** The fields an answer carries of each post: what its card shows and what its facets filter by. */
export function shownFields(index: PostIndex, lens: Lens): string[] {
  const card = cardParts(lens, index.fields).map((part) => part.field);
  return [...new Set([...card, ...lens.facets.map((facet) => facet.field)])];
}

/** What an answer carries of a post. */
export function itemOf(index: PostIndex, shown: readonly string[], post: Post): Item {
  const title = fieldWithRole(index.fields, 'title');
  const link = fieldWithRole(index.fields, 'link');
  const fields: Record<string, ItemValue> = {};
  for (const key of shown) {
    const value = itemValue(index, post, key);
    if (value !== undefined) fields[key] = value;
  }
  return {
    id: post.id,
    title: (title && textOf(index, post, title.key)) ?? post.id,
    link: (link && textOf(index, post, link.key)) ?? null,
    fields,
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
