import { endsOf } from '../answer/passing.js';
import { rangeColumns } from '../answer/range-parts.js';
import { dayText } from '../dates/calendar.js';
import type { PostIndex } from '../index/post-index.js';
import { valueOfPost } from '../index/sorted-column.js';
import type { Lens, RangeFacet } from '../model/lens.js';
import type { Selection } from '../model/query.js';
import type { Misses } from './judge.js';

/** How posts stand to a range: measured in days, or in units of the number. */
export function rangeMisses(index: PostIndex, lens: Lens, facet: RangeFacet, selection: Selection): Misses {
  const { start, end } = rangeColumns(index, lens, facet);
  const [from, to] = endsOf(selection);
  const isDays = facet.kind === 'date-range';
  const unit = isDays ? 'days' : 'units';
  const words = (value: number) => (isDays ? dayText(value) : String(value));
  const ends = (post: number) => [valueOfPost(start, post), valueOfPost(end, post)] as const;
  const own = (low: number, high: number) => (low === high ? words(low) : `${words(low)} to ${words(high)}`);
  const isEarly = (high: number) => from !== null && high < from;
  const missBy = (low: number, high: number) => (isEarly(high) ? from! - high : low - to!);
  return {
    by: (post) => {
      const [low, high] = ends(post);
      return Number.isNaN(low) ? null : missBy(low, high);
    },
    passed: (post) => `${own(...ends(post))} is within the range.`,
    failed: (post) => {
      const [low, high] = ends(post);
      if (Number.isNaN(low)) return { reason: 'It has no value here.', miss: { by: null, unit, nearest: null } };
      const by = missBy(low, high);
      const noun = isDays ? (by === 1 ? 'day ' : 'days ') : '';
      const reason = `${own(low, high)} is ${by} ${noun}${isEarly(high) ? 'before' : 'after'} the range.`;
      return { reason, miss: { by, unit, nearest: words(isEarly(high) ? high : low) } };
    },
  };
}
