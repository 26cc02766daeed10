import { planOf } from '../answer/plan.js';
import { endsOf, passing, searchOf, slugsOf, textIndexOf } from '../answer/passing.js';
import { rangeColumns } from '../answer/range-parts.js';
import { dayText } from '../dates/calendar.js';
import { hasBit } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import { valueOfPost } from '../index/sorted-column.js';
import { termsOfPost, type TermColumn } from '../index/term-column.js';
import {
  isFavourites,
  isRange,
  isSearch,
  type Facet,
  type Lens,
  type RangeFacet,
  type SearchFacet,
} from '../model/lens.js';
import type { Query, Selection } from '../model/query.js';
import { editDistance } from '../search/respell.js';
import type { Met } from '../search/search.js';
import { fieldEnd } from '../search/text-index.js';
import { holds } from '../search/word-run.js';

/** By how much a post misses a facet. */
export interface Miss {
  /** Days, units of a number, steps in a tree, or letters of a word; null when the post has no value at all. */
  by: number | null;
  unit: 'days' | 'units' | 'steps' | 'letters';
  /** The value of the post that comes nearest. */
  nearest: string | null;
}

export interface FacetReason {
  key: string;
  passes: boolean;
  /** One sentence for people, with the value that decides. */
  reason: string;
  /** Only where it does not pass. */
  miss?: Miss;
}

export interface Explanation {
  /** Passes every facet and is in the lens's scope. */
  passes: boolean;
  inScope: boolean;
  /** Facets with a choice, in the lens's order. */
  facets: FacetReason[];
}

/**
 * Says of one post which facets of a query it passes, by which value, and how far it misses the others.
 * @param post  its number in the index
 */
export function explain(index: PostIndex, query: Query, post: number): Explanation {
  const { lens, selections } = query;
  const inScope = hasBit(planOf(index, lens).scope.set.bits, post);
  const facets = lens.facets
    .filter((facet) => selections[facet.key])
    .map((facet) => reasonOf(index, lens, facet, selections[facet.key]!, post));
  return { passes: inScope && facets.every((facet) => facet.passes), inScope, facets };
}

export function reasonOf(index: PostIndex, lens: Lens, facet: Facet, selection: Selection, post: number): FacetReason {
  const passes = hasBit(passing(index, lens, facet, selection).bits, post);
  if (isSearch(facet)) return searchReason(index, facet, selection, post, passes);
  if (isFavourites(facet)) {
    const miss: Miss = { by: null, unit: 'steps', nearest: null };
    const { key } = facet;
    return passes ? { key, passes, reason: 'It is marked.' } : { key, passes, reason: 'It is not marked.', miss };
  }
  if (isRange(facet)) return rangeReason(index, lens, facet, selection, post, passes);
  return termReason(index.column(facet.field), facet, selection, post, passes);
}

function termReason(
  column: TermColumn,
  facet: Facet,
  selection: Selection,
  post: number,
  passes: boolean,
): FacetReason {
  const own = termsOfPost(column, post);
  const label = (t: number) => column.terms[t]!.label;
  const chosen = slugsOf(selection).flatMap((slug) => column.numbers.get(slug) ?? []);
  const { key } = facet;
  if (own.length === 0) {
    return { key, passes, reason: 'It has no value here.', miss: { by: null, unit: 'steps', nearest: null } };
  }
  const met = chosen.filter((t) => own.includes(t));
  if (passes) return { key, passes, reason: `It has ${listed(met.map(label))}.` };
  const missing = chosen.filter((t) => !own.includes(t));
  const lowest = own.filter((t) => !own.some((other) => column.parents[other] === t));
  let best = { steps: Infinity, term: lowest[0]! };
  for (const t of lowest) {
    for (const wanted of missing) {
      const steps = stepsBetween(column, t, wanted);
      if (steps < best.steps) best = { steps, term: t };
    }
  }
  const reason = `It has ${listed(lowest.map(label))}, not ${listed(missing.map(label), 'or')}.`;
  return { key, passes, reason, miss: { by: best.steps, unit: 'steps', nearest: column.terms[best.term]!.slug } };
}

