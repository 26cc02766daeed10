import { numberOf, partsOf } from '../dates/calendar.js';
import { hasBit, listBits, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import type { SortedColumn } from '../index/sorted-column.js';
import type { Bucket } from '../model/answer.js';
import type { Lens, RangeFacet } from '../model/lens.js';
import type { Counted } from './counting.js';

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
  if (high - low < mostDays) return days;
  return months.place(high) - months.place(low) < mostMonths ? months : years;
}

const days: Steps = { name: 'days', place: (day) => day, edges: (day) => ({ from: day, to: day }) };

const firstOfMonth = (step: number) => numberOf(Math.floor(step / 12), (step % 12) + 1, 1);
const months: Steps = {
  name: 'months',
  place: (day) => {
    const { year, month } = partsOf(day);
    return year * 12 + month - 1;
  },
  edges: remembered((step) => ({ from: firstOfMonth(step), to: firstOfMonth(step + 1) - 1 })),
};
const years: Steps = {
  name: 'years',
  place: (day) => partsOf(day).year,
  edges: remembered((year) => ({ from: numberOf(year, 1, 1), to: numberOf(year, 12, 31) })),
};

/** Keeps what was worked out: the calendar does not change, and every histogram asks for the same months. */
function remembered(edges: Steps['edges']): Steps['edges'] {
  const known = new Map<number, { from: number; to: number }>();
  return (step) => {
    let found = known.get(step);
    if (!found) known.set(step, (found = edges(step)));
    return found;
  };
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
 * @param scope  what the set is part of: its own counts are worked out once and kept
 */
export function histogramOf(
  { start, end }: RangeColumns,
  counted: Counted,
  scope: Bits,
  steps: (low: number, high: number) => Steps,
): Histogram | null {
  const few = counted.count * 16 < start.size ? counted.walk.list : null;
  const low = few ? least(start, few) : firstIn(start, counted.set);
  const high = few ? greatest(end, few) : lastIn(end, counted.set);
  if (low === null || high === null) return null;
  const cut = steps(low, high);
  const first = cut.place(low);
  const counts = countPlaces(start, counted, scope, cut, first, cut.place(high) - first + 1);
  const buckets: Bucket<number>[] = [];
  for (let i = 0; i < counts.length; i++) {
    const { from, to } = cut.edges(first + i);
    buckets.push({ from, to, count: counts[i]! });
  }
  return { low, high, buckets };
}

function countPlaces(
  column: SortedColumn,
  counted: Counted,
  scope: Bits,
  cut: Steps,
  first: number,
  size: number,
): Uint32Array {
  const kept = placesOf(column, cut);
  const { list, isRest } = counted.walk;
  if (!isRest) return countList(kept.places, list, first, size);
  let whole = kept.scopes.get(scope);
  if (!whole) {
    const low = cut.place(column.sorted[0]!);
    const length = cut.place(column.sorted[column.sorted.length - 1]!) - low + 1;
    kept.scopes.set(scope, (whole = { first: low, counts: countList(kept.places, listBits(scope), low, length) }));
  }
  const counts = countList(kept.places, list, first, size);
  for (let i = 0; i < size; i++) counts[i] = whole.counts[first + i - whole.first]! - counts[i]!;
  return counts;
}

/** How many posts of a list are in each of `size` steps from `first` on. */
function countList(places: Float64Array, list: Uint32Array, first: number, size: number): Uint32Array {
  const counts = new Uint32Array(size);
  for (let i = 0; i < list.length; i++) {
    // NaN, of a post without a value, is in no step
    const at = places[list[i]!]! - first;
    if (at >= 0 && at < size) counts[at]!++;
  }
  return counts;
}

interface Placed {
  /** The step of every post; NaN without a value. */
  places: Float64Array;
  /** Counts over whole scopes. */
  scopes: WeakMap<Bits, { first: number; counts: Uint32Array }>;
}

const placed = new WeakMap<SortedColumn, Map<string, Placed>>();
/** Ways of cutting kept for a column; more would only hold memory. */
const cutsKept = 4;

function placesOf(column: SortedColumn, cut: Steps): Placed {
  let byCut = placed.get(column);
  if (!byCut) placed.set(column, (byCut = new Map<string, Placed>()));
  let entry = byCut.get(cut.name);
  if (!entry) {
    const places = Float64Array.from(column.values, (value) => (Number.isNaN(value) ? NaN : cut.place(value)));
    if (byCut.size >= cutsKept) byCut.delete(byCut.keys().next().value!);
    byCut.set(cut.name, (entry = { places, scopes: new WeakMap() }));
  }
  return entry;
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
