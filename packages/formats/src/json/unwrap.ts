import { decodeEntities } from '@ivy/core';
import { isObject } from './is-object.js';

type Plain = Record<string, unknown>;

/** Names under which an object says nothing but its text. */
const textNames = new Set([
  'rendered',
  'raw',
  'value',
  'text',
  'html',
  'plain',
  '@value',
  '#text',
  '_text',
  '__text',
  '$t',
]);
/** Names under which the whole of an entry stands, beside what is said of the entry itself. */
const wholeNames = ['node', 'attributes'];

/**
 * Records without what only wraps them: an entry around each (`{cursor, node}`), its own values apart from what is said of
 * it (JSON:API's `attributes` and `relationships`), an object around a text (`{rendered}`).
 */
export function unwrapped(list: readonly Plain[]): Plain[] {
  const name = wholeNames.find((one) => list.length > 0 && list.every((record) => isObject(record[one])));
  const records = name === undefined ? list : list.map((record) => whole(record, name));
  const texts = fieldsOfText(records);
  return texts.size === 0 ? [...records] : records.map((record) => withTexts(record, texts));
}

function whole({ relationships: relations, ...record }: Plain, name: string): Plain {
  const { [name]: inner, ...around } = record;
  const ids = isObject(relations) ? Object.entries(relations).map(([key, one]) => [key, idsIn(one)] as const) : [];
  const known = Object.fromEntries(ids.filter(([, value]) => value !== undefined));
  return {
    ...around,
    ...(relations !== undefined && !isObject(relations) && { relationships: relations }),
    ...known,
    ...(inner as Plain),
  };
}

/** The ids of what something is related to. */
function idsIn(relation: unknown): unknown {
  if (!isObject(relation)) return undefined;
  const { data } = relation;
  if (Array.isArray(data)) return data.filter(isObject).map(({ id }) => id);
  return isObject(data) ? data.id : undefined;
}

/** Fields whose objects all say a text and nothing else but yes or no. */
function fieldsOfText(records: readonly Plain[]): Map<string, string> {
  const found = new Map<string, string>();
  const [first] = records;
  if (!first) return found;
  for (const [key, value] of Object.entries(first)) {
    if (!isObject(value)) continue;
    const name = Object.keys(value).find((one) => textNames.has(one));
    if (name !== undefined && records.every((record) => saysOnly(record[key], name))) found.set(key, name);
  }
  return found;
}

function saysOnly(value: unknown, name: string): boolean {
  if (value === undefined || value === null) return true;
  if (!isObject(value)) return false;
  return Object.entries(value).every(([key, one]) =>
    key === name ? typeof one === 'string' || typeof one === 'number' : typeof one === 'boolean' || one === null,
  );
}

function withTexts(record: Plain, texts: ReadonlyMap<string, string>): Plain {
  const result = { ...record };
  for (const [key, name] of texts) {
    const value = result[key];
    if (!isObject(value)) continue;
    const text = value[name];
    // text that is made for pages has its signs by their names, even where it has no tags
    result[key] = typeof text === 'string' && !text.includes('<') ? decodeEntities(text) : text;
  }
  return result;
}
