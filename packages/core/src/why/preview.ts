import { countMatched } from '../answer/answer.js';
import { planOf } from '../answer/plan.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { SettingChange } from '../kinds/setting-change.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import type { Selection } from '../model/selection.js';

/** What a lens would give with a setting changed. */
export interface Preview {
  /** Posts that match the same choices; a choice the facet could not offer any more is left out. */
  matched: number;
  /** Posts of the scope that some choice in the facet would give. */
  reached: number;
  /** Choices it would offer; null where they can't be listed, as of a range. */
  choices: number | null;
}

/**
 * The numbers a setting would give, before it is set. The index is as it is: a column that was never asked for is the
 * most that is made.
 * No route or screen leads here yet; the one that shows it will.
 */
export function preview(index: PostIndex, query: Query, change: SettingChange): Preview {
  const lens = withSetting(query.lens, change);
  const facet = lens.facets.find((one) => one.key === change.facet);
  if (!facet) throw new Error(`The lens has no facet “${change.facet}”.`);
  const { [facet.key]: selection, ...others } = query.selections;
  const kept = selection && 'field' in change ? carriedOver(index, lens, facet, selection) : selection;
  const selections = kept ? { ...others, [facet.key]: kept } : others;
  return { matched: countMatched(index, { ...query, lens, selections }), ...offered(index, lens, facet) };
}

/** A lens with a setting changed. */
export function withSetting(lens: Lens, change: SettingChange): Lens {
  const facets = lens.facets.map((facet) =>
    facet.key === change.facet ? kindOf(facet).changed(facet, change) : facet,
  );
  return { ...lens, facets };
}

/** A choice in the terms of another field: those it does not have are dropped, and nothing is left of none. */
function carriedOver(index: PostIndex, lens: Lens, facet: Facet, selection: Selection): Selection | null {
  const { terms: column } = kindOf(facet).columns(index, lens, facet);
  if (!column || selection.type !== 'terms') return selection;
  const terms = selection.terms.filter((slug) => column.numbers.has(slug));
  return terms.length === 0 ? null : { ...selection, terms };
}

function offered(index: PostIndex, lens: Lens, facet: Facet): Pick<Preview, 'reached' | 'choices'> {
  const { scope, facets } = planOf(index, lens);
  const { posts, choices } = kindOf(facet).offered(index, facet, facets[lens.facets.indexOf(facet)]!);
  return { reached: scope.set.and(posts).count, choices };
}
