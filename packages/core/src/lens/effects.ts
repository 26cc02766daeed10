import { countMatched } from '../answer/answer.js';
import type { PostIndex } from '../index/post-index.js';
import { isSearch, isSingle, isTerms, type Facet } from '../model/lens.js';
import type { Query } from '../model/query.js';

/** Results with the same choices under each way of matching: known before it is set. */
export interface MatchEffect {
  any: number;
  all: number;
}

/** What any and all would give: of terms, for every facet that may hold several; of words, for every search. */
export function matchEffects(index: PostIndex, query: Query): Record<string, MatchEffect> {
  const effects: Record<string, MatchEffect> = {};
  for (const facet of query.lens.facets) {
    if (!isSearch(facet) && (!isTerms(facet) || isSingle(facet))) continue;
    const matched = (match: 'any' | 'all') => countMatched(index, withFacet(query, matching(facet, match)));
    effects[facet.key] = { any: matched('any'), all: matched('all') };
  }
  return effects;
}

function matching(facet: Facet, match: 'any' | 'all'): Facet {
  if (isSearch(facet)) return { ...facet, words: match };
  return isTerms(facet) ? { ...facet, match } : facet;
}

function withFacet(query: Query, facet: Facet): Query {
  const facets = query.lens.facets.map((other) => (other.key === facet.key ? facet : other));
  return { ...query, lens: { ...query.lens, facets } };
}