/** Steps up and down a tree from one term to another; all tops hang from one root. */
function stepsBetween(column: TermColumn, a: number, b: number): number {
  const above = new Map<number, number>();
  let steps = 0;
  for (let t = a; t >= 0; t = column.parents[t]!) above.set(t, steps++);
  above.set(-1, steps);
  let down = 0;
  for (let t = b; ; t = column.parents[t]!) {
    const up = above.get(t);
    if (up !== undefined) return up + down;
    down++;
  }
}

function rangeReason(
  index: PostIndex,
  lens: Lens,
  facet: RangeFacet,
  selection: Selection,
  post: number,
  passes: boolean,
): FacetReason {
  const { start, end } = rangeColumns(index, lens, facet);
  const [low, high] = [valueOfPost(start, post), valueOfPost(end, post)];
  const isDays = facet.kind === 'date-range';
  const unit = isDays ? 'days' : 'units';
  const { key } = facet;
  if (Number.isNaN(low))
    return { key, passes, reason: 'It has no value here.', miss: { by: null, unit, nearest: null } };
  const words = (value: number) => (isDays ? dayText(value) : String(value));
  const own = low === high ? words(low) : `${words(low)} to ${words(high)}`;
  if (passes) return { key, passes, reason: `${own} is within the range.` };
  const [from, to] = endsOf(selection);
  const early = from !== null && high < from;
  const by = early ? from - high : low - to!;
  const noun = isDays ? (by === 1 ? 'day ' : 'days ') : '';
  const reason = `${own} is ${by} ${noun}${early ? 'before' : 'after'} the range.`;
  return { key, passes, reason, miss: { by, unit, nearest: words(early ? high : low) } };
}

function searchReason(
  index: PostIndex,
  facet: SearchFacet,
  selection: Selection,
  post: number,
  passes: boolean,
): FacetReason {
  const { key } = facet;
  if (selection.type !== 'search') return { key, passes, reason: 'Nothing is searched for.' };
  const text = textIndexOf(index, facet);
  const own = new Set(text.tokens.subarray(text.tokenStarts[post], text.tokenStarts[post + 1]));
  own.delete(fieldEnd);
  const { wanted } = searchOf(index, facet, selection.text);
  const hits = ({ met }: Met) => met.map((runs) => [...own].filter((w) => holds(runs, w)).sort((a, b) => a - b));
  const meets = (one: Met) => hits(one).every((words) => words.length > 0);
  if (passes) {
    const met = wanted.filter((one) => !one.excluded && meets(one)).flatMap((one) => hits(one).flat());
    const words = [...new Set(met)].map((w) => `“${text.vocabulary[w]}”`);
    return {
      key,
      passes,
      reason: words.length === 0 ? 'It has none of the words left out.' : `It has ${listed(words)}.`,
    };
  }
  const excluded = wanted.find((one) => one.excluded && meets(one));
  if (excluded) {
    const miss: Miss = { by: 0, unit: 'letters', nearest: excluded.words.join(' ') };
    return { key, passes, reason: `It has “${excluded.words.join(' ')}”, which is left out.`, miss };
  }
  const missing = wanted.filter((one) => !one.excluded && !meets(one));
  const word = missing[0]?.words[0];
  if (word === undefined)
    return {
      key,
      passes,
      reason: 'It has the words, but not in a row.',
      miss: { by: 0, unit: 'letters', nearest: null },
    };
  const nearest = nearestWord(
    word,
    [...own].map((w) => text.vocabulary[w]!),
  );
  const reason = `It does not have ${listed(
    missing.map((one) => `“${one.words.join(' ')}”`),
    'or',
  )}.`;
  return {
    key,
    passes,
    reason,
    miss: { by: nearest?.letters ?? null, unit: 'letters', nearest: nearest?.word ?? null },
  };
}

function nearestWord(word: string, words: readonly string[]): { word: string; letters: number } | null {
  let best: { word: string; letters: number } | null = null;
  for (const other of words) {
    const letters = editDistance([...word], [...other], best ? best.letters : 99);
    if (!best || letters < best.letters || (letters === best.letters && other < best.word))
      best = { word: other, letters };
  }
  return best;
}

function listed(words: readonly string[], last: 'and' | 'or' = 'and'): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`;
}
