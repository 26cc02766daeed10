import { type Answer } from '../src/lens/answer.js';
import { isFavourites, isLetters, isSteps, isRange, isSearch, isSingle, isTerms, type RangeFacet } from './facets.js';
import { type Facet } from '../src/kinds/kinds.js';
import { type Selection } from '../src/model/selection.js';
import type { Bucket } from '../src/model/answer.js';
import { type Lens } from '../src/lens/lens.js';
import type { Collection, Post, Term, Value } from '../src/model/post.js';
import type { Query } from '../src/lens/query.js';
import { byPublished, sorted } from './reference-order.js';
import { finds, fold } from './reference-search.js';
import { daySteps, minuteSteps, numberSteps } from './reference-steps.js';

/*
 * The slow, obvious answer: sets and loops, written as the semantics read. Tests hold the engine to it.
 */

/** What of an answer the reference works out on its own. */
export type Expected = Pick<Answer, 'total' | 'matched' | 'page' | 'pages'> & {
  ids: string[];
  counts: Record<string, Record<string, number>>;
  ranges: Record<string, { bounds: unknown; buckets: Bucket<string | number>[] }>;
  ways: { lifts: string; matched: number }[];
  others: string[];
};

export function expectedAnswer(collection: Collection, query: Query): Expected {
  const { lens } = query;
  const scope = scopeOf(collection, lens);
  const active = lens.facets.filter((facet) => query.selections[facet.key]);
  const passesAll = (post: Post, except: Facet | null) =>
    active.every((facet) => facet === except || passes(collection, post, lens, facet, query.selections[facet.key]!));
  const matched = scope.filter((post) => passesAll(post, null));
  const size = lens.paging.mode === 'all' ? 1000 : (query.size ?? lens.paging.size);
  const pages = Math.max(1, Math.ceil(matched.length / size));
  const page = Math.min(Math.max(1, query.page), pages);

  const counts: Expected['counts'] = {};
  const ranges: Expected['ranges'] = {};
  for (const facet of lens.facets) {
    const keepsOwn = isTerms(facet) && facet.match === 'all' && !isSingle(facet);
    const under = scope.filter((post) => passesAll(post, keepsOwn ? null : facet));
    if (isRange(facet)) ranges[facet.key] = histogram(lens, facet, under);
    if (isRange(facet) || isSearch(facet) || isFavourites(facet)) continue;
    counts[facet.key] = {};
    if (isLetters(facet)) {
      for (const letter of lettersOf(collection, lens, facet.field))
        counts[facet.key]![letter] = under.filter((post) => letterOf(post, facet.field) === letter).length;
      continue;
    }
    const selection = query.selections[facet.key];
    const chosen = selection?.type === 'term' ? selection.term : null;
    const path = chosen === null ? [] : [chosen, ...ancestorsOf(collection, facet.field, chosen)];
    for (const term of termsOf(collection, facet.field)) {
      // of a tree chosen list by list, the top and what is under each term on the way
      if (isSteps(facet) && term.parent !== null && !path.includes(term.parent)) continue;
      counts[facet.key]![term.slug] = under.filter((post) => has(collection, post, facet.field, term.slug)).length;
    }
  }
  const ways =
    matched.length > 0
      ? []
      : waysOut(
          active,
          (leftOut) =>
            scope.filter((post) =>
              active.every(
                (facet) =>
                  leftOut.includes(facet) || passes(collection, post, lens, facet, query.selections[facet.key]!),
              ),
            ).length,
        );
  return {
    total: scope.length,
    matched: matched.length,
    page,
    pages,
    ids: sorted(collection, matched, query)
      .slice((firstPage(lens, query, page, size) - 1) * size, page * size)
      .map((post) => post.id),
    counts,
    ranges,
    ways,
    others: matched.length > 0 ? [] : otherPosts(collection, scope, query).map((post) => post.id),
  };
}

/** The posts that stand where nothing matches, in the order a page has at first. */
function otherPosts(collection: Collection, scope: readonly Post[], query: Query): Post[] {
  const { show, where, size } = query.lens.nothing;
  if (show !== 'posts') return [];
  const fit = (post: Post) => where.every(({ field, is }) => is.some((slug) => has(collection, post, field, slug)));
  return sorted(collection, scope.filter(fit), { ...query, selections: {}, sort: null }).slice(0, size);
}

