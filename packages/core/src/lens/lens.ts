import {
  choice,
  flag,
  list,
  object,
  optional,
  readShape,
  table,
  text,
  whole,
  withDefault,
  type JsonSchema,
  type ShapeProblem,
  type TypeOf,
} from '../shape/shape.js';
import { cardPartShape } from '../card/parts.js';
import { addressName, fieldKey, slug } from '../kinds/common.js';
import { facetShape } from '../kinds/kinds.js';
import { lookShape, makeLook } from '../look/look.js';
import { textsShape } from '../model/texts.js';
import { pagingShape } from '../paging/paging.js';
import { markupShape, noMarkup } from './markup.js';

/*
 * The one definition of a lens's config. Types, validation, defaults and the JSON Schema all come from here.
 */

const postId = text({ min: 1, max: 500 });

/** A name as it stands in an address, its prefix with it. */
const wholeName = text({ min: 1, max: 90 });

const sortOption = object({
  key: addressName,
  /** What addresses called it before; they keep working. */
  aliases: withDefault(list(addressName, 20), () => []),
  /** Empty: what it does, in the language visitors read. */
  label: withDefault(text({ max: 120 }), () => ''),
  /** A field; or `relevance`, or `shuffle`, by `by`. */
  by: withDefault(choice('field', 'relevance', 'shuffle'), () => 'field' as const),
  field: withDefault(text({ max: 120 }), () => ''),
  order: withDefault(choice('asc', 'desc'), () => 'asc' as const),
  /** By what ties fall, one after the other. */
  then: withDefault(
    list(object({ field: fieldKey, order: withDefault(choice('asc', 'desc'), () => 'asc' as const) }), 4),
    () => [],
  ),
});

const lensShape = object({
  version: withDefault(choice(1), () => 1 as const),
  scope: withDefault(
    object({
      where: withDefault(list(object({ field: fieldKey, is: list(slug, 500) }), 20), () => []),
      /** Ids of posts that are there whatever `where` says, and of those that are not. */
      include: withDefault(list(postId, 5000), () => []),
      exclude: withDefault(list(postId, 5000), () => []),
      /** Ids of posts that stand first, in this order, while no visitor has chosen another. */
      pinned: withDefault(list(postId, 50), () => []),
      limit: optional(whole(1, 10_000_000)),
    }),
    () => ({ where: [], include: [], exclude: [], pinned: [] }),
  ),
  /**
   * What it follows of other lenses on the same page: terms chosen in a facet there narrow the posts here, by the field
   * here that has the same terms.
   */
  follows: withDefault(list(object({ lens: slug, facet: addressName, field: fieldKey }), 10), () => []),
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
  paging: withDefault(pagingShape, () => ({ mode: 'pages' as const, size: 12, sizes: [] })),
  /** What stands where nothing matches, besides the ways out: nothing, or posts, of those that have some terms or of all. */
  nothing: withDefault(
    object({
      show: withDefault(choice('ways', 'posts'), () => 'ways' as const),
      where: withDefault(list(object({ field: fieldKey, is: list(slug, 500) }), 20), () => []),
      size: withDefault(whole(1, 24), () => 3),
    }),
    () => ({ show: 'ways' as const, where: [], size: 3 }),
  ),
  card: withDefault(
    object({
      parts: withDefault(list(cardPartShape, 30), () => []),
      /** What of a card leads to the post. */
      link: withDefault(choice('card', 'title', 'button', 'none'), () => 'card' as const),
      newTab: withDefault(flag(), () => false),
    }),
    () => ({ parts: [], link: 'card' as const, newTab: false }),
  ),
  look: withDefault(lookShape, makeLook),
  texts: withDefault(textsShape, () => ({})),
  /** What visitors read in further languages: words by tag, and what the lens itself says by where it stands. */
  languages: withDefault(
    table(
      object({
        texts: withDefault(textsShape, () => ({})),
        labels: withDefault(table(text({ max: 300 }), 1000), () => ({})),
      }),
      30,
    ),
    () => ({}),
  ),
  address: withDefault(
    object({
      prefix: withDefault(
        text({ max: 30, pattern: /^[a-z0-9_-]*$/, says: 'must be lower-case letters, digits, - or _' }),
        () => '',
      ),
      sort: withDefault(addressName, () => 'sort'),
      page: withDefault(addressName, () => 'page'),
      size: withDefault(addressName, () => 'size'),
      /** Whole names that addresses had before, and the name without prefix that stands in their place now. */
      former: withDefault(list(object({ name: wholeName, is: addressName }), 500), () => []),
      /** Whole names that are let go: once live, and read no more. */
      gone: withDefault(list(wholeName, 500), () => []),
      /** When a choice takes effect. */
      apply: withDefault(choice('change', 'button'), () => 'change' as const),
    }),
    () => ({
      prefix: '',
      sort: 'sort',
      page: 'page',
      size: 'size',
      former: [],
      gone: [],
      apply: 'change' as const,
    }),
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
  markup: withDefault(markupShape, noMarkup),
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
export type SortOption = Lens['sort']['options'][number];

/** Reads a config as it was sent: either a whole lens, or every problem in it with a pointer. */
export function readLens(config: unknown): { ok: true; value: Lens } | { ok: false; problems: ShapeProblem[] } {
  return readShape(lensShape, config);
}

/** The JSON Schema (2020-12) of a config. */
export function lensSchema(): JsonSchema {
  return { $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'Lens', ...lensShape.schema };
}

/** The sort a page has when its address names none; null when the lens has no sort options. */
export function defaultSort(lens: Lens): SortOption | null {
  return lens.sort.options.find((option) => option.key === lens.sort.default) ?? lens.sort.options[0] ?? null;
}
