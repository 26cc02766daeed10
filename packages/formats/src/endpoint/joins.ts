import { fieldKeyOf, type RawRecord, type Records } from '@ivy/core';

/** A field of ids, and the list in which each has a name. */
export interface Join {
  field: string;
  /** Where the list is: an address, or a JSON pointer into the same document. */
  from: string;
  /** What objects of that list are known by, and called. */
  key: string;
  label: string;
}

/** A join with all its names. */
export interface FilledJoin extends Join {
  labels: Record<string, string>;
}

/** Names that say how something is called, the likeliest first. */
const labelNames = ['name', 'label', 'title', 'display_name', 'displayName', 'full_name', 'fullName', 'slug'];
const keyNames = ['id', 'key', 'slug', 'code', 'uuid', 'uri', '@id'];

/** Records looked at. */
const sample = 500;
/** What share of a field's values a list must know for the field to stand for it. */
const share = 0.6;

/** Fields whose values could be ids of something else: whole numbers or keys, that come again or stand in lists. */
export function fieldsOfIds(records: Records): string[] {
  const seen = new Map<string, { values: unknown[]; lists: boolean }>();
  let i = 0;
  for (const record of records) {
    if (i++ === sample) break;
    for (const [key, value] of Object.entries(record)) {
      const own = [value].flat().filter((one) => one !== null && one !== '');
      const entry = seen.get(key) ?? { values: [], lists: false };
      entry.lists ||= Array.isArray(value);
      entry.values.push(...own);
      seen.set(key, entry);
    }
  }
  return [...seen].flatMap(([key, { values, lists }]) => {
    const areIds = values.length > 0 && values.every(isId);
    const isOwn = /^(?:id|guid|uuid|key)$/i.test(key);
    const comesAgain = lists || new Set(values).size < values.length || records.length < 3;
    return areIds && !isOwn && comesAgain && !measures.test(key) ? [key] : [];
  });
}

/** What is counted or measured is no id, though it is a whole number. */
const measures =
  /count|total|size|length|width|height|minutes|hours|price|amount|year|month|day|rating|score|order|position|version|number|likes|views/i;

function isId(value: unknown): boolean {
  if (typeof value === 'number') return Number.isInteger(value) && value >= 0;
  return typeof value === 'string' && /^(?:\d{1,18}|[0-9a-f]{8}-[0-9a-f-]{27}|[a-z]{1,6}[-_]?\d{1,12})$/i.test(value);
}

/**
 * Whether a list of objects tells the names of a field's ids: by a key that knows most of them, and a name beside it.
 * @returns null where it does not
 */
export function joinOf(field: string, from: string, records: Records, list: readonly RawRecord[]): FilledJoin | null {
  const [first] = list;
  if (!first) return null;
  const label = labelNames.find((name) => typeof first[name] === 'string');
  if (label === undefined) return null;
  const values = new Set<string>();
  let i = 0;
  for (const record of records) {
    if (i++ === sample) break;
    for (const one of [record[field] ?? []].flat()) if (isPlain(one) && one !== '') values.add(String(one));
  }
  for (const key of keyNames) {
    if (key === label || first[key] === undefined) continue;
    const labels: Record<string, string> = {};
    for (const one of list) {
      const [id, name] = [one[key], one[label]];
      if (isPlain(id) && typeof name === 'string' && name !== '') labels[String(id)] = name;
    }
    const known = [...values].filter((value) => Object.hasOwn(labels, value)).length;
    if (values.size > 0 && known / values.size >= share) return { field, from, key, label, labels };
  }
  return null;
}

function isPlain(value: unknown): value is string | number {
  return typeof value === 'string' || typeof value === 'number';
}

/** Whether a field could be called after a list: `author` and `author_id` after `authors`, `category` after `categories`. */
export function isCalledAfter(field: string, list: string): boolean {
  const bare = stem(
    field
      .replace(/[._-]?ids?$/i, '')
      .split('.')
      .at(-1)!,
  );
  return bare.length > 1 && bare === stem(list);
}

function stem(name: string): string {
  return name
    .toLowerCase()
    .replace(/[^a-z]/g, '')
    .replace(/ies$/, 'y')
    .replace(/(?:es|s)$/, '');
}

/** Addresses beside an endpoint at which the names of a field could be: `…/posts` and `author` give `…/authors`. */
export function addressesBeside(endpoint: string, field: string): string[] {
  const url = new URL(endpoint);
  const folder = url.pathname.replace(/[^/]*\/?$/, '');
  const bare = field
    .replace(/[._-]?ids?$/i, '')
    .split('.')
    .at(-1)!;
  const many = bare.endsWith('s') ? bare : bare.endsWith('y') ? `${bare.slice(0, -1)}ies` : `${bare}s`;
  const ending = /\.\w+$/.exec(url.pathname)?.[0] ?? '';
  return [...new Set([many, bare])].map((name) => new URL(`${folder}${encodeURIComponent(name)}${ending}`, url).href);
}

/** Records in which ids are told by the names they stand for. What no list knows stays as it is. */
export function joinedRecords(records: Records, joins: readonly FilledJoin[]): Records {
  if (joins.length === 0) return records;
  const named = (value: unknown, labels: Record<string, string>): unknown => {
    if (Array.isArray(value)) return value.map((one) => named(one, labels));
    const key = typeof value === 'number' || typeof value === 'string' ? String(value) : null;
    return key !== null && Object.hasOwn(labels, key) ? labels[key] : value;
  };
  return {
    length: records.length,
    ...(records.names && { names: records.names }),
    ...(records.beyond && { beyond: records.beyond }),
    *[Symbol.iterator]() {
      for (const record of records) {
        const result = { ...record };
        for (const { field, labels } of joins) {
          const key = fieldKeyOf(field);
          if (Object.hasOwn(result, key)) result[key] = named(result[key], labels);
        }
        yield result;
      }
    },
  };
}