/** The fewest facets that help when they are left out, five ways at most; and all of them. */
function waysOut(active: readonly Facet[], countWithout: (leftOut: readonly Facet[]) => number): Expected['ways'] {
  if (active.length === 0) return [];
  const subsets = active.reduce<Facet[][]>((all, facet) => [...all, ...all.map((some) => [...some, facet])], [[]]);
  const leftOut = subsets
    .filter((some) => some.length > 0 && some.length < active.length)
    .map((some) => ({ some, matched: countWithout(some) }))
    .filter(({ matched }) => matched > 0);
  const fewest = Math.min(...leftOut.map(({ some }) => some.length));
  const placesOf = (some: readonly Facet[]) => some.map((facet) => active.indexOf(facet));
  const named = (some: readonly Facet[]) => some.map(({ key }) => key).join();
  return [
    ...leftOut
      .filter(({ some }) => some.length === fewest)
      // ties fall as the facets stand in the lens
      .sort((a, b) => b.matched - a.matched || compareLists(placesOf(a.some), placesOf(b.some)))
      .slice(0, 5)
      .map(({ some, matched }) => ({ lifts: named(some), matched })),
    { lifts: named(active), matched: countWithout(active) },
  ];
}

function compareLists(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((one, i) => one !== b[i]);
  return at < 0 ? 0 : a[at]! - b[at]!;
}

/** Where pages stand below one another, those from the one that is asked for, a thousand posts at most. */
function firstPage({ paging }: Lens, { from }: Query, page: number, size: number): number {
  if (from === undefined || (paging.mode !== 'more' && paging.mode !== 'endless')) return page;
  let first = Math.min(from, page);
  while ((page - first + 1) * size > 1000) first++;
  return first;
}

/** The part of an answer that the reference speaks of. */
export function actualAnswer(answer: Answer): Expected {
  const counts: Expected['counts'] = {};
  const ranges: Expected['ranges'] = {};
  for (const facet of answer.facets) {
    if ('options' in facet) counts[facet.key] = Object.fromEntries(facet.options.map((one) => [one.value, one.count]));
    if ('buckets' in facet) ranges[facet.key] = { bounds: facet.bounds, buckets: facet.buckets };
  }
  return {
    total: answer.total,
    matched: answer.matched,
    page: answer.page,
    pages: answer.pages,
    ids: answer.items.map((item) => item.id),
    counts,
    ranges,
    // terms that stand in for others are held to their own addresses elsewhere
    ways: answer.ways.flatMap(({ lifts, matched, instead }) => (instead ? [] : { lifts: lifts.join(), matched })),
    others: (answer.others ?? []).map(({ id }) => id),
  };
}

export function termsOf(collection: Collection, field: string): readonly Term[] {
  const type = collection.fields.find((one) => one.key === field)?.type;
  if (type !== 'boolean') return collection.taxonomies[field] ?? [];
  return [
    { slug: 'yes', label: 'Yes', parent: null },
    { slug: 'no', label: 'No', parent: null },
  ];
}

export function ancestorsOf(collection: Collection, field: string, slug: string): string[] {
  const terms = termsOf(collection, field);
  const above: string[] = [];
  let parent = terms.find((term) => term.slug === slug)?.parent ?? null;
  while (parent !== null) {
    above.push(parent);
    parent = terms.find((term) => term.slug === parent)?.parent ?? null;
  }
  return above;
}

/** Whether a post carries a term or any term below it. */
export function has(collection: Collection, post: Post, field: string, slug: string): boolean {
  return carried(post.values[field]).some((own) => own === slug || ancestorsOf(collection, field, own).includes(slug));
}

function carried(value: Value | undefined): string[] {
  if (Array.isArray(value)) return value;
  if (typeof value === 'boolean') return [value ? 'yes' : 'no'];
  return [];
}

export function passes(collection: Collection, post: Post, lens: Lens, facet: Facet, selection: Selection): boolean {
  if (isSearch(facet)) return selection.type === 'search' && finds(collection, post, facet, selection.text);
  if (isFavourites(facet)) return selection.type === 'posts' && selection.ids.includes(post.id);
  if (isRange(facet)) return overlaps(lens, post, facet, selection);
  const carries = (slug: string) =>
    isLetters(facet) ? letterOf(post, facet.field) === slug : has(collection, post, facet.field, slug);
  if (selection.type === 'switch') return carries(selection.on ? 'yes' : 'no');
  if (selection.type === 'term') return carries(selection.term);
  if (selection.type !== 'terms') return false;
  return isTerms(facet) && facet.match === 'all' ? selection.terms.every(carries) : selection.terms.some(carries);
}

/** What a post's text begins with. */
export function letterOf(post: Post, field: string): string | null {
  const value = post.values[field];
  const [first] = typeof value === 'string' ? fold(value).trim() : '';
  if (first === undefined) return null;
  if (/\p{L}/u.test(first)) return first;
  return /\p{Nd}/u.test(first) ? '0-9' : 'other';
}

