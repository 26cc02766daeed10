import {
  answer,
  fieldWithRole,
  maxSearch,
  prepareAnswer,
  prewarmText,
  readLens,
  readQuestion,
  searchableFields,
  type Lens,
  type Post,
  type PostIndex,
  type Steps,
} from '@ivy/core';

/** A post of a source, as it was read. */
export interface ListedPost extends Post {
  title: string;
}

/** Some posts of a source. */
export interface PostList {
  total: number;
  page: number;
  pages: number;
  items: ListedPost[];
}

/**
 * Posts whose titles hold some words, the best matches first; without words all, newest first. An id finds its post. A
 * source without titles is searched in all its texts.
 */
export function* findPosts(index: PostIndex, text: string, page: number, size: number): Steps<PostList> {
  const words = text.trim().slice(0, maxSearch);
  const lens = searchingLens(index, size);
  const exact = page === 1 ? index.numberOf(words) : undefined;
  // nothing is there to be searched, so that every post would do
  if (words !== '' && lens.facets.length === 0) return listOf(exact === undefined ? [] : [listed(index, exact)]);
  if (words !== '') yield* prewarmText(index, lens);
  const address = new URLSearchParams({ ...(words !== '' && { q: words }), page: String(page) }).toString();
  const { query } = readQuestion(index, lens, address, Date.now());
  yield* prepareAnswer(index, query);
  const found = answer(index, query);
  const numbers = found.items.map(({ id }) => index.numberOf(id)!).filter((post) => post !== exact);
  const items = (exact === undefined ? numbers : [exact, ...numbers]).map((post) => listed(index, post));
  const isMore = exact !== undefined && !found.items.some(({ id }) => id === words);
  return { total: found.matched + (isMore ? 1 : 0), page: found.page, pages: found.pages, items };
}

/** Posts by their ids, in that order; those that are not there are left out. */
export function postsWithIds(index: PostIndex, ids: readonly string[]): PostList {
  const items = ids.slice(0, 500).flatMap((id) => {
    const post = index.numberOf(id);
    return post === undefined ? [] : [listed(index, post)];
  });
  return listOf(items);
}

function listOf(items: ListedPost[]): PostList {
  return { total: items.length, page: 1, pages: 1, items };
}

function listed(index: PostIndex, post: number): ListedPost {
  const title = fieldWithRole(index.fields, 'title');
  const own = index.postAt(post);
  return { ...own, title: (title && index.textOf(post, title.key)) || own.id };
}

const lenses = new WeakMap<PostIndex, Map<number, Lens>>();

/** A lens that searches posts. One object an index and size, so that what is worked out of it is kept. */
function searchingLens(index: PostIndex, size: number): Lens {
  let bySize = lenses.get(index);
  if (!bySize) lenses.set(index, (bySize = new Map<number, Lens>()));
  const known = bySize.get(size);
  if (known) return known;
  const title = fieldWithRole(index.fields, 'title');
  const searched = title ? [title] : searchableFields(index.fields).slice(0, 20);
  const facets = searched.length > 0 ? [{ key: 'q', kind: 'search', fields: searched.map(({ key }) => key) }] : [];
  const read = readLens({ facets, paging: { size } });
  if (!read.ok) throw new Error('A lens that only searches can’t be read.');
  bySize.set(size, read.value);
  return read.value;
}
