import type { Answer, Option } from '../src/model/answer.js';
import { defaultSort, isSingle, isSwitch, type Facet, type Lens } from '../src/model/lens.js';
import type { Collection, Post, Term, Value } from '../src/model/post.js';
import { fieldWithRole } from '../src/model/post.js';
import type { Query, Selection } from '../src/model/query.js';

/*
 * The slow, obvious answer: sets and loops, written as the semantics read. Tests hold the engine to it.
 */

/** What of an answer the reference works out on its own. */
export type Expected = Pick<Answer, 'total' | 'matched' | 'page' | 'pages'> & {
  ids: string[];
  counts: Record<string, Record<string, number>>;
  ways: { without: string; matched: number }[];
};

export function expectedAnswer(collection: Collection, query: Query): Expected {
  const { lens } = query;
  const scope = scopeOf(collection, lens);
  const active = lens.facets.filter((facet) => query.selections[facet.key]);
  const passesAll = (post: Post, except: Facet | null) =>
    active.every((facet) => facet === except || passes(collection, post, facet, query.selections[facet.key]!));
  const matched = scope.filter((post) => passesAll(post, null));
  const size = lens.paging.mode === 'all' ? Math.max(1, matched.length) : lens.paging.size;
  const pages = Math.max(1, Math.ceil(matched.length / size));
  const page = Math.min(Math.max(1, query.page), pages);

  const counts: Expected['counts'] = {};
  for (const facet of lens.facets) {
    const keepsOwn = !isSwitch(facet) && facet.match === 'all' && !isSingle(facet);
    const under = scope.filter((post) => passesAll(post, keepsOwn ? null : facet));
    counts[facet.key] = {};
    for (const term of termsOf(collection, facet.field)) {
      counts[facet.key]![term.slug] = under.filter((post) => has(collection, post, facet.field, term.slug)).length;
    }
  }
  const ways = active
    .map((facet) => ({ without: facet.key, matched: scope.filter((post) => passesAll(post, facet)).length }))
    .filter((way) => way.matched > 0)
    .sort((a, b) => b.matched - a.matched);
  return {
    total: scope.length,
    matched: matched.length,
    page,
    pages,
    ids: sorted(collection, matched, query)
      .slice((page - 1) * size, page * size)
      .map((post) => post.id),
    counts,
    ways: matched.length === 0 ? ways : [],
  };
}

/** The part of an answer that the reference speaks of. Counts of terms that are not shown are left out. */
export function actualAnswer(answer: Answer): Expected {
  return {
    total: answer.total,
    matched: answer.matched,
    page: answer.page,
    pages: answer.pages,
    ids: answer.items.map((item) => item.id),
    counts: Object.fromEntries(answer.facets.map((facet) => [facet.key, countsOf(facet.options)])),
    ways: answer.ways.map(({ without, matched }) => ({ without, matched })),
  };
}

function countsOf(options: readonly Option[]): Record<string, number> {
  return Object.fromEntries(options.map((option) => [option.value, option.count]));
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

function passes(collection: Collection, post: Post, facet: Facet, selection: Selection): boolean {
  const carries = (slug: string) => has(collection, post, facet.field, slug);
  if (selection.type === 'switch') return carries(selection.on ? 'yes' : 'no');
  if (selection.type === 'term') return carries(selection.term);
  return !isSwitch(facet) && facet.match === 'all' ? selection.terms.every(carries) : selection.terms.some(carries);
}

function scopeOf(collection: Collection, lens: Lens): Post[] {
  const { where, exclude, limit } = lens.scope;
  const seen = byPublished(collection)
    .filter((post) => where.every(({ field, is }) => is.some((slug) => has(collection, post, field, slug))))
    .filter((post) => !exclude.includes(post.id));
  return limit === undefined ? seen : seen.slice(0, limit);
}

function byPublished(collection: Collection): Post[] {
  const published = fieldWithRole(collection.fields, 'published');
  return [...collection.posts].sort(
    (a, b) =>
      compare(published && a.values[published.key], published && b.values[published.key], -1) || (a.id < b.id ? -1 : 1),
  );
}

function sorted(collection: Collection, posts: readonly Post[], query: Query): Post[] {
  const { lens } = query;
  const option = lens.sort.options.find((one) => one.key === query.sort) ?? defaultSort(lens);
  if (!option) return byPublished(collection).filter((post) => posts.includes(post));
  const sign = option.order === 'asc' ? 1 : -1;
  return [...posts].sort(
    (a, b) => compare(a.values[option.field], b.values[option.field], sign) || (a.id < b.id ? -1 : 1),
  );
}

function compare(a: Value | undefined, b: Value | undefined, sign: 1 | -1): number {
  if (a === undefined || b === undefined) return a === b ? 0 : a === undefined ? 1 : -1;
  return a < b ? -sign : a > b ? sign : 0;
}
