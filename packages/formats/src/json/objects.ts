import { cleanText, fieldKeyOf, isNested, type RawRecord } from '@ivy/core';
import { FileProblem } from '../file-problem.js';
import { limits } from '../limits.js';
import { withoutLinks } from '../endpoint/hal.js';
import { isObject } from './is-object.js';
import { unwrapped } from './unwrap.js';

/**
 * Objects as records: what stands inside an object becomes a field of its own, `author.name`.
 * @throws FileProblem where there are too many
 */
export function recordsOfObjects(list: readonly unknown[]): RawRecord[] {
  const records = unwrapped(list.filter(isObject)).map(withoutLinks);
  if (records.length > limits.records) {
    throw new FileProblem('too-many', `The file has ${records.length} posts; at most ${limits.records} can be read.`);
  }
  const trees = treesIn(records);
  return records.map((record) => flatten(record, trees));
}

/** Keys whose objects name others as above them: they stay whole, since what they are in is a tree. */
function treesIn(records: readonly Record<string, unknown>[]): Set<string> {
  const keys = new Set<string>();
  for (const record of records) {
    for (const [key, value] of Object.entries(record)) if (isObject(value) && isNested([value])) keys.add(key);
  }
  return keys;
}

function flatten(record: Record<string, unknown>, trees: ReadonlySet<string>): RawRecord {
  const entries: [string, unknown][] = [];
  const visit = (value: unknown, path: string) => {
    if (isObject(value) && !trees.has(path))
      for (const [key, inner] of Object.entries(value)) visit(inner, path ? `${path}.${key}` : key);
    else entries.push([fieldKeyOf(cleanText(path).slice(0, 110)), value]);
  };
  visit(record, '');
  return Object.fromEntries(entries);
}
