import { countMatched } from '../answer/answer.js';
import { planOf } from '../answer/plan.js';
import { rangeColumns } from '../answer/range-parts.js';
import { textIndexOf } from '../answer/passing.js';
import { PostSet } from '../index/post-set.js';
import type { PostIndex } from '../index/post-index.js';
import { postsUnder } from '../index/term-column.js';
import { isFavourites, isRange, isSearch, isTerms, type Facet, type Lens } from '../model/lens.js';
import type { Query, Selection } from '../model/query.js';

/** One setting of one facet, as it might be. */
export type SettingChange =
  { facet: string; match: 'any' | 'all' } | { facet: string; hide: string } | { facet: string; field: string };

/** What a lens would give with a setting changed. */
export interface Preview {
  /** Posts that match the same choices; a choice the facet could not offer any more is lifted. */
  matched: number;
  /** Posts of the scope that some choice in the facet would give. */
  reached: number;
  /** Choices it would offer; null where they can't be listed, as of a range. */
  choices: number | null;
}

/**
 * The numbers a setting would give, before it is set. The index is as it is: a column that was never asked for is the
 * most that is made.
 */
export function preview(index: PostIndex, query: Query, change: SettingChange): Preview {
  const lens = withSetting(query.lens, change);
  const facet = lens.facets.find((one) => one.key === change.facet);
  if (!facet) throw new Error(`The lens has no facet “${change.facet}”.`);
  const { [facet.key]: selection, ...others } = query.selections;
  const kept = selection && 'field' in change ? carriedOver(index, facet, selection) : selection;
  const selections = kept ? { ...others, [facet.key]: kept } : others;
  return { matched: countMatched(index, { ...query, lens, selections }), ...offered(index, lens, facet) };
}

/** A lens with a setting changed. */
export function withSetting(lens: Lens, change: SettingChange): Lens {
  const facets = lens.facets.map((facet) => (facet.key === change.facet ? changedFacet(facet, change) : facet));
  return { ...lens, facets };
}

function changedFacet(facet: Facet, change: SettingChange): Facet {
  if ('match' in change) {
    if (isSearch(facet)) return { ...facet, words: change.match };
    return isTerms(facet) ? { ...facet, match: change.match } : facet;
  }
  if ('hide' in change) return isTerms(facet) ? { ...facet, hide: [...facet.hide, change.hide] } : facet;
  if (isFavourites(facet)) return facet;
  return isSearch(facet) ? { ...facet, fields: [change.field] } : { ...facet, field: change.field };
}

/** A choice in the terms of another field: those it does not have are dropped, and nothing is left of none. */
function carriedOver(index: PostIndex, facet: Facet, selection: Selection): Selection | null {
  if (isSearch(facet) || isRange(facet) || isFavourites(facet) || selection.type !== 'terms') return selection;
  const terms = selection.terms.filter((slug) => index.termOf(facet.field, slug) !== null);
  return terms.length === 0 ? null : { ...selection, terms };
}

function offered(index: PostIndex, lens: Lens, facet: Facet): Pick<Preview, 'reached' | 'choices'> {
  const { scope, facets } = planOf(index, lens);
  const count = (posts: PostSet) => scope.set.and(posts).count;
  if (isFavourites(facet)) return { reached: scope.set.count, choices: null };
  if (isSearch(facet)) {
    const { lengths } = textIndexOf(index, facet);
    const worded = Uint32Array.from({ length: index.size }, (_, p) => p).filter((p) => lengths[p]! > 0);
    return { reached: count(PostSet.ofList(index.size, worded)), choices: null };
  }
  if (isRange(facet)) {
    return { reached: count(PostSet.ofBits(index.size, rangeColumns(index, lens, facet).start.filled)), choices: null };
  }
  const { column, shown } = facets[lens.facets.indexOf(facet)]!.terms!;
  const offers = column.terms.flatMap((_, t) => ((shown?.shown[t] ?? 1) === 1 && column.sizes[t]! > 0 ? [t] : []));
  return { reached: count(postsUnder(column, offers)), choices: offers.length };
}
