import type { FieldDescription } from '../fields/describe.js';
import type { FieldRole } from '../model/post.js';
import { SlugMaker } from '../text/slug.js';
import { suggestCard } from './card.js';

interface ProposedFacet {
  key: string;
  kind: 'checkboxes' | 'radios' | 'tree';
  field: string;
  label: string;
}

/** Most facets a proposal starts with: more would be a wall to a visitor. */
const mostFacets = 6;

/**
 * Proposes a lens for a source: a facet for each field that sorts posts into few groups, newest first, and a card
 * of the fields that have a role.
 * @returns a config to be read by `readLens`
 */
export function proposeLens(fields: readonly FieldDescription[]): object {
  const keys = new SlugMaker();
  for (const name of ['sort', 'page']) keys.keep(name);
  const facets = suitableFields(fields)
    .slice(0, mostFacets)
    .map((field) => proposeFacet(field, keys));
  const byRole = (role: FieldRole) => fields.find((field) => field.role === role);
  const published = byRole('published');
  const title = byRole('title');
  const options = [
    ...(published
      ? [
          { key: 'newest', label: 'Newest first', field: published.key, order: 'desc' },
          { key: 'oldest', label: 'Oldest first', field: published.key, order: 'asc' },
        ]
      : []),
    ...(title ? [{ key: 'title', label: 'Title, A to Z', field: title.key, order: 'asc' }] : []),
  ];
  const card = suggestCard(
    fields,
    facets.map((facet) => facet.field),
  );
  return { version: 1, facets, sort: { options, default: options[0]?.key ?? '' }, card: { parts: card } };
}

/** Fields that make a good facet, best first: each would split the posts into two to fifty groups. */
export function suitableFields(fields: readonly FieldDescription[]): FieldDescription[] {
  return fields
    .filter((field) => field.role === null || field.role === 'author')
    .filter((field) => field.type === 'terms' || field.type === 'boolean')
    .filter((field) => field.distinct >= 2 && (field.tree || field.distinct <= 50));
}

/** The facet a field is best shown as. */
export function proposeFacet(field: FieldDescription, keys: SlugMaker): ProposedFacet {
  const kind = field.tree ? 'tree' : field.type === 'boolean' ? 'radios' : 'checkboxes';
  return { key: keys.make(field.key), kind, field: field.key, label: field.label };
}
