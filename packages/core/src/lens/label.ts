import { fieldsOf, isSearch, type Facet } from '../model/lens.js';
import type { Field } from '../model/post.js';
import { humanise } from '../text/slug.js';

/** What a facet is called: its own label, or its field's; a search goes by its key. */
export function facetLabel(facet: Facet, fields: readonly Field[]): string {
  if (facet.label !== '') return facet.label;
  const [first] = isSearch(facet) ? [] : fieldsOf(facet);
  return (
    fields.find((field) => field.key === first)?.label ??
    (isSearch(facet) && facet.key === 'q' ? 'Search' : humanise(facet.key))
  );
}
