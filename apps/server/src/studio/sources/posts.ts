import {
  answer,
  fieldWithRole,
  hasTerms,
  maxSearch,
  prepareAnswer,
  prewarmText,
  readLens,
  readQuestion,
  searchableFields,
  writtenValue,
  type Lens,
  type Post,
  type PostIndex,
  type RawRecord,
  type Steps,
} from '@ivy/core';

/** A post of a source, as it was read. */
export interface ListedPost extends Post {
  title: string;
  /** Its values as a person reads them, by field. */
  words: Record<string, string>;
  /** The record as it came. */
  raw: RawRecord;
}

/** A post before its record was fetched. */
export type FoundPost = Omit<ListedPost, 'raw'>;

/** What of a source is listed, and how. */
export interface PostQuery {
  /** Words to find, or an id. */
  words: string;
  page: number;
  size: number;
  /** Key of the field they are ordered by; empty: the best matches, or the newest. */
  sort: string;
  order: 'asc' | 'desc';
  /** Posts must have one of these terms in each of these fields. */
  filter: readonly { field: string; terms: readonly string[] }[];
}

/** Some posts of a source. */
export interface PostList {
  total: number;
  page: number;
  pages: number;
  items: ListedPost[];
}

/** The same before their records were fetched. */
export interface FoundList extends Omit<PostList, 'items'> {
  items: FoundPost[];
}

/**
 * Posts whose titles hold some words, the best matches first; without words all, newest first. An id finds its post. A
 * source without titles is searched in all its texts.
 */
export function* findPosts(
  index: PostIndex,
  asked: PostQuery,
  list: (index: PostIndex, post: number) => FoundPost = listed,
): Steps<FoundList> {
  const words = asked.words.trim().slice(0, maxSearch);
  const lens = searchingLens(index, asked);
  const isBare = asked.filter.length === 0;
  const exact = asked.page === 1 && isBare ? index.numberOf(words) : undefined;
  // nothing is there to be searched, so that every post would do
  if (words !== '' && !lens.facets.some(({ kind }) => kind === 'search')) {
    return listOf(exact === undefined ? [] : [list(index, exact)]);
  }
  if (words !== '') yield* prewarmText(index, lens);
  const address = new URLSearchParams({ ...(words !== '' && { q: words }), page: String(asked.page) });
  if (asked.sort !== '') address.set('sort', 'by');
  asked.filter.forEach(({ terms }, i) => address.set(`f${i}`, terms.join(',')));
  const { query } = readQuestion(index, lens, address.toString(), Date.now());
  yield* prepareAnswer(index, query);
  const found = answer(index, query);
  const numbers = found.items.map(({ id }) => index.numberOf(id)!).filter((post) => post !== exact);
  const items = (exact === undefined ? numbers : [exact, ...numbers]).map((post) => list(index, post));
  const isMore = exact !== undefined && !found.items.some(({ id }) => id === words);
  return { total: found.matched + (isMore ? 1 : 0), page: found.page, pages: found.pages, items };
}

/** Posts fetched of an answer in one go. */
const idsTogether = 200;

/** Ids of all posts that a list would go through, in its order. */
export function* findIds(index: PostIndex, asked: PostQuery): Steps<string[]> {
  const ids: string[] = [];
  for (let page = 1; ; page++) {
    const { items, pages } = yield* findPosts(index, { ...asked, page, size: idsTogether }, idOnly);
    for (const { id } of items) ids.push(id);
    if (page >= pages) return [...new Set(ids)];
  }
}

/** Posts by their ids, in that order; those that are not there are left out. */
export function postsWithIds(index: PostIndex, ids: readonly string[]): FoundList {
  const items = ids.slice(0, 500).flatMap((id) => {
    const post = index.numberOf(id);
    return post === undefined ? [] : [listed(index, post)];
  });
  return listOf(items);
}

function listOf(items: FoundPost[]): FoundList {
  return { total: items.length, page: 1, pages: 1, items };
}

/** A post of which nothing more is wanted. */
function idOnly(index: PostIndex, post: number): FoundPost {
  return { id: index.idOf(post), title: '', values: {}, words: {} };
}

function listed(index: PostIndex, post: number): FoundPost {
  const title = fieldWithRole(index.fields, 'title');
  const own = index.postAt(post);
  const words = index.fields.flatMap((field): [string, string][] => {
    const value = Object.hasOwn(own.values, field.key) ? own.values[field.key] : undefined;
    const written = writtenValue(field, value, hasTerms(field) ? index.column(field.key).terms : []);
    return written === null ? [] : [[field.key, written]];
  });
  return { ...own, title: (title && index.textOf(post, title.key)) || own.id, words: Object.fromEntries(words) };
}

const lenses = new WeakMap<PostIndex, Map<string, Lens>>();
/** Lenses kept of one index: a column that is ordered by, a filter. */
const mostLenses = 50;

/** A lens that lists posts. One object an index and question, so that what is worked out of it is kept. */
function searchingLens(index: PostIndex, { size, sort, order, filter }: PostQuery): Lens {
  const fields = filter.map(({ field }) => field);
  const name = JSON.stringify([size, sort, order, fields]);
  let known = lenses.get(index);
  if (!known) lenses.set(index, (known = new Map<string, Lens>()));
  const kept = known.get(name);
  if (kept) return kept;
  const title = fieldWithRole(index.fields, 'title');
  const searched = title ? [title] : searchableFields(index.fields).slice(0, 20);
  const search = searched.length > 0 ? [{ key: 'q', kind: 'search', fields: searched.map(({ key }) => key) }] : [];
  const filters = fields.map((field, i) => ({ key: `f${i}`, kind: 'checkboxes', field }));
  const options = sort === '' ? [] : [{ key: 'by', field: sort, order }];
  const read = readLens({ facets: [...search, ...filters], sort: { options }, paging: { size } });
  if (!read.ok) throw new Error('A lens that only lists can’t be read.');
  if (known.size >= mostLenses) known.clear();
  known.set(name, read.value);
  return read.value;
}
