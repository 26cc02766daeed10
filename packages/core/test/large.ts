import { readAddress } from '../src/address/read.js';
import { buildIndex } from '../src/engine/index/build.js';
import type { Lens } from '../src/lens/lens.js';
import type { Collection, Post, Term } from '../src/model/post.js';
import type { Query } from '../src/lens/query.js';
import { field, lensOf } from './arbitrary.js';

/** Whole numbers below `end`, as if by chance but the same each time (Park and Miller's generator). */
export function chance(seed: number): (end: number) => number {
  let state = seed;
  return (end) => {
    state = (state * 48_271) % 2_147_483_647;
    return state % end;
  };
}

const flat = (name: string, count: number): Term[] =>
  Array.from({ length: count }, (_, i) => ({ slug: `${name}${i}`, label: `${name} ${i}`, parent: null }));

const places: Term[] = flat('p', 40).map((term, i) => ({ ...term, parent: i < 4 ? null : `p${Math.floor(i / 3)}` }));

/** Enough posts for terms to be kept both as sets and as lists; a few terms are on most posts, most are on few. */
export function largeCollection(size: number): Collection {
  const next = chance(size);
  const skewed = (end: number) => Math.floor((next(end) * next(end)) / end);
  const posts = Array.from({ length: size }, (_, i): Post => {
    const tags = new Set(Array.from({ length: next(5) }, () => `t${skewed(90)}`));
    const values: Post['values'] = {
      place: [...new Set([`p${skewed(40)}`, `p${skewed(40)}`])],
      ...(tags.size > 0 && { tags: [...tags] }),
      kind: [`k${skewed(6)}`],
      open: next(3) === 0,
      day: new Date(Date.UTC(2020, 0, 1 + next(1500))).toISOString().slice(0, 10),
      ...(next(10) > 0 && { minutes: next(90) }),
      title: `${['tern', 'reed', 'wader', 'otter'][next(4)]} ${['bed', 'nest', 'count'][next(3)]} ${next(40)}`,
    };
    return { id: `n${i}`, values };
  });
  return {
    fields: [
      field('place', 'terms', { tree: true, multiple: true }),
      field('tags', 'terms', { multiple: true }),
      field('kind', 'terms'),
      field('open', 'boolean'),
      field('day', 'date', { role: 'published' }),
      field('minutes', 'number'),
      field('title', 'text', { role: 'title' }),
    ],
    taxonomies: { place: places, tags: flat('t', 90), kind: flat('k', 6) },
    posts,
  };
}

export function largeLens(): Lens {
  return lensOf({
    facets: [
      { key: 'place', kind: 'tree', field: 'place' },
      { key: 'tags', kind: 'checkboxes', field: 'tags', match: 'all', order: 'count' },
      { key: 'kind', kind: 'checkboxes', field: 'kind' },
      { key: 'open', kind: 'switch', field: 'open' },
      { key: 'q', kind: 'search', fields: ['title'] },
      { key: 'day', kind: 'date-range', field: 'day' },
      { key: 'minutes', kind: 'number-range', field: 'minutes' },
    ],
    sort: { options: [{ key: 'newest', label: 'Newest', field: 'day', order: 'desc' }] },
    paging: { size: 12 },
  });
}

/** Queries with one to four facets on, and each search alone: what is found is kept, and met again by the next answer. */
export function largeQueries(lens: Lens, count: number): Query[] {
  const next = chance(count);
  const index = buildIndex(largeCollection(10));
  const searches = ['tern', 're', '"otter nest"', 'bed -tern'].map((text) => `q=${text.replaceAll(' ', '+')}`);
  const parts = [
    () => `place=p${next(40)}${next(2) ? `,p${next(40)}` : ''}`,
    () => `tags=t${next(20)}${next(3) ? '' : `,t${next(5)}`}`,
    () => `kind=k${next(6)},k${next(3)}`,
    () => `open=${next(2) ? 'yes' : 'no'}`,
    () => searches[next(4)]!,
    () => [`day=2021`, `day=2020-06-01/..`, `day=2022-03-01/2022-05-31`][next(3)]!,
    () => [`minutes=5/20`, `minutes=30/..`, `minutes=../45`][next(3)]!,
  ];
  const mixed = Array.from({ length: count }, (_, i) => {
    const on = [...parts];
    return Array.from({ length: 1 + (i % 4) }, () => on.splice(next(on.length), 1)[0]!()).join('&');
  });
  const unranked = searches.map((one) => `${one}&sort=newest`);
  return [...unranked, ...mixed, ...searches].map((address) => readAddress(address, lens, index, 0).query);
}
