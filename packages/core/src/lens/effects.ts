import { countMatched } from '../answer/answer.js';
import type { PostIndex } from '../index/post-index.js';
import { isSingle, isTerms, type Lens } from '../model/lens.js';
import type { Query } from '../model/query.js';

/** Results with the same choices under each way of matching: known before it is set. */
export interface MatchEffect {
  any: number;
  all: number;
}

/** What any and all would give, for every facet that may hold several terms. */
export function matchEffects(index: PostIndex, query: Query): Record<string, MatchEffect> {
  const effects: Record<string, MatchEffect> = {};
  for (const facet of query.lens.facets) {
    if (!isTerms(facet) || isSingle(facet)) continue;
    const matched = (match: 'any' | 'all') =>
      countMatched(index, { ...query, lens: withMatch(query.lens, facet.key, match) });
    effects[facet.key] = { any: matched('any'), all: matched('all') };
  }
  return effects;
}

function withMatch(lens: Lens, key: string, match: 'any' | 'all'): Lens {
  return { ...lens, facets: lens.facets.map((facet) => (facet.key === key && isTerms(facet) ? { ...facet, match } : facet)) };
}
