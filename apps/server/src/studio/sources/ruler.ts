import { fieldWithRole, hasTerms, type Field, type PostIndex, type Steps } from '@ivy/core';
import { findPosts, type PostQuery } from './posts.js';

/** A place in a list from which on posts have something else in what they are ordered by. */
export interface PostMark {
  /** Place of the first such post, from 0. */
  place: number;
  /** What they have there: a year, a month, a day, an amount, a term, a first letter. */
  words: string;
}

/** What stands where in a list of posts, so that one can go to it without reading what is between. */
export interface PostRuler {
  total: number;
  /** What marks tell; null where the order is that of the best matches, of which nothing can be told. */
  unit: 'year' | 'month' | 'day' | 'amount' | 'term' | 'letter' | null;
  marks: PostMark[];
}

/** Places that are looked at along the list. */
const looks = 120;
/** Marks whose places are exact; of more, to the nearest look. */
const mostExact = 40;

/** What a value is marked as on the ruler; '' for none. */
type LabelOf = (value: unknown) => string;

/** Looks along a list of posts at evenly spaced places, and tells where what they are ordered by becomes another. */
export function* rulerOf(index: PostIndex, asked: PostQuery): Steps<PostRuler> {
  const field = asked.sort === '' ? fieldWithRole(index.fields, 'published') : fieldOf(index, asked.sort);
  const { total } = yield* findPosts(index, { ...asked, page: 1, size: 1 });
  if (!field || total === 0 || (asked.sort === '' && asked.words.trim() !== '')) {
    return { total, unit: null, marks: [] };
  }
  const at = function* (place: number): Steps<unknown> {
    const { items } = yield* findPosts(index, { ...asked, page: place + 1, size: 1 });
    const [post] = items;
    if (!post || !Object.hasOwn(post.values, field.key)) return null;
    return hasTerms(field) ? (post.words[field.key] ?? null) : post.values[field.key];
  };
  const places = [...new Set(Array.from({ length: looks }, (_, i) => Math.floor((i * (total - 1)) / (looks - 1))))];
  const values: unknown[] = [];
  for (const place of places) values.push(yield* at(place));
  const { unit, labelOf } = unitOf(field, values);
  const marks: PostMark[] = [];
  for (const [i, place] of places.entries()) {
    const words = labelOf(values[i]);
    if (words !== '' && words !== marks.at(-1)?.words) marks.push({ place, words });
  }
  if (marks.length <= mostExact) for (const mark of marks) mark.place = yield* firstWith(mark, places, labelOf, at);
  return { total, unit, marks };
}

/** The first post of a mark: between the look before it and the one that met it. */
function* firstWith(
  { place, words }: PostMark,
  places: readonly number[],
  labelOf: LabelOf,
  at: (place: number) => Steps<unknown>,
): Steps<number> {
  let [low, high] = [(places[places.indexOf(place) - 1] ?? -1) + 1, place];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (labelOf(yield* at(middle)) === words) high = middle;
    else low = middle + 1;
  }
  return high;
}

function fieldOf(index: PostIndex, key: string): Field | undefined {
  return index.fields.find((field) => field.key === key);
}

/** In what steps values are marked, so that neither every post is a mark nor all are one. */
function unitOf(field: Field, values: readonly unknown[]): { unit: NonNullable<PostRuler['unit']>; labelOf: LabelOf } {
  if (field.type === 'date' || field.type === 'datetime') {
    const days = values.filter((value) => typeof value === 'string').sort();
    const parts = (length: number) => new Set(days.map((day) => day.slice(0, length))).size;
    const [unit, length] =
      parts(4) > 2 ? (['year', 4] as const) : parts(7) > 2 ? (['month', 7] as const) : (['day', 10] as const);
    return { unit, labelOf: (value) => (typeof value === 'string' ? value.slice(0, length) : '') };
  }
  if (field.type === 'number') {
    const numbers = values.filter((value) => typeof value === 'number');
    const step = stepOver(Math.max(...numbers) - Math.min(...numbers));
    return { unit: 'amount', labelOf: (value) => (typeof value === 'number' ? String(floorTo(value, step)) : '') };
  }
  if (hasTerms(field) && new Set(values).size <= mostExact) return { unit: 'term', labelOf: textOf };
  return { unit: 'letter', labelOf: (value) => [...textOf(value).trim()][0]?.toLocaleUpperCase() ?? '' };
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value : typeof value === 'boolean' ? String(value) : '';
}

/** A round step of which a width has about ten: 1, 2 or 5 times a power of ten. */
function stepOver(width: number): number {
  if (!(width > 0) || !Number.isFinite(width)) return 1;
  const power = 10 ** Math.floor(Math.log10(width / 10));
  return power * ([1, 2, 5, 10].find((by) => power * by >= width / 10) ?? 10);
}

function floorTo(value: number, step: number): number {
  return Number((Math.floor(value / step) * step).toPrecision(12));
}
