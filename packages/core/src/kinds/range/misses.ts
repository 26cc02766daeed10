import { valueOfPost } from '../../engine/columns/sorted-column.js';
import type { Misses } from '../miss.js';
import type { Selection } from '../../model/selection.js';
import type { RangeColumns } from './histogram.js';

/** How values of a range are reported. */
export interface RangeWords {
  unit: 'days' | 'minutes' | 'units';
  readonly text: (value: number) => string;
  /** How far something is off, such as `3 days`. */
  readonly distance: (by: number) => string;
}

/** How posts stand to a range: measured in days or minutes, or in units of the number. */
export function rangeMisses(
  { start, end }: RangeColumns,
  [from, to]: readonly [number | null, number | null],
  { unit, text, distance }: RangeWords,
  widened: (end: 'from' | 'to', value: number) => Selection,
): Misses {
  const ends = (post: number) => [valueOfPost(start, post), valueOfPost(end, post)] as const;
  const own = (low: number, high: number) => (low === high ? text(low) : `${text(low)} to ${text(high)}`);
  const isEarly = (high: number) => from !== null && high < from;
  const missBy = (low: number, high: number) => (isEarly(high) ? from! - high : low - to!);
  return {
    value: (post) => {
      const [low, high] = ends(post);
      return Number.isNaN(low) ? null : own(low, high);
    },
    admit: (post) => {
      const [low, high] = ends(post);
      if (Number.isNaN(low)) return null;
      return isEarly(high)
        ? { selection: widened('from', high), text: `from ${text(high)}` }
        : { selection: widened('to', low), text: `to ${text(low)}` };
    },
    by: (post) => {
      const [low, high] = ends(post);
      return Number.isNaN(low) ? null : missBy(low, high);
    },
    passed: (post) => `${own(...ends(post))} is within the range.`,
    failed: (post) => {
      const [low, high] = ends(post);
      if (Number.isNaN(low)) return { reason: 'It has no value here.', miss: { by: null, unit, nearest: null } };
      const by = missBy(low, high);
      const reason = `${own(low, high)} is ${distance(by)} ${isEarly(high) ? 'before' : 'after'} the range.`;
      return { reason, miss: { by, unit, nearest: text(isEarly(high) ? high : low) } };
    },
  };
}
