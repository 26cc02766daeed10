import type { Indexed } from '../kinds/common.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import type { Selection } from '../model/selection.js';

/** Which addresses with a choice in a facet search engines may keep. */
export function indexedOf(facet: Facet): Indexed {
  const { isListable } = kindOf(facet);
  // what can't be listed has as many addresses as there are days, numbers or words
  if (!isListable) return 'never';
  return facet.indexed ?? 'alone';
}

/**
 * Whether search engines may keep the page of an address: no more choices than its facets let stand together, one value each,
 * in the lens's own order and size, and with something to find.
 * @param matched  how many posts it finds
 */
export function mayBeIndexed({ lens, selections, sort, size }: Query, matched: number): boolean {
  if (matched === 0 || sort !== null || size !== undefined) return false;
  const chosen = lens.facets.filter((facet) => isChosen(facet, selections[facet.key]));
  if (chosen.some((facet) => !isOne(selections[facet.key]))) return false;
  const rules = chosen.map(indexedOf);
  if (rules.length > 2 || rules.includes('never')) return false;
  return rules.length < 2 || rules.every((rule) => rule === 'paired');
}

/** Whether something is chosen that a clean address would not have. */
function isChosen(facet: Facet, selection: Selection | undefined): boolean {
  const { start } = kindOf(facet);
  return JSON.stringify(selection) !== JSON.stringify(start(facet));
}

function isOne(selection: Selection | undefined): boolean {
  if (selection?.type === 'switch') return true;
  return selection?.type === 'term' || (selection?.type === 'terms' && selection.terms.length === 1);
}

/** What a lens says of each facet, in its order. */
export function indexRules(lens: Lens): { facet: Facet; indexed: Indexed; canSay: boolean }[] {
  return lens.facets.map((facet) => ({
    facet,
    indexed: indexedOf(facet),
    canSay: kindOf(facet).isListable ?? false,
  }));
}
