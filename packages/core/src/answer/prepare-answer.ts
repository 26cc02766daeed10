import type { PostIndex } from '../engine/index/post-index.js';
import type { Steps } from '../engine/base/steps.js';
import { kindOf } from '../kinds/kinds.js';
import { selectionsOf, type Query } from '../lens/query.js';
import { sortKeysOf, sortOf } from '../lens/sort.js';
import { pageSizeOf } from '../paging/paging.js';
import { rankByRelevance, stepsToRank } from '../engine/words/relevance.js';
import { passQuery, planOf, withScratch } from './plan.js';

/** Posts of words from which putting a search in order is done step by step. */
const manyPostings = 100_000;

const ranked = new WeakMap<Query, readonly number[]>();

/** The posts of a query by relevance, as far as its page goes, if that was worked out ahead. */
export function rankedAhead(query: Query): readonly number[] | undefined {
  return ranked.get(query);
}

/**
 * Makes what the answer to a query would take long for, step by step: the order it asks for, its searches, and the order
 * of what they find. An answer without this is the same, but holds everybody up while it is worked out.
 * @param many  posts of words from which the order of what is found is worked out too
 */
export function* prepareAnswer(index: PostIndex, query: Query, many = manyPostings): Steps<void> {
  const { lens, selections } = query;
  const sort = sortOf(query);
  if (sort?.by === 'field' && index.field(sort.field)) yield* index.prepareOrder(sortKeysOf(sort));
  if (sort?.by === 'shuffle') yield* index.prepareShuffle(query.seed ?? '');
  let isFirst = true;
  for (const facet of lens.facets) {
    const { finding } = kindOf(facet);
    const selection = finding && selections[facet.key];
    if (selection?.type !== 'search') continue;
    yield* finding!.prepareText(index, facet);
    const found = yield* finding!.prepareSearch(index, facet, selection.text);
    const text = finding!.textIndex(index, facet);
    if (isFirst && sort?.by === 'relevance' && stepsToRank(text, found) > many) {
      const matched = withScratch(index, () => {
        const { scope } = planOf(index, lens);
        return passQuery(index, scope, lens, selectionsOf(query)).combined.all.settled(index.arena);
      });
      yield;
      const size = pageSizeOf(lens.paging, query.size ?? null);
      const pages = Math.max(1, Math.ceil(matched.count / Math.max(1, size)));
      const { idPlaces } = index;
      const byId = (a: number, b: number) => idPlaces[a]! - idPlaces[b]!;
      const upTo = Math.min(query.page, pages) * size;
      ranked.set(query, yield* rankByRelevance(text, found, matched, upTo, byId, null));
    }
    isFirst = false;
  }
}
