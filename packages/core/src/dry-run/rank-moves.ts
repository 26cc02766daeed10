import { answer } from '../answer/answer.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf } from '../kinds/kinds.js';
import type { Answer } from '../lens/answer.js';
import type { Query } from '../lens/query.js';

/** Where a post of the first page stands by a search's weights, and where it would without them. */
export interface RankMove {
  id: string;
  title: string;
  /** From 1; null where it would not be on the first page. */
  before: number | null;
}

/** Posts up to which the words are weighed a second time while one waits. */
const mostPosts = 50_000;

/**
 * What weights of its own do to the first page of each search, by facet: posts in their order with where they would stand
 * by the usual weights. Only while it is searched and the best matches stand first.
 */
export function rankMoves(index: PostIndex, query: Query, { items, sort, page }: Answer): Record<string, RankMove[]> {
  const moves: Record<string, RankMove[]> = {};
  if (sort !== 'relevance' || page > 1 || index.size > mostPosts) return moves;
  for (const facet of query.lens.facets) {
    if (!kindOf(facet).finding || !query.selections[facet.key] || !('weights' in facet)) continue;
    if (Object.keys(facet.weights).length === 0) continue;
    const facets = query.lens.facets.map((one) => (one === facet ? { ...facet, weights: {} } : one));
    const usual = answer(index, { ...query, lens: { ...query.lens, facets } });
    const places = new Map(usual.items.map(({ id }, i) => [id, i + 1]));
    moves[facet.key] = items.map(({ id, title }) => ({ id, title, before: places.get(id) ?? null }));
  }
  return moves;
}
