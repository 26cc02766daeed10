import type { JsonList } from '../format.js';
import { isObject } from './is-object.js';

/** Lists that are told, names of each, and how deep they are looked for. */
const most = { lists: 20, names: 6, depth: 8, sample: 200 };

/** A list found, with what it holds. */
export interface FoundList extends JsonList {
  list: readonly unknown[];
}

/**
 * All lists of objects in a document, the likeliest to be the posts first: those with most objects, and with most names
 * in each. Lists within the objects of another list are parts of those, and no lists of posts.
 */
export function listsIn(data: unknown): FoundList[] {
  const found: FoundList[] = [];
  const visit = (value: unknown, path: string, depth: number) => {
    if (Array.isArray(value)) {
      const objects = value.filter(isObject);
      if (objects.length > 0) {
        const keys = new Set(objects.slice(0, most.sample).flatMap((one) => Object.keys(one)));
        found.push({ path, records: objects.length, names: [...keys].slice(0, most.names), list: value });
      }
      return;
    }
    if (!isObject(value) || depth >= most.depth) return;
    for (const [key, inner] of Object.entries(value)) visit(inner, `${path}/${escaped(key)}`, depth + 1);
  };
  visit(data, '', 0);
  return found.sort((a, b) => weight(b) - weight(a)).slice(0, most.lists);
}

/** Objects count, up to a point from which on a list of many small ones is no better than one of fewer whole ones. */
function weight({ records, names }: JsonList): number {
  return Math.min(records, 50) * Math.min(names.length, 6);
}

/** An object whose values are objects of one kind, each under its id, as a list of them; null for any other. */
export function listOfValues(data: unknown): unknown[] | null {
  if (!isObject(data)) return null;
  const values = Object.entries(data);
  if (values.length < 2 || !values.every(([, value]) => isObject(value))) return null;
  const shapes = values.map(([, value]) => Object.keys(value as object));
  const first = new Set(shapes[0]);
  if (first.size === 0 || !shapes.every((keys) => keys.some((key) => first.has(key)))) return null;
  return values.map(([id, value]) => ({ id, ...(value as object) }));
}

/** What stands at a JSON pointer (RFC 6901); undefined where nothing does. */
export function atPointer(data: unknown, pointer: string): unknown {
  if (pointer === '') return data;
  let value = data;
  for (const part of pointer.replace(/^\//, '').split('/')) {
    const key = part.replaceAll('~1', '/').replaceAll('~0', '~');
    if (Array.isArray(value)) value = value[Number(key)];
    else if (isObject(value) && Object.hasOwn(value, key)) value = value[key];
    else return undefined;
  }
  return value;
}

function escaped(key: string): string {
  return key.replaceAll('~', '~0').replaceAll('/', '~1');
}