/** The letters of a row: all of a to z if there is one of them. The made-up texts are of Latin script. */
export function lettersOf(collection: Collection, lens: Pick<Lens, 'language'>, field: string): string[] {
  const found = new Set(collection.posts.map((post) => letterOf(post, field)).filter((one) => one !== null));
  const letters = [...found].filter((one) => one !== '0-9' && one !== 'other');
  const all = letters.length === 0 ? [] : [...new Set([...letters, ...'abcdefghijklmnopqrstuvwxyz'])];
  all.sort(new Intl.Collator(lens.language).compare);
  return [...all, ...['0-9', 'other'].filter((one) => found.has(one))];
}

function scopeOf(collection: Collection, lens: Lens): Post[] {
  const { where, include, exclude, limit } = lens.scope;
  const seen = byPublished(collection)
    .filter(
      (post) =>
        include.includes(post.id) ||
        where.every(({ field, is }) => is.some((slug) => has(collection, post, field, slug))),
    )
    .filter((post) => !exclude.includes(post.id));
  if (limit === undefined) return seen;
  const kept = [...seen.filter((post) => include.includes(post.id)), ...seen].slice(0, limit + include.length);
  const first = [...new Set(kept)].slice(0, limit);
  return seen.filter((post) => first.includes(post));
}

// ranges ---------------------------------------------------------------------------------------------------------------

/** The calendar day of a value in the lens's zone, as `YYYY-MM-DD`: Swedish writes days just so. */
function dayIn(zone: string, value: string): string {
  if (!/Z$|[+-]\d\d:\d\d$/.test(value)) return value.slice(0, 10);
  return formatIn(zone, { dateStyle: 'short' }).format(new Date(value));
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** To make a format takes a thousand times as long as to use it. */
function formatIn(zone: string, how: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const name = `${zone} ${JSON.stringify(how)}`;
  let format = formats.get(name);
  if (!format) formats.set(name, (format = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, ...how })));
  return format;
}

/** The minute of a value by the clock of the lens's zone, as `YYYY-MM-DDTHH:MM`. */
function minuteIn(zone: string, value: string): string {
  if (value.length === 10) return `${value}T00:00`;
  if (dayIn(zone, value) === value.slice(0, 10) && !/Z$|[+-]\d\d:\d\d$/.test(value)) return value.slice(0, 16);
  const format = formatIn(zone, { dateStyle: 'short', timeStyle: 'short' });
  return format.format(new Date(value)).replace(' ', 'T');
}

function endsOf(lens: Lens, post: Post, facet: RangeFacet): [string | number, string | number] | null {
  const read = (key: string | undefined) => {
    const value = key === undefined ? undefined : post.values[key];
    if (facet.kind === 'number-range') return typeof value === 'number' ? value : undefined;
    if (typeof value !== 'string') return undefined;
    return facet.kind === 'time-range' ? minuteIn(lens.zone, value) : dayIn(lens.zone, value);
  };
  const [start, end] = [read(facet.field), read(facet.endField ?? facet.field)];
  const [low, high] = [start ?? end, end ?? start];
  return low === undefined || high === undefined ? null : [low, high];
}

function overlaps(lens: Lens, post: Post, facet: RangeFacet, selection: Selection): boolean {
  const ends = endsOf(lens, post, facet);
  if (!ends || !('from' in selection)) return false;
  return (selection.to === null || ends[0] <= selection.to) && (selection.from === null || ends[1] >= selection.from);
}

function histogram(lens: Lens, facet: RangeFacet, posts: readonly Post[]): Expected['ranges'][string] {
  const ends = posts.map((post) => endsOf(lens, post, facet)).filter((one) => one !== null);
  if (ends.length === 0) return { bounds: null, buckets: [] };
  const low = ends.map(([start]) => start).reduce((a, b) => (b < a ? b : a));
  const high = ends.map(([, end]) => end).reduce((a, b) => (b > a ? b : a));
  const whole = posts.every((post) =>
    [facet.field, facet.endField].every(
      (key) => key === undefined || typeof post.values[key] !== 'number' || Number.isInteger(post.values[key]),
    ),
  );
  const steps =
    facet.kind === 'date-range'
      ? daySteps(String(low), String(high))
      : facet.kind === 'time-range'
        ? minuteSteps(String(low), String(high))
        : numberSteps(Number(low), Number(high), whole && allWhole);
  const buckets = steps.map(({ from, to, next }) => ({
    from,
    to,
    count: ends.filter(([start]) => start >= from && start < next).length,
  }));
  return { bounds: { from: low, to: high }, buckets };
}

/** The made-up posts' numbers are whole in every field. */
const allWhole = true;
