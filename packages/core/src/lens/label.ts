import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Field } from '../model/post.js';
import { humanise } from '../text/slug.js';

/** What a facet is called: its own label, or its field's, or else what its key says. */
export function facetLabel(facet: Facet, fields: readonly Field[]): string {
  if (facet.label !== '') return facet.label;
  const { finding, labelField } = kindOf(facet);
  const named = labelField(facet);
  const standIn = finding && facet.key === 'q' ? 'Search' : humanise(facet.key);
  return fields.find((field) => field.key === named)?.label ?? standIn;
}
