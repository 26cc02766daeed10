import { FileProblem } from '../file-problem.js';
import type { Format, Reading } from '../format.js';
import { parseJson } from './parse.js';
import { isObject } from './is-object.js';
import { recordsOfObjects } from './objects.js';

/** The version of JSON Feed that is written, and where in its items the record stands that an item was made from. */
export const feedVersion = 'https://jsonfeed.org/version/1.1';
export const recordKey = '_record';

export const jsonfeed: Format = {
  name: 'jsonfeed',
  label: 'JSON Feed',
  endings: [],
  types: ['application/feed+json'],
  isPlain: true,
  begins: (start) => /^\{[^]{0,300}"version"\s*:\s*"https?:\/\/jsonfeed\.org\//.test(start),
  read: ({ text }) => {
    const data = parseJson(text);
    if (!isFeed(data)) throw new FileProblem('broken-file', 'This is JSON, but no JSON Feed: it has no list of items.');
    return recordsInFeed(data);
  },
};

export interface FeedDocument {
  items: unknown[];
}

export function isFeed(data: unknown): data is FeedDocument {
  return (
    isObject(data) &&
    typeof data.version === 'string' &&
    /^https?:\/\/jsonfeed\.org\/version\//.test(data.version) &&
    Array.isArray(data.items)
  );
}

/** The items of a feed; of a feed of ours, the records they were made from. */
export function recordsInFeed({ items: all }: FeedDocument): Reading {
  const items = all.filter(isObject);
  if (items.length === 0) throw new FileProblem('no-posts', 'The feed has no items yet. Bring it in once it has some.');
  const isOurs = items.every((item) => isObject(item[recordKey]));
  return { records: recordsOfObjects(isOurs ? items.map((item) => item[recordKey]) : items.map(recordOfItem)) };
}

/** An item with its people by name, and its older ways of saying things in the words of today. */
function recordOfItem({ author, authors, ...item }: Record<string, unknown>): Record<string, unknown> {
  const people = [authors ?? author ?? []].flat().filter(isObject);
  const names = people.map(({ name, url }) => name ?? url).filter((name) => typeof name === 'string');
  return names.length === 0 ? item : { ...item, authors: names };
}
