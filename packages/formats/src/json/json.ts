import { parse, type ParseError } from 'jsonc-parser';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenText, Reading } from '../format.js';
import { checkDepth } from './depth.js';
import { atPointer, listOfValues, listsIn, type FoundList } from './lists.js';
import { isFeed, recordsInFeed } from './json-feed.js';
import { isObject, recordsOfObjects } from './objects.js';

export const json: Format = {
  name: 'json',
  label: 'JSON',
  endings: ['json', 'geojson'],
  types: ['application/json', 'text/json'],
  begins: (start) => /^[[{]/.test(start),
  read: readJson,
};

/** The document that a text is. */
export function parseJson(text: string): unknown {
  checkDepth(text);
  try {
    return JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    throw new FileProblem('broken-file', `The JSON is broken${placeOf(text)}. Mend it there and bring it in again.`);
  }
}

/** Reads JSON: a list of objects, anywhere in the document, or an object that holds each under its id. */
function readJson({ text, options: said }: GivenText): Reading {
  const data = parseJson(text);
  if (said.path === undefined && isFeed(data)) return recordsInFeed(data);
  const lists = listsIn(data);
  const list = said.path === undefined ? firstOf(data, lists) : listAt(data, said.path, lists);
  const records = recordsOfObjects(list.list);
  if (records.length === 0) {
    throw new FileProblem('no-posts', 'The list in the JSON holds no posts: each must be an object.');
  }
  const told = lists.map(({ path, records, names }) => ({ path, records, names }));
  return { records, options: { path: list.path }, ...(told.length > 1 && { lists: told }) };
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

/** Where JSON broke, as a line. The engine's own words name no place that can be relied on. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true });
  const offset = errors[0]?.offset ?? text.length;
  if (offset >= text.trimEnd().length) return ' at its end: something was opened and not closed';
  return ` near line ${text.slice(0, offset).split('\n').length}`;
}
