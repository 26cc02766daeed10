import { FileProblem } from '../file-problem.js';
import { limits } from '../limits.js';
import { Table } from '../table/table.js';
import type { Format, GivenText, Reading } from '../format.js';
import { parseJson } from './parse.js';
import { atPointer, listOfValues, listsIn, type FoundList } from './lists.js';
import { isFeed, recordsInFeed } from './json-feed.js';
import { isObject } from './is-object.js';
import { recordsOfObjects } from './objects.js';
import { fieldsOfIds, isCalledAfter, joinedRecords, joinOf, type FilledJoin } from '../endpoint/joins.js';
import type { Records } from '@ivy/core';

export const json: Format = {
  name: 'json',
  label: 'JSON',
  endings: ['json', 'geojson'],
  types: ['application/json', 'text/json'],
  begins: (start) => /^[[{]/.test(start),
  read: readJson,
};

/** Reads JSON: a list of objects, anywhere in the document, or an object that holds each under its id. */
function readJson({ text, options: said }: GivenText): Reading {
  const data = parseJson(text);
  if (said.path === undefined && isFeed(data)) return recordsInFeed(data);
  const rows = rowsIn(data);
  if (rows) return { records: new Table(rows[0]!, rows.slice(1)) };
  const lists = listsIn(data);
  const list = said.path === undefined ? firstOf(data, lists) : listAt(data, said.path, lists);
  const records = recordsOfObjects(list.list);
  if (records.length === 0) {
    throw new FileProblem('no-posts', 'The list in the JSON holds no posts: each must be an object.');
  }
  const listed = lists.map(({ path, records, names }) => ({ path, records, names }));
  const joins = joinsWithin(records, lists, list.path);
  return {
    records: joinedRecords(records, joins),
    options: { path: list.path },
    ...(listed.length > 1 && { lists: listed }),
    ...(joins.length > 0 && { joins: joins.map(({ labels: _labels, ...join }) => join) }),
  };
}

/** A table as lists of cells, the first of which are names; null for anything else. */
function rowsIn(data: unknown): string[][] | null {
  if (!Array.isArray(data) || data.length < 2 || !data.every(Array.isArray)) return null;
  const [head] = data as unknown[][];
  if (!head!.every((name) => typeof name === 'string') || head.length > limits.fields) return null;
  return (data as unknown[][]).map((row) =>
    row.map((cell) => (cell === null ? '' : typeof cell === 'string' ? cell : JSON.stringify(cell))),
  );
}

/** Ids that other lists of the same document have names for. */
function joinsWithin(records: Records, lists: readonly FoundList[], path: string): FilledJoin[] {
  const others = lists.filter((one) => one.path !== path);
  if (others.length === 0) return [];
  return fieldsOfIds(records).flatMap((field) => {
    const other = others.find((one) => isCalledAfter(field, one.path.split('/').at(-1)!));
    return (other && joinOf(field, other.path, records, recordsOfObjects(other.list))) ?? [];
  });
}

function firstOf(data: unknown, lists: readonly FoundList[]): Pick<FoundList, 'path' | 'list'> {
  const [first] = lists;
  if (first) return first;
  if (Array.isArray(data)) return { path: '', list: data };
  const values = listOfValues(data) ?? (isObject(data) ? Object.values(data).map(listOfValues).find(Boolean) : null);
  if (values) return { path: '', list: values };
  const words = 'The JSON holds no list of posts. Bring in a list of objects, or an object with one in it.';
  throw new FileProblem('no-posts', words);
}

function listAt(data: unknown, path: string, lists: readonly FoundList[]): Pick<FoundList, 'path' | 'list'> {
  const value = atPointer(data, path);
  const list = Array.isArray(value) ? value : listOfValues(value);
  if (list) return { path, list };
  const there = lists.length === 0 ? '' : ` Lists stand at ${lists.map((one) => one.path || '/').join(', ')}.`;
  throw new FileProblem('no-posts', `There is no list at ${path.slice(0, 100)} of the JSON.${there}`);
}
