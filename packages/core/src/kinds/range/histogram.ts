import { PostSet } from '../../engine/sets/post-set.js';
import { Lru } from '../../engine/base/lru.js';
import { lowerBound } from '../../engine/base/bounds.js';
import type { SortedColumn } from '../../engine/columns/sorted-column.js';
import type { Counted } from '../../engine/index/counting.js';
import { edgesBetween, type Edges, type Steps } from './steps.js';

/** The two ends of a range facet over all posts; the same column twice where it is no span. */
export interface RangeColumns {
  start: SortedColumn;
  end: SortedColumn;
}

/** Whether posts are numbered by the values of a range: its steps are then runs of numbers, and no post need be walked. */
export function isByNumber({ start, end }: RangeColumns): boolean {
  return start === end && start.descending;
}

/** Counts by step, from the step of the least value to that of the greatest. */
export interface Histogram {
  low: number;
  high: number;
  edges: Edges[];
  counts: number[];
}

/**
 * Least and greatest value of a set of posts, and how many have each step between. Every post with a value is counted
 * once: a span where it starts.
 */
export function histogramOf(
  { start, end }: RangeColumns,
  counted: Counted,
  steps: (low: number, high: number) => Steps,
): Histogram | null {
  if (counted.set.count === 0) return null;
  if (isByNumber({ start, end })) return runHistogram(start, counted, steps);
  // counts by value are worth making where they are kept, and where values are not more than posts
  const { count, size } = counted.set;
  const isFew = PostSet.isFew(size, count) && count < start.distinct.length;
  if (isFew && !counted.keepsCounts && !counted.countsAlong(start))
    return listHistogram(start, end, counted.set.list, steps);
  const ranks = counted.ranks(start);
  const [lowRank, highStart] = endsOfCounts(ranks);
  const highRank = start === end ? highStart : endsOfCounts(counted.ranks(end))[1];
  if (lowRank < 0 || highRank < 0) return null;
  const { cut, first, histogram } = emptyHistogram(start.distinct[lowRank]!, end.distinct[highRank]!, steps);
  const { places } = cutOf(start, cut);
  for (let rank = lowRank; rank <= highStart; rank++) {
    if (ranks[rank] !== 0) histogram.counts[places[rank]! - first]! += ranks[rank]!;
  }
  return histogram;
}

function listHistogram(
  start: SortedColumn,
  end: SortedColumn,
  list: Uint32Array,
  steps: (low: number, high: number) => Steps,
): Histogram | null {
  const { ranks, distinct } = start;
  let [lowRank, highRank] = [distinct.length, -1];
  for (let i = 0; i < list.length; i++) {
    const rank = ranks[list[i]!]!;
    if (rank < lowRank) lowRank = rank;
    const endRank = end.ranks[list[i]!]!;
    if (endRank > highRank && endRank < end.distinct.length) highRank = endRank;
  }
  if (highRank < 0) return null;
  const { cut, first, histogram } = emptyHistogram(distinct[lowRank]!, end.distinct[highRank]!, steps);
  const { places } = cutOf(start, cut);
  const { counts } = histogram;
  for (let i = 0; i < list.length; i++) {
    const rank = ranks[list[i]!]!;
    if (rank < distinct.length) counts[places[rank]! - first]!++;
  }
  return histogram;
}

/** Where posts are numbered by this very column, a step is a run of numbers: none need be walked. */
function runHistogram(
  column: SortedColumn,
  counted: Counted,
  steps: (low: number, high: number) => Steps,
): Histogram | null {
  const { ranks, distinct, starts, count } = column;
  const ends = counted.ends(count);
  if (!ends) return null;
  const [lowRank, highRank] = [ranks[ends.last]!, ranks[ends.first]!];
  const { cut, first, histogram } = emptyHistogram(distinct[lowRank]!, distinct[highRank]!, steps);
  const known = cutOf(column, cut);
  const { counts } = histogram;
  // the higher the step, the lower the numbers
  const bounds = counted.numbers(counts.length + 1);
  for (let i = 0; i < counts.length; i++) bounds[counts.length - i] = count - starts[valuesBefore(known, first + i)]!;
  bounds[0] = count - starts[highRank + 1]!;
  const before = counted.before(bounds);
  for (let i = 0; i < counts.length; i++) counts[i] = before[counts.length - i]! - before[counts.length - i - 1]!;
  return histogram;
}

function emptyHistogram(low: number, high: number, steps: (low: number, high: number) => Steps) {
  const cut = steps(low, high);
  const { first, edges } = edgesBetween(cut, low, high);
  const counts = edges.map(() => 0);
  const histogram: Histogram = { low, high, edges, counts };
  return { cut, first, histogram };
}

/** The first and last rank that any post has; -1 where none has one. */
function endsOfCounts(counts: Uint32Array): [first: number, last: number] {
  let first = 0;
  while (first < counts.length && counts[first] === 0) first++;
  if (first === counts.length) return [-1, -1];
  let last = counts.length - 1;
  while (counts[last] === 0) last--;
  return [first, last];
}

/** How the values of a column fall into steps. */
interface Cut {
  /** The step of every value, by its rank. */
  places: Float64Array;
  /** The first step there is, and for each from it on how many values come before it; null of too many. */
  least: number;
  before: Uint32Array | null;
}

/** Steps of a whole column that are looked up and not searched for. */
const mostLookedUp = 10_000;

/** How many values come before a step. */
function valuesBefore({ places, least, before }: Cut, step: number): number {
  return before ? before[step - least]! : lowerBound(places, step);
}

const cuts = new WeakMap<SortedColumn, Lru<Steps, Cut>>();
/** Ways of cutting kept for a column; more would only hold memory. */
const cutsKept = 4;

function cutOf(column: SortedColumn, steps: Steps): Cut {
  let bySteps = cuts.get(column);
  if (!bySteps) cuts.set(column, (bySteps = new Lru<Steps, Cut>(cutsKept)));
  return bySteps.getOr(steps, () => {
    const places = column.distinct.map((value) => steps.place(value));
    const least = places[0] ?? 0;
    const count = (places[places.length - 1] ?? -1) - least + 1;
    const before =
      count > mostLookedUp ? null : Uint32Array.from({ length: count }, (_, i) => lowerBound(places, least + i));
    return { places, least, before };
  });
}
