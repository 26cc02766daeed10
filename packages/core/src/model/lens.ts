import {
  choice,
  flag,
  list,
  object,
  optional,
  readShape,
  table,
  text,
  variant,
  whole,
  withDefault,
  type JsonSchema,
  type ShapeProblem,
  type TypeOf,
} from '../shape/shape.js';
import { textsShape } from './texts.js';

/*
 * The one definition of a lens's config. Types, validation, defaults and the JSON Schema all come from here.
 */

/** Most characters of a name in an address. */
export const maxAddressName = 60;
/** Most characters of a facet's label. */
export const maxLabel = 120;

const addressName = text({
  min: 1,
  max: maxAddressName,
  pattern: /^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}_-]*$/u,
  says: 'must be lower-case letters, digits, hyphens or underscores, and begin with a letter or digit',
});
const fieldKey = text({ min: 1, max: 120 });
const slug = text({ min: 1, max: 120 });

const common = {
  /** Its name in the address too. */
  key: addressName,
  /** Empty: the field's own label. */
  label: withDefault(text({ max: maxLabel }), () => ''),
  /** Address names it had before; they keep working. */
  aliases: withDefault(list(addressName, 20), () => []),
  visible: withDefault(flag(), () => true),
  /** Whether it starts folded up; a visitor's own folding is kept on their device. */
  folded: withDefault(flag(), () => false),
  /** Key of another facet: this one is shown only while something is chosen in that. Empty: always. */
  dependsOn: withDefault(text({ max: 60 }), () => ''),
  /** Its colour on the Bench, from 1; without one, the first that is free. Visitors never see it. */
  hue: optional(whole(1, 64)),
};

const terms = {
  ...common,
  field: fieldKey,
  match: withDefault(choice('any', 'all'), () => 'any' as const),
  counts: withDefault(flag(), () => true),
  zero: withDefault(choice('mute', 'hide', 'keep'), () => 'mute' as const),
  order: withDefault(choice('given', 'label', 'count'), () => 'given' as const),
  /** Own order, for `given`: these come first among their siblings, the others after them as given. */
  sequence: withDefault(list(slug, 5000), () => []),
  /** Empty: every term. */
  only: withDefault(list(slug, 5000), () => []),
  hide: withDefault(list(slug, 5000), () => []),
  /** Own labels by term. */
  labels: withDefault(table(text({ min: 1, max: 200 }), 5000), () => ({})),
};
const single = withDefault(flag(), () => false);
const range = {
  ...common,
  field: fieldKey,
  endField: optional(fieldKey),
};

const facetShape = variant('kind', {
  checkboxes: object(terms),
  radios: object(terms),
  dropdown: object({ ...terms, single }),
  buttons: object({
    ...terms,
    single,
    /** `links` are plain links to the address they lead to. */
    as: withDefault(choice('pills', 'links'), () => 'pills' as const),
    /** What happens where they do not fit in a row. */
    row: withDefault(choice('wrap', 'scroll'), () => 'wrap' as const),
  }),
  tree: object({
    ...terms,
    single,
    /** Levels shown from the top; without it, all. Posts of deeper terms count for those above. */
    levels: optional(whole(1, 20)),
  }),
  search: object({
    ...common,
    fields: list(fieldKey, 20),
    words: withDefault(choice('all', 'any'), () => 'all' as const),
    /** How much a hit in a field weighs; 1 where nothing is said, 3 in the title. */
    weights: withDefault(table(whole(1, 20), 20), () => ({})),
  }),
  /** Posts a visitor marked: kept on their device, by id in the address. */
  favourites: object(common),
  'date-range': object({
    ...range,
    /** `day`: one day is picked and not two ends. */
    pick: withDefault(choice('range', 'day'), () => 'range' as const),
    /** Ranges offered by a press: an interval as an address takes it, such as `P30D` or `2026`, or `this-year` and the like. */
    presets: withDefault(
      list(object({ label: text({ min: 1, max: 60 }), range: text({ min: 1, max: 40 }) }), 12),
      () => [],
    ),
  }),
  'number-range': object({
    ...range,
    /** A word after each number. */
    unit: withDefault(text({ max: 30 }), () => ''),
    /** What the slider moves by; without it, 1 for whole numbers. */
    step: optional(whole(1, 1_000_000)),
  }),
  switch: object({
    ...common,
    field: fieldKey,
    counts: terms.counts,
    zero: terms.zero,
    /** Own words for `yes` and `no`. */
    labels: terms.labels,
    /** Where “no” matters too: either, yes, or no. */
    both: withDefault(flag(), () => false),
    /** What an address chooses that does not name the facet. One that is to choose neither then says `either`. */
    start: withDefault(choice('either', 'yes', 'no'), () => 'either' as const),
  }),
});

const sortOption = object({
  key: addressName,
  label: text({ min: 1, max: 120 }),
  /** A field; or `relevance`, or `shuffle`, by `by`. */
  by: withDefault(choice('field', 'relevance', 'shuffle'), () => 'field' as const),
  field: withDefault(text({ max: 120 }), () => ''),
  order: withDefault(choice('asc', 'desc'), () => 'asc' as const),
});

const cardPart = object({
  show: choice('picture', 'title', 'text', 'date', 'terms', 'number', 'yes-no'),
  field: fieldKey,
  /** For a number: a word after it, such as `min`. For a yes-no: the words shown when it is yes. */
  words: withDefault(text({ max: 60 }), () => ''),
});

