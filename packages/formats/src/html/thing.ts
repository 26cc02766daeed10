import { fieldKeyOf, type RawRecord } from '@ivy/core';
import { isObject } from '../json/is-object.js';
import { absolute } from './elements.js';

/** Something as schema.org describes it: the type, and what is said of it by property. */
export type Thing = Record<string, unknown>;

/** What has a name here that JSON Feed has for it too; the first that says something counts. */
const names: readonly [string, readonly string[]][] = [
  ['id', ['identifier', '@id']],
  ['url', ['url', 'mainEntityOfPage', 'sameAs']],
  ['title', ['headline', 'name', 'title']],
  ['summary', ['description', 'abstract']],
  ['content_html', ['articleBody', 'text']],
  ['image', ['image', 'thumbnailUrl', 'photo']],
  ['date_published', ['datePublished', 'dateCreated', 'uploadDate', 'datePosted']],
  ['date_modified', ['dateModified']],
  ['start', ['startDate']],
  ['end', ['endDate']],
  ['authors', ['author', 'creator']],
  ['tags', ['keywords']],
];
const named = new Set(names.flatMap(([, properties]) => properties));

/** Properties kept of things within things: what they are called, and what they cost. */
const inner = [
  'name',
  'headline',
  'price',
  'priceCurrency',
  'ratingValue',
  'addressLocality',
  'streetAddress',
  'value',
];

/** A thing as a record. What has no name of ours keeps its own. */
export function recordOfThing(thing: Thing, base: string): RawRecord {
  const record: RawRecord = {};
  for (const [key, properties] of names) {
    const value = properties.map((one) => thing[one]).find((one) => one !== undefined && one !== null && one !== '');
    const read = value === undefined ? '' : valueOf(key, value, base);
    if (read !== '' && !(Array.isArray(read) && read.length === 0)) record[key] = read;
  }
  // what several are known by alike is no id of theirs
  if (typeof record.id === 'string') record.id = record.id.trim();
  for (const [property, value] of Object.entries(thing)) {
    if (property.startsWith('@') || named.has(property)) continue;
    const key = fieldKeyOf(property);
    if (Object.hasOwn(record, key)) continue;
    for (const [name, said] of fieldsOf(key, value)) record[name] = said;
  }
  return record;
}

function valueOf(key: string, value: unknown, base: string): unknown {
  const all = [value].flat();
  switch (key) {
    case 'url':
    case 'image':
      return absolute(textOf(all[0], ['url', 'contentUrl', '@id']), base);
    case 'authors':
      return all.map((one) => textOf(one, ['name', '@id'])).filter((name) => name !== '');
    case 'tags': {
      const words = all.map((one) => textOf(one, ['name', '@value']));
      const parts = words.length === 1 ? words[0]!.split(',') : words;
      return parts.map((part) => part.trim()).filter((part) => part !== '');
    }
    default:
      return textOf(all[0], ['value', 'name', '@value', '@id']);
  }
}

function textOf(value: unknown, keys: readonly string[]): string {
  if (typeof value === 'string') return value.trim();
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (!isObject(value)) return '';
  for (const key of keys)
    if (typeof value[key] === 'string' || typeof value[key] === 'number') return String(value[key]).trim();
  return '';
}

/** A property as fields: what is plain as itself, of things within it what they are called and cost. */
function fieldsOf(key: string, value: unknown): [string, unknown][] {
  const all = [value].flat().filter((one) => one !== null && one !== undefined && one !== '');
  const plain = all.filter((one) => !isObject(one));
  if (plain.length > 0) return [[key, plain.length === 1 ? plain[0] : plain]];
  const things = all.filter(isObject);
  return inner.flatMap((property): [string, unknown][] => {
    const said = things.map((one) => textOf(one[property], ['name', '@value'])).filter((text) => text !== '');
    const name = property === 'name' ? key : `${key}.${property}`;
    return said.length === 0 ? [] : [[name, said.length === 1 ? said[0] : said]];
  });
}
