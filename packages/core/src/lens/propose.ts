import type { FieldDescription } from '../fields/describe.js';
import { maxAddressName, maxLabel } from '../kinds/common.js';
import { facetKinds, kinds, type FacetKind } from '../kinds/kinds.js';
import { hasTerms, holdsTerms, type Field, type FieldRole } from '../model/post.js';
import { isInherited } from '../text/own.js';
import { SlugMaker } from '../text/slug.js';
import { suggestCard } from './card.js';

interface ProposedFacet {
  key: string;
  kind: FacetKind;
  field?: string;
  fields?: string[];
  endField?: string;
  label: string;
}

/** Gives facets keys that can stand in an address, each once. */
export class FacetKeys {
  readonly #slugs = new SlugMaker();

  /** @param taken  names that are in use already */
  constructor(taken: Iterable<string>) {
    for (const name of taken) this.#slugs.keep(name);
  }

  /** A key much like a name, whatever that is. */
  make(name: string): string {
    // a letter that stands on others, or a title-case one, is fine in a label but not in an address
    const plain = name
      .normalize('NFKC')
      .toLowerCase()
      .replace(/[^\p{Ll}\p{Lo}\p{M}\p{N}]+/gu, ' ');
    const bare = plain.replace(/^[^\p{Ll}\p{Lo}\p{N}]+/u, '').trim() || 'facet';
    for (;;) {
      const key = this.#slugs.make(bare, maxAddressName);
      if (!isInherited(key)) return key;
    }
  }
}

/** Most facets of terms a proposal starts with: more would be a wall to a visitor. */
const mostFacets = 6;

/**
 * Proposes a lens for a source: a search, a facet for each field that sorts posts into few groups, a range of days,
 * newest first, and a card of the fields that have a role.
 * @returns a config to be read by `readLens`
 */
export function proposeLens(fields: readonly FieldDescription[]): object {
  const keys = new FacetKeys(['sort', 'page']);
  const suitable = suitableFields(fields);
  const isShort = (field: FieldDescription) => field.tree || field.distinct <= fewTerms;
  const ofTerms = suitable.filter((field) => hasTerms(field));
  // short lists are read at a glance, so they come before those that are typed in
  const terms = [...ofTerms.filter(isShort), ...ofTerms.filter((field) => !isShort(field))].slice(0, mostFacets);
  const numbers = suitable.filter((field) => field.type === 'number').slice(0, mostNumbers);
  const ends = new Set(fields.map(({ end }) => end));
  const days = suitable
    .filter((field) => (field.type === 'date' || field.type === 'datetime') && !ends.has(field.key))
    .slice(0, 1);
  const found = [...terms, ...numbers, ...days];
  const chosen = found.length > 0 ? found : lastResort(fields);
  const facets = [...proposeSearch(fields, keys), ...chosen.map((field) => proposeFacet(field, keys))];
  const byRole = (role: FieldRole) => fields.find((field) => field.role === role);
  const published = byRole('published');
  const title = byRole('title');
  const options = [
    ...(published
      ? [
          { key: 'newest', label: '', field: published.key, order: 'desc' },
          { key: 'oldest', label: '', field: published.key, order: 'asc' },
        ]
      : []),
    ...(title ? [{ key: 'title', label: '', field: title.key, order: 'asc' }] : []),
  ];
  const card = suggestCard(
    fields,
    terms.map((field) => field.key),
  );
  return { version: 1, facets, sort: { options, default: options[0]?.key ?? '' }, card: { parts: card } };
}

/** Most ranges of numbers a proposal starts with. */
const mostNumbers = 2;
/** Terms up to which a list is read at a glance, and up to which one is typed in. */
const fewTerms = 50;
const manyTerms = 2000;

/** Fields that make a good facet: terms that split the posts into groups, dates, and numbers that measure something. */
export function suitableFields(fields: readonly FieldDescription[]): FieldDescription[] {
  return fields.filter((field) => {
    if (field.distinct < 2) return false;
    if (field.type === 'date' || field.type === 'datetime') return true;
    if (field.role !== null && field.role !== 'author') return false;
    if (holdsTerms(field)) return field.tree || field.distinct <= manyTerms;
    return field.type === 'boolean' || measures(field);
  });
}

/** Names of numbers that count or place things, and of which nobody asks for “from 10 to 20”. */
const bareNumbers =
  /(^|[\W_])(id|nr|no|num|number|index|position|order|zip|plz|postcode|phone|lat|latitude|lng|lon|longitude)$/i;

/** Whether numbers measure something: they differ, and do not merely number the posts. */
function measures({ type, key, distinct, filled, spread }: FieldDescription): boolean {
  if (type !== 'number' || distinct < 3 || !spread || bareNumbers.test(key)) return false;
  const span = Number(spread.high) - Number(spread.low);
  return !(distinct === filled && span === filled - 1);
}

/** What a facet is made of where nothing suits well, so that a first lens is never without one. */
function lastResort(fields: readonly FieldDescription[]): FieldDescription[] {
  const any = fields.filter(({ role, distinct }) => role !== 'id' && distinct >= 2);
  const best = any.find(hasTerms) ?? any.find(({ type }) => type === 'number');
  return best ? [best] : [];
}

/** Fields a facet can be made of, if one asks for it: also those with more terms than a first lens should start with. */
export function usableFields(fields: readonly FieldDescription[]): FieldDescription[] {
  const suitable = new Set(suitableFields(fields));
  return fields.filter((field) => suitable.has(field) || ((holdsTerms(field) || isName(field)) && field.distinct > 1));
}

/** Whether a field is a name by which things are looked up: a title, an author, a text that is nothing else. */
function isName({ type, role }: Field): boolean {
  return type === 'text' && (role === null || role === 'title' || role === 'author');
}

/** The facet a field is best shown as. */
export function proposeFacet(field: FieldDescription, keys: FacetKeys): ProposedFacet {
  const label = field.label.slice(0, maxLabel);
  const { kind } = suitingKind(field);
  const lasts = field.end !== undefined && kinds[kind].hasEnds ? { endField: field.end } : {};
  return { key: keys.make(field.key), kind, field: field.key, ...lasts, label };
}

/** The kind of facet that suits a field, and why in a few words. */
export function suitingKind(field: FieldDescription): { kind: FacetKind; why: string } {
  for (const kind of facetKinds) {
    const why = kinds[kind].suits(field);
    if (why !== null) return { kind, why };
  }
  throw new Error(`No kind of facet suits a field of ${field.type}.`);
}

/** The fields a search is best made in: those with words to read. */
export function searchableFields<F extends Field>(fields: readonly F[]): F[] {
  return fields.filter((field) => (field.type === 'text' || field.type === 'html') && field.role !== 'id');
}

/** A search in all that reads, if there is anything. */
export function proposeSearch(fields: readonly FieldDescription[], keys: FacetKeys): ProposedFacet[] {
  const searched = searchableFields(fields).slice(0, 20);
  if (searched.length === 0) return [];
  return [{ key: keys.make('q'), kind: 'search', fields: searched.map((field) => field.key), label: '' }];
}
