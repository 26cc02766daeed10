import type { PostIndex } from '../engine/index/post-index.js';
import type { Option } from '../model/answer.js';
import { kindOf } from '../kinds/kinds.js';
import { selectionsOf, type Query } from '../lens/query.js';
import { chosenTerms } from './passing.js';
import { countedOf, passQuery, planOf, withScratch } from './plan.js';

/** Terms of a facet that hold a text, with their counts. */
export interface FoundTerms {
  /** Most posts first, each as an option of its own: `depth` is 0. */
  options: Option[];
  /** How many more hold the text. */
  more: number;
}

/**
 * Finds terms of a facet by a part of their labels, those too that its answer leaves out for being too many.
 * @param key  of the facet
 * @returns null where the lens has no facet of terms with that key
 */
export function findTerms(index: PostIndex, query: Query, key: string, text: string): FoundTerms | null {
  const { lens } = query;
  const at = lens.facets.findIndex((one) => one.key === key);
  const facet = lens.facets[at];
  if (!facet) return null;
  const kind = kindOf(facet);
  if (!kind.find) return null;
  return withScratch(index, () => {
    const plan = planOf(index, lens);
    const selections = selectionsOf(query);
    const passed = passQuery(index, plan.scope, lens, selections);
    const { all, leaveOneOut } = countedOf(plan, passed, selections);
    const place = passed.places[at]!;
    const under = place < 0 || kind.keepsOwn(facet) ? all : leaveOneOut(place);
    const selection = selections[at];
    const chosen = selection ? chosenTerms(index, lens, facet, selection) : [];
    return kind.find!(facet, plan.facets[at]!, under, chosen, text);
  });
}
