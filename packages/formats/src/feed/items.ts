import { fieldKeyOf, type RawRecord } from '@ivy/core';
import { FileProblem } from '../file-problem.js';
import { limits } from '../limits.js';
import { eachElement, type Element } from './xml.js';

/** What a feed is made of. */
interface Parts {
  /** What the outermost element may be called, and each item. */
  roots: readonly string[];
  item: string;
  /** What people call the format, and its items. */
  label: string;
  items: string;
}

/**
 * Reads the items of a feed one by one, so that no more than one is in memory as a tree.
 * @throws FileProblem where it is no such feed, or has no items
 */
export function readItems(text: string, parts: Parts, recordOf: (item: Element) => RawRecord): RawRecord[] {
  const records: RawRecord[] = [];
  let isFeed = false;
  eachElement(
    text,
    (_uri, local, depth) => {
      if (depth === 0) isFeed = parts.roots.includes(local);
      return local === parts.item;
    },
    (element) => {
      if (records.length >= limits.records) {
        const words = `The feed has more than ${limits.records} ${parts.items}. Bring it in as smaller ones.`;
        throw new FileProblem('too-many', words);
      }
      records.push(recordOf(element));
    },
  );
  if (!isFeed) throw new FileProblem('broken-file', `This is XML, but no ${parts.label}.`);
  if (records.length === 0) {
    throw new FileProblem('no-posts', `The feed has no ${parts.items} yet. Bring it in once it has some.`);
  }
  return records;
}

/** Fields of a record that say something. */
export function withoutEmpty(record: RawRecord): RawRecord {
  const isSaid = (value: unknown) => value !== '' && !(Array.isArray(value) && value.length === 0);
  return Object.fromEntries(Object.entries(record).filter(([, value]) => isSaid(value)));
}

/** What a feed says in words of its own becomes fields too, as long as it is plain text. */
export function withExtras(
  record: RawRecord,
  item: Element,
  read: ReadonlySet<string>,
  knownUris: ReadonlySet<string>,
): RawRecord {
  const taken = new Set(Object.keys(record));
  for (const { local, uri, text, children } of item.children) {
    const value = text.trim();
    if (read.has(local) || knownUris.has(uri) || children.length > 0 || value === '') continue;
    const key = fieldKeyOf(taken.has(local) ? `${local} 2` : local);
    record[key] = Object.hasOwn(record, key) ? [...[record[key]].flat(), value] : value;
  }
  return record;
}
