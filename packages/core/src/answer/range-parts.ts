import { numberOf, partsOf } from '../dates/calendar.js';
import { countBits, hasBit, listBits, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import type { SortedColumn } from '../index/sorted-column.js';
import type { Bucket } from '../model/answer.js';
import type { Lens, RangeFacet } from '../model/lens.js';

/** The two ends of a range facet over all posts; the same column twice where it is no span. */
export interface RangeColumns {
  start: SortedColumn;
  end: SortedColumn;
}

export function rangeColumns(index: PostIndex, lens: Lens, facet: RangeFacet): RangeColumns {
  const column = (key: string, orElse?: string) =>
    facet.kind === 'date-range' ? index.days(key, lens.zone, orElse) : index.numbers(key, orElse);
  if (facet.endField === undefined) {
    const both = column(facet.field);
    return { start: both, end: both };
  }
  return { start: column(facet.field, facet.endField), end: column(facet.endField, facet.field) };
}

/** Steps a histogram is cut into: `place` gives a value's step, and `edges` the first and last value of a step. */
export interface Steps {
  name: string;
  place(value: number): number;
  edges(step: number): { from: number; to: number };
}

const mostDays = 62;
const mostMonths = 72;
const mostSteps = 20;

/** Days up to a 62-day spread, months up to six years, years beyond. */
export function daySteps(low: number, high: number): Steps {
  if (high - low < mostDays) return { name: 'days', place: (day) => day, edges: (day) => ({ from: day, to: day }) };
  const month = (day: number) => {
    const { year, month: m } = partsOf(day);
    return year * 12 + m - 1;
  };
  if (month(high) - month(low) < mostMonths) {
    const start = (step: number) => numberOf(Math.floor(step / 12), (step % 12) + 1, 1);
    return { name: 'months', place: month, edges: (step) => ({ from: start(step), to: start(step + 1) - 1 }) };
  }
  const edges = (year: number) => ({ from: numberOf(year, 1, 1), to: numberOf(year, 12, 31) });
  return { name: 'years', place: (day) => partsOf(day).year, edges };
}

/** At most twenty steps of 1, 2 or 5 times a power of ten; whole numbers never finer than 1. */
export function numberSteps(low: number, high: number, whole: boolean): Steps {
  let [size, down] = [1, 1];
  const fits = () => Math.floor((high * down) / size) - Math.floor((low * down) / size) < mostSteps;
  // sizes below 1 are kept as a whole divisor: 0.1 × 3 is not 0.3, but 3 / 10 is
  const grow = (n: number) => (String(n).startsWith('2') ? n * 2.5 : n * 2);
  if (whole || !fits()) while (!fits()) size = grow(size);
  else {
    while (down < 1e9 && high > low) {
      const finer = down * (String(down).startsWith('2') ? 2.5 : 2);
      const before = down;
      down = finer;
      if (fits()) continue;
      down = before;
      break;
    }
  }
  const edges = (step: number) => {
    const from = (step * size) / down;
    // a step of whole numbers ends on its last one; otherwise where the next begins
    return { from, to: whole ? from + size - 1 : ((step + 1) * size) / down };
  };
  return { name: `${size}/${down}`, place: (value) => Math.floor((value * down) / size), edges };
}

export interface Histogram {
  low: number;
  high: number;
  buckets: Bucket<number>[];
}

/**
 * Least and greatest value of a set of posts, and how many have each step between. Every post with a value is counted
 * once: a span where it starts.
 */
export function histogramOf(
  { start, end }: RangeColumns,
  set: Bits,
  steps: (low: number, high: number) => Steps,
): Histogram | null {
  const list = countBits(set) * 16 < start.size ? listBits(set) : null;
  const low = list ? least(start, list) : firstIn(start, set);
  const high = list ? greatest(end, list) : lastIn(end, set);
  if (low === null || high === null) return null;
  const cut = steps(low, high);
  const first = cut.place(low);
  const last = cut.place(high);
  const counts = new Uint32Array(last - first + 1);
  countPlaces(start, set, low, high, cut, first, counts);
  const buckets = Array.from(counts, (count, i) => ({ ...cut.edges(first + i), count }));
  return { low, high, buckets };
}

function countPlaces(
  column: SortedColumn,
  set: Bits,
  low: number,
  high: number,
  cut: Steps,
  first: number,
  counts: Uint32Array,
): void {
  const places = placesOf(column, cut);
  const inSet = countBits(set);
  const rest = column.size - inSet;
  if (inSet > rest * 2) {
    // nearly all posts: count everything, then take away those that are not in the set
    const all = allPlaces(column, cut, places);
    for (let i = 0; i < counts.length; i++) counts[i] = all.counts[first + i - all.first] ?? 0;
    for (let p = 0; p < column.size; p++) {
      const at = places[p]! - first;
      if (!hasBit(set, p) && at >= 0 && at < counts.length) counts[at]!--;
    }
    return;
  }
  const list = listBits(set, inSet);
  for (let i = 0; i < list.length; i++) {
    const at = places[list[i]!]! - first;
    if (at >= 0 && at < counts.length) counts[at]!++;
  }
}

const placed = new WeakMap<
  SortedColumn,
  Map<string, { places: Float64Array; all?: { first: number; counts: Uint32Array } }>
>();

/** The step of every post, worked out once a way of cutting and kept. */
function placesOf(column: SortedColumn, cut: Steps): Float64Array {
  let byCut = placed.get(column);
  if (!byCut) placed.set(column, (byCut = new Map()));
  let entry = byCut.get(cut.name);
  if (!entry) {
    const places = Float64Array.from(column.values, (value) => (Number.isNaN(value) ? NaN : cut.place(value)));
    // a few ways of cutting are in use at a time; more would only hold memory
    if (byCut.size >= 4) byCut.delete(byCut.keys().next().value!);
    byCut.set(cut.name, (entry = { places }));
  }
  return entry.places;
}

function allPlaces(column: SortedColumn, cut: Steps, places: Float64Array): { first: number; counts: Uint32Array } {
  const entry = placed.get(column)!.get(cut.name)!;
  if (entry.all) return entry.all;
  const first = cut.place(column.sorted[0]!);
  const counts = new Uint32Array(cut.place(column.sorted[column.sorted.length - 1]!) - first + 1);
  for (const place of places) if (!Number.isNaN(place)) counts[place - first]!++;
  entry.all = { first, counts };
  return entry.all;
}

function firstIn({ posts, sorted }: SortedColumn, set: Bits): number | null {
  for (let i = 0; i < posts.length; i++) if (hasBit(set, posts[i]!)) return sorted[i]!;
  return null;
}

function lastIn({ posts, sorted }: SortedColumn, set: Bits): number | null {
  for (let i = posts.length - 1; i >= 0; i--) if (hasBit(set, posts[i]!)) return sorted[i]!;
  return null;
}

// of few posts it is quicker to look at each than to search the whole order for one of them

function least({ values }: SortedColumn, list: Uint32Array): number | null {
  let low = Infinity;
  for (const post of list) if (values[post]! < low) low = values[post]!;
  return low === Infinity ? null : low;
}

function greatest({ values }: SortedColumn, list: Uint32Array): number | null {
  let high = -Infinity;
  for (const post of list) if (values[post]! > high) high = values[post]!;
  return high === -Infinity ? null : high;
}
