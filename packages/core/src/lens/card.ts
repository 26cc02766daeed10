import { makePart, type CardPart, type PartName } from '../card/parts.js';
import { kindOf } from '../kinds/kinds.js';
import { fieldWithRole, holdsTerms, type Field } from '../model/post.js';
import type { Lens } from './lens.js';

/** What a card shows: the lens's own parts, or, while it has none, what the fields' roles suggest. */
export function cardParts(lens: Lens, fields: readonly Field[]): CardPart[] {
  if (lens.card.parts.length > 0) return lens.card.parts;
  return suggestCard(
    fields,
    lens.facets.flatMap((facet) => kindOf(facet).fields(facet)),
  );
}

/** A card of the fields that have a role, with the terms of at most two facets. */
export function suggestCard(fields: readonly Field[], facetFields: readonly string[]): CardPart[] {
  const part = (show: PartName, field: Field | undefined): CardPart[] =>
    field ? [makePart({ show, field: field.key })] : [];
  const terms = fields.filter((field) => holdsTerms(field) && facetFields.includes(field.key)).slice(0, 2);
  return [
    ...part('picture', fieldWithRole(fields, 'image')),
    ...part('date', fieldWithRole(fields, 'published')),
    ...part('title', fieldWithRole(fields, 'title')),
    ...part('text', fieldWithRole(fields, 'summary')),
    ...terms.flatMap((field) => part('terms', field)),
  ];
}
