import type { Field, Post, Term, Value } from '../model/post.js';
import { byCodeUnits, fold } from '../text/slug.js';

type SortKey = string | number | null;

/**
 * The order of posts by a field: post numbers, first to last. Posts with no value come last in both directions;
 * ties fall by post id in ascending code units.
 */
export function orderBy(
  posts: readonly Post[],
  field: Field,
  direction: 'asc' | 'desc',
  taxonomy: readonly Term[] | undefined,
): Uint32Array {
  const labels = new Map(taxonomy?.map((term) => [term.slug, term.label]));
  const keys = posts.map((post) => sortKey(post.values[field.key], field, labels));
  const sign = direction === 'asc' ? 1 : -1;
  const order = Uint32Array.from(posts, (_, p) => p);
  return order.sort((a, b) => {
    const x = keys[a]!;
    const y = keys[b]!;
    if (x !== y) {
      if (x === null) return 1;
      if (y === null) return -1;
      if (x < y) return -sign;
      if (x > y) return sign;
    }
    return byCodeUnits(posts[a]!.id, posts[b]!.id);
  });
}

function sortKey(value: Value | undefined, field: Field, labels: ReadonlyMap<string, string>): SortKey {
  if (value === undefined) return null;
  if (Array.isArray(value)) return value.length === 0 ? null : fold(labels.get(value[0]!) ?? value[0]!);
  if (typeof value === 'boolean') return value ? 1 : 0;
  if (typeof value === 'number') return value;
  if (value === '') return null;
  if (field.type === 'datetime') return momentOf(value);
  return field.type === 'date' ? value : fold(value);
}

/** A datetime as milliseconds; one without a zone is read as UTC, so that every executor agrees. */
export function momentOf(datetime: string): number | null {
  const zoned = /(Z|[+-]\d\d:?\d\d)$/.test(datetime) ? datetime : `${datetime}Z`;
  const moment = Date.parse(zoned);
  return Number.isNaN(moment) ? null : moment;
}
