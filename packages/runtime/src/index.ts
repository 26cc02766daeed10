import { focusOnSlash } from './draw/search.js';
import {
  IvyChips,
  IvyCount,
  IvyFacet,
  IvyFacets,
  IvyLens,
  IvyPager,
  IvyResults,
  IvySort,
} from './elements/elements.js';

const elements = {
  'ivy-lens': IvyLens,
  'ivy-facets': IvyFacets,
  'ivy-facet': IvyFacet,
  'ivy-chips': IvyChips,
  'ivy-count': IvyCount,
  'ivy-sort': IvySort,
  'ivy-results': IvyResults,
  'ivy-pager': IvyPager,
};

// the first script of a page does this for all
if (!customElements.get('ivy-lens')) focusOnSlash();

// a page may carry the script twice; the second time there is nothing left to do
for (const [tag, element] of Object.entries(elements)) {
  if (!customElements.get(tag)) customElements.define(tag, element);
}

if (/[?&]ivy-check\b/.test(location.search)) void import('./later/check-page.js').then((one) => one.checkPage());

export type { FromPreview, PageState, ToPreview } from './listing/preview.js';
export type { Reply } from './listing/transport.js';
