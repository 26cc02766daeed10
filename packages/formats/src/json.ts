import { cleanText, fieldKeyOf, isNested, type RawRecord } from '@ivy/core';
import { parse, type ParseError } from 'jsonc-parser';
import { FileProblem } from './file-problem.js';
import { limits } from './limits.js';

/**
 * Reads JSON: a list of objects, or an object that holds one (`{"items": […]}`). Objects inside a post become
 * fields of their own, `author.name`.
 */
export function readJson(text: string): RawRecord[] {
  checkDepth(text);
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    throw new FileProblem('broken-file', `The JSON is broken${placeOf(text)}. Mend it there and bring it in again.`);
  }
  return recordsOf(data);
}

/** Reads one JSON object a line. */
export function readNdjson(text: string): RawRecord[] {
  const lines = text.split(/\r?\n/);
  const records: unknown[] = [];
  lines.forEach((line, i) => {
    if (line.trim() === '') return;
    checkDepth(line);
    try {
      records.push(JSON.parse(line));
    } catch {
      throw new FileProblem('broken-file', `Line ${i + 1} is not JSON. Mend it and bring the file in again.`);
    }
  });
  return recordsOf(records);
}

/** The version of JSON Feed that is written, and where in its items the record stands that an item was made from. */
export const feedVersion = 'https://jsonfeed.org/version/1.1';
export const recordKey = '_record';

/** The records that a feed of ours was made from; null for any other document. */
function recordsInFeed(data: unknown): unknown[] | null {
  if (!isObject(data) || data.version !== feedVersion || !Array.isArray(data.items)) return null;
  const items = data.items.filter(isObject);
  return items.length > 0 && items.every((item) => isObject(item[recordKey]))
    ? items.map((item) => item[recordKey])
    : null;
}

function recordsOf(data: unknown): RawRecord[] {
  const list = Array.isArray(data) ? data : (recordsInFeed(data) ?? listWithin(data));
  if (!list) {
    throw new FileProblem(
      'no-posts',
      'The JSON holds no list of posts. Bring in a list of objects, or an object with one in it.',
    );
  }
  const records = list.filter(isObject);
  if (records.length === 0)
    throw new FileProblem('no-posts', 'The list in the JSON holds no posts: each must be an object.');
  if (records.length > limits.records) {
    throw new FileProblem('too-many', `The file has ${records.length} posts; at most ${limits.records} can be read.`);
  }
  const trees = treesIn(records);
  return records.map((record) => flatten(record, trees));
}

/**
 * Refuses text that nests deeper than posts may, before anything walks it by calling itself. What stands between quotes
 * is passed over.
 */
function checkDepth(text: string): void {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    switch (text.charCodeAt(i)) {
      case 0x22:
        for (i++; i < text.length && text.charCodeAt(i) !== 0x22; i++) if (text.charCodeAt(i) === 0x5c) i++;
        break;
      case 0x5b:
      case 0x7b:
        if (++depth > limits.depth) throw tooDeep();
        break;
      case 0x5d:
      case 0x7d:
        depth--;
    }
  }
}

function tooDeep(): FileProblem {
  return new FileProblem('too-large', `The JSON nests deeper than ${limits.depth} levels. Flatten it and try again.`);
}

function listWithin(data: unknown): unknown[] | undefined {
  if (!isObject(data)) return undefined;
  return Object.values(data).find((value): value is unknown[] => Array.isArray(value) && value.some(isObject));
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

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Where JSON broke, as a line. The engine's own words name no place that can be relied on. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true });
  const offset = errors[0]?.offset ?? text.length;
  if (offset >= text.trimEnd().length) return ' at its end: something was opened and not closed';
  return ` near line ${text.slice(0, offset).split('\n').length}`;
}
