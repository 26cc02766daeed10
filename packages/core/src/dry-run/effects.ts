import { countMatched } from '../answer/answer.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf } from '../kinds/kinds.js';
import type { SettingChange } from '../kinds/setting-change.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';

/** Results with the same choices under each way of matching: known before it is set. */
export interface MatchEffect {
  any: number;
  all: number;
}

/** What any and all would give: of terms, for every facet that may hold several; of words, for every search. */
export function matchEffects(index: PostIndex, query: Query): Record<string, MatchEffect> {
  const effects: Record<string, MatchEffect> = {};
  for (const facet of query.lens.facets) {
    if (!kindOf(facet).takesMatch(facet)) continue;
    const matched = (match: 'any' | 'all') =>
      countMatched(index, { ...query, lens: withSetting(query.lens, { facet: facet.key, match }) });
    effects[facet.key] = { any: matched('any'), all: matched('all') };
  }
  return effects;
}

/** A lens with a setting changed. */
function withSetting(lens: Lens, change: SettingChange): Lens {
  const facets = lens.facets.map((facet) =>
    facet.key === change.facet ? kindOf(facet).changed(facet, change) : facet,
  );
  return { ...lens, facets };
}
