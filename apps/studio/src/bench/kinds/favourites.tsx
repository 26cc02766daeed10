import type { FacetOf } from '@ivy/core';
import { insertFacet, keysIn } from '../edits.js';
import type { KindDesk } from './kind-desk.js';

export const favourites: KindDesk<FacetOf<'favourites'>> = {
  name: 'Favourites',
  Main: () => (
    <p className="section text-ink-2">
      Visitors mark posts on their cards. The marks are kept on their device, for all lenses of this source; this switch
      shows only those.
    </p>
  ),
  unfolds: 'Visitors unfold it to see its switch',
  addition: {
    name: 'favourites',
    fact: 'marked by visitors',
    isFree: (lens) => !lens.facets.some((facet) => facet.kind === 'favourites'),
    add: (lens) => insertFacet(lens, { key: keysIn(lens).make('marked'), kind: 'favourites', label: 'Marked' }),
  },
};