const lensShape = object({
  version: withDefault(choice(1), () => 1 as const),
  scope: withDefault(
    object({
      where: withDefault(list(object({ field: fieldKey, is: list(slug, 500) }), 20), () => []),
      exclude: withDefault(list(text({ min: 1, max: 500 }), 5000), () => []),
      limit: optional(whole(1, 10_000_000)),
    }),
    () => ({ where: [], exclude: [] }),
  ),
  facets: withDefault(list(facetShape, 60), () => []),
  sort: withDefault(
    object({
      options: withDefault(list(sortOption, 30), () => []),
      /** Key of an option; empty: the first one. */
      default: withDefault(text({ max: 60 }), () => ''),
      /** With a search and no sort in the address, best matches come first. */
      relevanceWhenSearching: withDefault(flag(), () => true),
    }),
    () => ({ options: [], default: '', relevanceWhenSearching: true }),
  ),
  paging: withDefault(
    object({
      mode: withDefault(choice('pages', 'all'), () => 'pages' as const),
      size: withDefault(whole(1, 200), () => 12),
    }),
    () => ({ mode: 'pages' as const, size: 12 }),
  ),
  card: withDefault(object({ parts: withDefault(list(cardPart, 30), () => []) }), () => ({ parts: [] })),
  look: withDefault(
    object({
      /** Where the facets stand on a wide page. */
      facets: withDefault(choice('side', 'top'), () => 'side' as const),
      /** Cards in a row where there is room. */
      columns: withDefault(whole(1, 6), () => 3),
    }),
    () => ({ facets: 'side' as const, columns: 3 }),
  ),
  texts: withDefault(textsShape, () => ({})),
  address: withDefault(
    object({
      prefix: withDefault(
        text({ max: 30, pattern: /^[a-z0-9_-]*$/, says: 'must be lower-case letters, digits, - or _' }),
        () => '',
      ),
      sort: withDefault(addressName, () => 'sort'),
      page: withDefault(addressName, () => 'page'),
      /** When a choice takes effect. */
      apply: withDefault(choice('change', 'button'), () => 'change' as const),
    }),
    () => ({ prefix: '', sort: 'sort', page: 'page', apply: 'change' as const }),
  ),
  /** BCP 47 tag of the language visitors read. */
  language: withDefault(
    text({
      min: 2,
      max: 35,
      pattern: /^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$/,
      says: 'must be a language tag such as en or de-AT',
    }),
    () => 'en',
  ),
  /** IANA time zone that moments are brought to before their day is taken. */
  zone: withDefault(
    text({
      min: 1,
      max: 60,
      pattern: /^[A-Za-z][A-Za-z0-9_+\-/]*$/,
      says: 'must be a time zone such as Europe/Berlin',
    }),
    () => 'UTC',
  ),
  /** Pages that may ask for answers: origins, or `*` for any. */
  origins: withDefault(
    list(
      text({
        min: 1,
        max: 200,
        pattern: /^(\*|https?:\/\/[^/\s]+)$/,
        says: 'must be * or an origin such as https://example.org',
      }),
      50,
    ),
    () => ['*'],
  ),
});

/** A lens's config with every default filled in. */
export type Lens = TypeOf<typeof lensShape>;
export type Facet = Lens['facets'][number];
export type FacetKind = Facet['kind'];
export type SwitchFacet = Extract<Facet, { kind: 'switch' }>;
export type SearchFacet = Extract<Facet, { kind: 'search' }>;
export type RangeFacet = Extract<Facet, { kind: 'date-range' | 'number-range' }>;
export type FavouritesFacet = Extract<Facet, { kind: 'favourites' }>;
export type TermFacet = Exclude<Facet, SwitchFacet | SearchFacet | RangeFacet | FavouritesFacet>;
export type SortOption = Lens['sort']['options'][number];
export type CardPart = Lens['card']['parts'][number];

export const facetKinds: readonly FacetKind[] = [
  'checkboxes',
  'radios',
  'dropdown',
  'buttons',
  'tree',
  'switch',
  'search',
  'date-range',
  'number-range',
  'favourites',
];

/** Reads a config as it was sent: either a whole lens, or every problem in it with a pointer. */
export function readLens(config: unknown): { ok: true; value: Lens } | { ok: false; problems: ShapeProblem[] } {
  return readShape(lensShape, config);
}

/** The JSON Schema (2020-12) of a config. */
export function lensSchema(): JsonSchema {
  return { $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'Lens', ...lensShape.schema };
}

export function isSwitch(facet: Facet): facet is SwitchFacet {
  return facet.kind === 'switch';
}

export function isSearch(facet: Facet): facet is SearchFacet {
  return facet.kind === 'search';
}

export function isRange(facet: Facet): facet is RangeFacet {
  return facet.kind === 'date-range' || facet.kind === 'number-range';
}

export function isTerms(facet: Facet): facet is TermFacet {
  return !isSwitch(facet) && !isSearch(facet) && !isRange(facet) && !isFavourites(facet);
}

export function isFavourites(facet: Facet): facet is FavouritesFacet {
  return facet.kind === 'favourites';
}

/** The fields a facet reads. */
export function fieldsOf(facet: Facet): readonly string[] {
  if (isSearch(facet)) return facet.fields;
  if (isFavourites(facet)) return [];
  return isRange(facet) && facet.endField !== undefined ? [facet.field, facet.endField] : [facet.field];
}

/** Whether at most one term may be chosen in a facet. */
export function isSingle(facet: Facet): boolean {
  return facet.kind === 'radios' || ('single' in facet && facet.single);
}

/** The sort a page has when its address names none; null when the lens has no sort options. */
export function defaultSort(lens: Lens): SortOption | null {
  return lens.sort.options.find((option) => option.key === lens.sort.default) ?? lens.sort.options[0] ?? null;
}
