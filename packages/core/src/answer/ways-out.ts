import { writeAddress } from '../address/write.js';
import { eachBit, hasBit } from '../engine/base/bits.js';
import { Counted } from '../engine/index/counting.js';
import type { Query } from '../lens/query.js';
import type { Way } from '../model/answer.js';
import { slugsOf, type Selection } from '../model/selection.js';
import type { Passed, Plan } from './plan.js';

/** Ways that lift facets, and ways that take a near term instead, offered at most. */
const [mostLifts, mostInstead] = [5, 2];

/**
 * The ways out of an answer with no post, most posts first: each facet left out alone; where none of these helps, the
 * fewest together that do; another term in the place of one that is chosen. The last is to leave everything out.
 */
export function waysOut(plan: Plan, query: Query, passed: Passed): Way[] {
  const { active } = passed;
  if (active.length === 0) return [];
  const alone = active.map((_, i) => lift(query, passed, [i], passed.combined.leaveOneOut(i).count));
  const single = alone.filter(({ matched }) => matched > 0);
  const lifts = single.length > 0 || active.length < 3 ? single : together(plan, query, passed);
  const others = [...lifts.sort(byMatched).slice(0, mostLifts), ...instead(plan, query, passed)].sort(byMatched);
  // what visitors can't see they can't clear, unless nothing else is left to do
  const visible = active.flatMap((facet, i) => (facet.visible ? i : []));
  const all = active.map((_, i) => i);
  const clear = [visible, all].map((some) => lift(query, passed, some, matchedWithout(plan, passed, some)));
  const last = clear[0]!.matched > 0 && visible.length > 0 ? clear[0]! : clear[1]!;
  return [...others.filter((way) => way.instead !== undefined || way.address !== last.address), last];
}

function byMatched(a: Way, b: Way): number {
  return b.matched - a.matched;
}

/** @param some  places of facets among the active ones */
function lift(query: Query, { active }: Passed, some: readonly number[], matched: number): Way {
  const lifts = some.map((i) => active[i]!.key);
  const selections = Object.fromEntries(Object.entries(query.selections).filter(([key]) => !lifts.includes(key)));
  const address = writeAddress({ ...query, selections, page: 1 });
  return { without: lifts[0]!, lifts, matched, address };
}

function matchedWithout(plan: Plan, { each }: Passed, some: readonly number[]): number {
  return each.reduce((left, set, i) => (some.includes(i) ? left : left.and(set)), plan.scope.set).count;
}

/** Facets that can be told apart by the bits of a number; a lens with more of them on offers to clear all. */
const mostTogether = 52;

/**
 * The fewest facets that help together: two or more. They are those that the posts nearest to the query fail, so each post
 * of the scope is looked at once: which facets it fails is one number, a bit a facet.
 */
function together(plan: Plan, query: Query, passed: Passed): Way[] {
  const bits = passed.each.map((set) => set.bits);
  const count = bits.length;
  if (count > mostTogether) return [];
  const values = bits.map((_, i) => 2 ** i);
  const matchedBy = new Map<number, number>();
  let fewest = count - 1;
  eachBit(plan.scope.set.bits, (post) => {
    let [fails, mask] = [0, 0];
    for (let i = 0; i < count && fails <= fewest; i++) {
      if (hasBit(bits[i]!, post)) continue;
      fails++;
      mask += values[i]!;
    }
    if (fails > fewest) return;
    if (fails < fewest) matchedBy.clear();
    fewest = fails;
    matchedBy.set(mask, (matchedBy.get(mask) ?? 0) + 1);
  });
  const groups = [...matchedBy].map(([mask, matched]) => {
    const some = values.flatMap((value, i) => (Math.floor(mask / value) % 2 === 1 ? i : []));
    return { some, matched };
  });
  groups.sort((one, other) => compareLists(one.some, other.some));
  return groups.map(({ some, matched }) => lift(query, passed, some, matched));
}

function compareLists(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((one, i) => one !== b[i]);
  return at < 0 ? 0 : a[at]! - b[at]!;
}

/** Terms that stand in for one that is chosen: the sibling with most posts, or else whichever term has most. */
function instead(plan: Plan, query: Query, passed: Passed): Way[] {
  const ways = query.lens.facets.flatMap((facet, place): Way[] => {
    const at = passed.places[place]!;
    const { terms, shown } = plan.facets[place]!;
    const selection = query.selections[facet.key];
    const slugs = selection ? slugsOf(selection) : [];
    if (at < 0 || !terms || !shown || slugs.length !== 1 || selection!.type === 'switch') return [];
    const chosen = terms.numbers.get(slugs[0]!);
    if (chosen === undefined) return [];
    const counts = new Counted(passed.combined.leaveOneOut(at), plan.scope, null, false).terms(terms);
    const best = (isFit: (term: number) => boolean) => {
      let found = -1;
      for (let t = 0; t < counts.length; t++) {
        const isBetter = counts[t]! > 0 && (found < 0 || counts[t]! > counts[found]!);
        if (t !== chosen && shown.shown[t] === 1 && isBetter && isFit(t)) found = t;
      }
      return found;
    };
    const sibling = best((t) => terms.parents[t] === terms.parents[chosen]);
    const near = sibling >= 0 ? sibling : best(() => true);
    if (near < 0) return [];
    const value = terms.terms[near]!.slug;
    const next: Selection =
      selection!.type === 'term' ? { type: 'term', term: value } : { type: 'terms', terms: [value] };
    const address = writeAddress({ ...query, selections: { ...query.selections, [facet.key]: next }, page: 1 });
    const { key } = facet;
    return [
      { without: key, lifts: [key], matched: counts[near]!, address, instead: { facet: key, value, for: slugs[0]! } },
    ];
  });
  return ways.sort(byMatched).slice(0, mostInstead);
}
