import type { Field } from '@ivy/core';
import { Problem } from '../../problem/problem.js';
import type { PostQuery } from './posts.js';

/** What is asked of a list of posts. */
export function postQuery(asked: Record<string, string | string[] | undefined>, fields: readonly Field[]): PostQuery {
  const one = (name: string) => (asked[name] === undefined ? undefined : [asked[name]].flat().at(-1));
  const known = (key: string) => {
    if (!fields.some((field) => field.key === key)) {
      throw new Problem(400, 'bad-query', `There is no field “${key.slice(0, 100)}” to order or filter by.`);
    }
    return key;
  };
  const filter = [asked.filter ?? []].flat().map((text) => {
    const at = text.lastIndexOf(':');
    const terms = text
      .slice(at + 1)
      .split(',')
      .filter(Boolean);
    return { field: known(text.slice(0, Math.max(0, at))), terms };
  });
  const sort = one('sort') ?? '';
  return {
    words: one('q') ?? '',
    page: countIn(one('page'), 1, 1_000_000),
    size: countIn(one('size'), 20, 100),
    sort: sort === '' ? '' : known(sort),
    order: one('order') === 'desc' ? 'desc' : 'asc',
    filter: filter.slice(0, 20),
  };
}

/** A number in a query string, between 1 and the most it may be. */
function countIn(text: string | undefined, usual: number, most: number): number {
  return Math.min(most, Number(/^[1-9]\d{0,6}$/.exec(text ?? '')?.[0] ?? usual));
}
