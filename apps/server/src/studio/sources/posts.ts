import {
  answer,
  fieldWithRole,
  maxSearch,
  prepareAnswer,
  prewarmText,
  readLens,
  readQuestion,
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

/** Posts whose titles hold some words, the best matches first; without words all, newest first. An id finds its post. */
export function* findPosts(index: PostIndex, text: string, page: number, size: number): Steps<PostList> {
  const words = text.trim().slice(0, maxSearch);
  const lens = lensOfTitles(index, size);
  if (words !== '') yield* prewarmText(index, lens);
  const address = new URLSearchParams({ ...(words !== '' && { q: words }), page: String(page) }).toString();
  const { query } = readQuestion(index, lens, address, Date.now());
  yield* prepareAnswer(index, query);
  const found = answer(index, query);
  const exact = page === 1 ? index.numberOf(words) : undefined;
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
  return { total: items.length, page: 1, pages: 1, items };
}

function listed(index: PostIndex, post: number): ListedPost {
  const title = fieldWithRole(index.fields, 'title');
  const own = index.postAt(post);
  return { ...own, title: (title && index.textOf(post, title.key)) || own.id };
}

const lenses = new WeakMap<PostIndex, Map<number, Lens>>();

/** A lens that searches titles. One object an index and size, so that what is worked out of it is kept. */
function lensOfTitles(index: PostIndex, size: number): Lens {
  let bySize = lenses.get(index);
  if (!bySize) lenses.set(index, (bySize = new Map<number, Lens>()));
  const known = bySize.get(size);
  if (known) return known;
  const title = fieldWithRole(index.fields, 'title');
  const facets = title ? [{ key: 'q', kind: 'search', fields: [title.key] }] : [];
  const read = readLens({ facets, paging: { size } });
  if (!read.ok) throw new Error('A lens of titles can’t be read.');
  bySize.set(size, read.value);
  return read.value;
}
