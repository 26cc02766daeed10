import { readWanted } from '../src/engine/words/wanted.js';
import { defaultSort, type SortOption } from '../src/lens/lens.js';
import type { Query } from '../src/lens/query.js';
import { fieldWithRole, type Collection, type Post, type Value } from '../src/model/post.js';
import { isSearch, type SearchFacet } from './facets.js';
import { finds, meeting, vocabularyOf, wordsByField } from './reference-search.js';

/*
 * The order of posts, the slow and obvious way.
 */

/** More words met whole first, then BM25 as the textbook writes it. */
function relevance(collection: Collection, facet: SearchFacet, text: string): (post: Post) => [number, number] {
  const title = fieldWithRole(collection.fields, 'title')?.key;
  const weights = facet.fields.map((key) => facet.weights[key] ?? (key === title ? 3 : 1));
  const all = vocabularyOf(collection, facet);
  const length = (post: Post) =>
    wordsByField(collection, post, facet).reduce((sum, words, f) => sum + words.length * weights[f]!, 0);
  const mean =
    collection.posts.reduce((sum, post) => sum + length(post), 0) / Math.max(1, collection.posts.length) || 1;
  const positive = readWanted(text).filter((one) => !one.excluded);
  const times = (post: Post, words: ReadonlySet<string>) =>
    wordsByField(collection, post, facet).reduce(
      (sum, own, f) => sum + own.filter((word) => words.has(word)).length * weights[f]!,
      0,
    );
  return (post) => {
    let [wholes, score] = [0, 0];
    for (const one of positive) {
      const words = one.phrase ? new Set(one.words) : meeting(one.words[0]!, all, false);
      const met = (other: Post) =>
        finds(collection, other, { ...facet, words: 'all' }, one.phrase ? `"${one.words.join(' ')}"` : one.words[0]!);
      if (!met(post)) continue;
      const having = collection.posts.filter(met).length;
      const tf = one.phrase
        ? one.words.reduce((sum, word) => sum + times(post, new Set([word])), 0)
        : times(post, words);
      const inverse = Math.log(1 + (collection.posts.length - having + 0.5) / (having + 0.5));
      score += (inverse * tf * 2.2) / (tf + 1.2 * (1 - 0.75 + (0.75 * length(post)) / mean));
      if (one.phrase || times(post, new Set([one.words[0]!])) > 0) wholes++;
    }
    return [wholes, score];
  };
}

// order ----------------------------------------------------------------------------------------------------------------

export function byPublished(collection: Collection): Post[] {
  const published = fieldWithRole(collection.fields, 'published');
  const value = (post: Post) => (published ? post.values[published.key] : undefined);
  return [...collection.posts].sort((a, b) => compare(value(a), value(b), -1) || (a.id < b.id ? -1 : 1));
}

/** Posts in the order a query asks for, those that are pinned first while nobody asked for an order. */
export function sorted(collection: Collection, posts: readonly Post[], query: Query): Post[] {
  const all = unpinned(collection, posts, query);
  const { lens, sort } = query;
  const isSearching = lens.facets.some((one) => isSearch(one) && query.selections[one.key] !== undefined);
  const named = lens.sort.options.find((one) => one.key === sort) ?? null;
  const usual = defaultSort(lens);
  if ((named !== null && named !== usual) || (named === null && isSearching && lens.sort.relevanceWhenSearching))
    return all;
  const { pinned } = lens.scope;
  return [
    ...pinned.flatMap((id) => all.filter((post) => post.id === id)),
    ...all.filter(({ id }) => !pinned.includes(id)),
  ];
}

function unpinned(collection: Collection, posts: readonly Post[], query: Query): Post[] {
  const { lens } = query;
  const named = lens.sort.options.find((one) => one.key === query.sort);
  const facet = lens.facets.find((one): one is SearchFacet => isSearch(one) && query.selections[one.key] !== undefined);
  const selection = facet && query.selections[facet.key];
  const searched = selection?.type === 'search' ? selection.text : null;
  if (facet && searched !== null && (named ? named.by === 'relevance' : lens.sort.relevanceWhenSearching)) {
    const rank = relevance(collection, facet, searched);
    const ranked = posts.map((post) => ({ post, rank: rank(post) }));
    // equal to the last few bits is a tie: the two sums are added up in different orders
    const near = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a));
    ranked.sort(
      (a, b) =>
        b.rank[0] - a.rank[0] ||
        (near(a.rank[1], b.rank[1]) ? 0 : b.rank[1] - a.rank[1]) ||
        (a.post.id < b.post.id ? -1 : 1),
    );
    return ranked.map(({ post }) => post);
  }
  const option = named ?? defaultSort(lens);
  if (!option || option.by !== 'field') return byPublished(collection).filter((post) => posts.includes(post));
  return inOrderOf(posts, option);
}

function inOrderOf(posts: readonly Post[], { field, order, then }: SortOption): Post[] {
  const keys = [{ field, order }, ...then];
  return [...posts].sort((a, b) => {
    for (const key of keys) {
      const found = compare(a.values[key.field], b.values[key.field], key.order === 'asc' ? 1 : -1);
      if (found !== 0) return found;
    }
    return a.id < b.id ? -1 : 1;
  });
}

function compare(a: Value | undefined, b: Value | undefined, sign: 1 | -1): number {
  if (a === undefined || b === undefined) return a === b ? 0 : a === undefined ? 1 : -1;
  return a < b ? -sign : a > b ? sign : 0;
}
