import { kindOf, proposeSearch, searchableFields, type FacetOf } from '@ivy/core';
import { insertFacet, keysIn } from '../edits.js';
import { SearchWiring } from '../search-wiring.js';
import type { KindDesk } from './kind-desk.js';

export const search: KindDesk<FacetOf<'search'>> = {
  name: 'Search',
  Main: SearchWiring,
  unfolds: 'Visitors unfold it to see its box',
  addition: {
    name: 'search',
    fact: 'in the words',
    isFree: (lens, fields) =>
      !lens.facets.some((facet) => kindOf(facet).finding) && searchableFields(fields).length > 0,
    // before all other facets, where one looks for it
    add: (lens, fields) => {
      const [proposed] = proposeSearch(fields, keysIn(lens));
      return proposed ? insertFacet(lens, proposed, 0) : null;
    },
  },
};
