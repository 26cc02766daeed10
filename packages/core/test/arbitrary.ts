import { deepest } from '../src/kinds/terms/read.js';
import { isFavourites, isLetters, isRange, isSearch, isSingle, isSwitch } from './facets.js';
import { type Facet } from '../src/kinds/kinds.js';
import { type Selection } from '../src/model/selection.js';
import fc from 'fast-check';

import { readLens, type Lens } from '../src/lens/lens.js';
import { cleanSearch, readWanted } from '../src/engine/words/wanted.js';
import type { Collection, Field, Post, Term, Value } from '../src/model/post.js';
import type { Query } from '../src/lens/query.js';
import { byCodeUnits } from '../src/text/slug.js';
import { ancestorsOf, lettersOf, termsOf } from './reference.js';

/** A field with all but its key and type left plain. */
export function field(key: string, type: Field['type'], more: Partial<Field> = {}): Field {
  return {
    key,
    label: key,
    type,
    role: null,
    multiple: false,
    tree: false,
    separator: null,
    pathSeparator: null,
    ...more,
  };
}

/** Reads a config that is known to be right. */
export function lensOf(config: object): Lens {
  const read = readLens(config);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

/** Letters of several scripts, so that nothing rests on a to z. */
const label = fc.constantFrom('reed', 'Mud', 'Äsche', 'ß', '東', 'ض', 'x1', 'x10', 'x9', 'Ōtter', '𝒜', 'two words');

/** A tree of up to twelve terms, flat, deep or lopsided: each hangs under one before it or stands at the top. */
const taxonomy: fc.Arbitrary<Term[]> = fc
  .array(fc.tuple(label, fc.option(fc.nat(), { nil: null })), { maxLength: 12 })
  .map((entries) =>
    entries.map(([name, at], i) => ({
      slug: `t${i}`,
      label: name,
      parent: at === null || i === 0 ? null : `t${at % i}`,
    })),
  );

const fields = [
  field('habitat', 'terms', { tree: true, multiple: true }),
  field('kind', 'terms'),
  field('open', 'boolean'),
  field('day', 'date'),
  field('minutes', 'number'),
  field('until', 'number'),
  field('seen', 'datetime'),
  field('title', 'text', { role: 'title' }),
  field('summary', 'text'),
];

/** Words that begin alike, differ by a letter, or fold to one another. */
const word = fc.constantFrom(
  'tern',
  'terns',
  'Térn',
  'fern',
  'reed',
  'reedbed',
  'reedbeds',
  'a',
  'ä',
  'wader',
  'waders',
);
const phrase = fc.array(word, { maxLength: 6 }).map((words) => words.join(' '));
/** Titles begin with letters, and now and then with a digit or neither. */
const title = fc
  .tuple(fc.constantFrom('', '', '', '7 ', '… ', ' '), phrase)
  .map((parts) => parts.join(''))
  .filter((text) => text.trim() !== '');
/** Days close together, a season, and years apart, so that every unit of a histogram comes up. */
const seen = fc.constantFrom(
  '2026-03-29T00:30:00Z',
  '2026-03-28T23:30:00Z',
  '2026-04-02T10:00:00+09:00',
  '2026-08-01T12:00:00',
  '2025-12-31T23:59:59-05:00',
  '2019-06-01T00:00:00Z',
  '2026-03-30',
);

const day = fc.constantFrom('2025-12-31', '2026-01-01', '2026-01-02', '2026-03-01');

function post(taxonomies: Collection['taxonomies']): fc.Arbitrary<Record<string, Value>> {
  const some = (key: string, most: number): fc.Arbitrary<Value | undefined> => {
    const slugs = taxonomies[key]!.map((term) => term.slug);
    return slugs.length === 0
      ? fc.constant(undefined)
      : fc.option(fc.uniqueArray(fc.constantFrom(...slugs), { minLength: 1, maxLength: most }), { nil: undefined });
  };
  return (
    fc
      .record({
        habitat: some('habitat', 4),
        kind: some('kind', 1),
        open: fc.option(fc.boolean(), { nil: undefined }),
        day: fc.option(day, { nil: undefined }),
        minutes: fc.option(fc.oneof(fc.integer({ min: -3, max: 3 }), fc.integer({ min: -200, max: 2000 })), {
          nil: undefined,
        }),
        until: fc.option(fc.integer({ min: -3, max: 2000 }), { nil: undefined }),
        seen: fc.option(seen, { nil: undefined }),
        title: fc.option(title, { nil: undefined }),
        summary: fc.option(phrase, { nil: undefined }),
      })
      .map(
        (values) =>
          Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Record<
            string,
            Value
          >,
      )
      // a span that ends before it starts is no span
      .map((values) =>
        typeof values.minutes === 'number' && typeof values.until === 'number' && values.until < values.minutes
          ? { ...values, until: values.minutes }
          : values,
      )
  );
}

export const collection: fc.Arbitrary<Collection> = fc
  .record({ habitat: taxonomy, kind: taxonomy.map((terms) => terms.map((term) => ({ ...term, parent: null }))) })
  .chain((taxonomies) =>
    fc
      .tuple(fc.constantFrom('day', 'seen'), fc.array(post(taxonomies), { maxLength: 45 }))
      .map(([published, all]): Collection => {
        const posts = all.map((values, i): Post => ({ id: `p${i}`, values }));
        return {
          fields: fields.map((one) => (one.key === published ? { ...one, role: 'published' } : one)),
          taxonomies,
          posts,
        };
      }),
  );

function subset(slugs: readonly string[], most: number): fc.Arbitrary<string[]> {
  return slugs.length === 0 ? fc.constant([]) : fc.uniqueArray(fc.constantFrom(...slugs), { maxLength: most });
}

export function lens(of: Collection): fc.Arbitrary<Lens> {
  const habitats = termsOf(of, 'habitat').map((term) => term.slug);
  return fc
    .record({
      match: fc.constantFrom('any', 'all'),
      kind: fc.constantFrom('checkboxes', 'radios', 'buttons'),
      where: subset(habitats, 3),
      exclude: subset(
        of.posts.map((one) => one.id),
        3,
      ),
      limit: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
      size: fc.integer({ min: 1, max: 8 }),
      mode: fc.constantFrom('pages', 'all', 'more'),
      first: fc.constantFrom('newest', 'short', 'long'),
      words: fc.constantFrom('all', 'any'),
      zone: fc.constantFrom('UTC', 'Europe/Berlin', 'America/New_York', 'Asia/Tokyo'),
      span: fc.boolean(),
      relevance: fc.boolean(),
      start: fc.constantFrom('either', 'yes', 'no'),
      include: subset(
        of.posts.map((one) => one.id),
        3,
      ),
      pinned: subset(
        of.posts.map((one) => one.id),
        4,
      ),
      then: fc.constantFrom(
        [],
        [{ field: 'day', order: 'asc' }],
        [{ field: 'until' }, { field: 'day', order: 'desc' }],
      ),
    })
    .map(
      ({
        include,
        pinned,
        then,
        start,
        words,
        zone,
        span,
        relevance,
        match,
        kind,
        where,
        exclude,
        limit,
        size,
        mode,
        first,
      }) =>
        lensOf({
          scope: {
            where: where.length === 0 ? [] : [{ field: 'habitat', is: where }],
            exclude,
            include,
            pinned,
            ...(limit !== undefined && { limit }),
          },
          facets: [
            { key: 'habitat', kind: 'tree', field: 'habitat', match },
            { key: 'kind', kind, field: 'kind', order: 'count' },
            { key: 'open', kind: 'switch', field: 'open', start },
            { key: 'q', kind: 'search', fields: ['title', 'summary', 'kind'], words },
            { key: 'seen', kind: 'date-range', field: 'seen' },
            { key: 'at', kind: 'time-range', field: 'seen' },
            { key: 'minutes', kind: 'number-range', field: 'minutes', ...(span && { endField: 'until' }) },
            { key: 'saved', kind: 'favourites' },
            { key: 'place', kind: 'steps', field: 'habitat' },
            { key: 'letter', kind: 'letters', field: 'title', single: span },
          ],
          zone,
          sort: {
            options: [
              { key: 'newest', label: 'Newest', field: 'day', order: 'desc' },
              { key: 'short', label: 'Short', field: 'minutes', order: 'asc', then },
              { key: 'long', label: 'Long', field: 'minutes', order: 'desc' },
            ],
            default: first,
            relevanceWhenSearching: relevance,
          },
          paging: { mode, size, sizes: [3, 7] },
          nothing: {
            show: span ? 'posts' : 'ways',
            where: where.map((slug) => ({ field: 'habitat', is: [slug] })),
            size,
          },
        }),
    );
}

/** What visitors type: words, beginnings of words, slips, phrases and exclusions. */
const typed = fc
  .array(
    fc.tuple(
      fc.constantFrom('', '', '', '-'),
      fc.oneof(
        fc.constantFrom(
          't',
          'a',
          'te',
          'ter',
          'tern',
          'tarn',
          'wadr',
          'wade',
          'reedbads',
          'TÉRNS',
          '"reed tern"',
          '"tern"',
          'zzzz',
          '!',
        ),
        word,
      ),
    ),
    { minLength: 1, maxLength: 3 },
  )
  .map((parts) => cleanSearch(parts.map(([minus, text]) => minus + text).join(' ')));

const interval = <V extends string | number>(value: fc.Arbitrary<V>) =>
  fc
    .tuple(fc.option(value), fc.option(value))
    .filter(([from, to]) => from !== null || to !== null)
    .map(([from, to]) => (from !== null && to !== null && from > to ? { from: to, to: from } : { from, to }));

function selection(of: Collection, facet: Facet): fc.Arbitrary<Selection | undefined> {
  const sometimes = <S extends Selection>(one: fc.Arbitrary<S>) =>
    fc.option<Selection, undefined>(one, { nil: undefined, freq: 2 });
  if (isSearch(facet)) {
    return sometimes(
      typed.filter((text) => readWanted(text).length > 0).map((text) => ({ type: 'search' as const, text })),
    );
  }
  if (facet.kind === 'date-range') {
    const day = fc.constantFrom('2019-01-01', '2025-12-31', '2026-03-28', '2026-03-29', '2026-04-01', '2026-12-31');
    return sometimes(interval(day).map((ends) => ({ type: 'days' as const, ...ends })));
  }
  if (facet.kind === 'time-range') {
    const minute = fc.constantFrom('2019-01-01T00:00', '2026-03-28T23:30', '2026-03-29T01:00', '2026-03-29T03:15');
    return sometimes(interval(minute).map((ends) => ({ type: 'times' as const, ...ends })));
  }
  if (isRange(facet)) {
    return sometimes(
      interval(fc.oneof(fc.integer({ min: -4, max: 4 }), fc.integer({ min: -300, max: 2100 }))).map((ends) => ({
        type: 'numbers' as const,
        ...ends,
      })),
    );
  }
  if (isFavourites(facet)) {
    const ids = subset(
      of.posts.map((one) => one.id),
      12,
    ).filter((some) => some.length > 0 || of.posts.length === 0);
    return sometimes(ids.map((some) => ({ type: 'posts' as const, ids: [...some].sort(byCodeUnits) }))).map((one) =>
      one?.type === 'posts' && one.ids.length === 0 ? undefined : one,
    );
  }
  if (isSwitch(facet))
    return fc.constantFrom<Selection | undefined>(
      undefined,
      { type: 'switch', on: true },
      { type: 'switch', on: false },
    );
  const slugs = isLetters(facet)
    ? lettersOf(of, { language: 'en' }, facet.field)
    : termsOf(of, facet.field).map((term) => term.slug);
  return subset(slugs, 4).map((chosen): Selection | undefined => {
    const terms = deepest(chosen, (slug) => ancestorsOf(of, facet.field, slug)).sort(byCodeUnits);
    if (terms.length === 0) return undefined;
    return isSingle(facet) ? { type: 'term', term: terms[0]! } : { type: 'terms', terms };
  });
}

export function query(of: Collection, on: Lens): fc.Arbitrary<Query> {
  const selections = Object.fromEntries(on.facets.map((facet) => [facet.key, selection(of, facet)]));
  return fc
    .record({
      selections: fc.record(selections),
      sort: fc.constantFrom(null, 'newest', 'short', 'long'),
      page: fc.integer({ min: 1, max: 9 }),
      size: fc.constantFrom(undefined, 3, 7),
      from: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
    })
    .map(({ selections: all, sort, page, size, from }) => ({
      lens: on,
      selections: Object.fromEntries(
        Object.entries(all).filter(([, value]) => value !== undefined),
      ) as Query['selections'],
      sort,
      page,
      // a size that is the lens's own need not be said, and where all are shown it is nobody's to choose
      ...(size !== undefined && size !== on.paging.size && on.paging.mode !== 'all' && { size }),
      ...(from !== undefined && { from }),
    }));
}

/** A source, a lens on it and a question: everything an answer is made of. */
export const asked: fc.Arbitrary<{ collection: Collection; query: Query }> = collection.chain((of) =>
  lens(of).chain((on) => query(of, on).map((one) => ({ collection: of, query: one }))),
);
