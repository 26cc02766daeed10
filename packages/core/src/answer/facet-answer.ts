import { dayText } from '../dates/calendar.js';
import type { TermColumn } from '../index/term-column.js';
import type { FacetAnswer, Option } from '../model/answer.js';
import {
  isFavourites,
  isRange,
  isSearch,
  isSingle,
  isSwitch,
  isTerms,
  type Facet,
  type RangeFacet,
  type SwitchFacet,
  type TermFacet,
} from '../model/lens.js';
import type { Selection } from '../model/query.js';
import type { Counted, KeptCounts } from './counting.js';
import { drawKeptOptions, drawOptions, type ShownTerms } from './options.js';
import { daySteps, histogramOf, numberSteps, type RangeColumns } from './range-parts.js';

/** What of a facet does not change from query to query. */
export interface FacetPlan {
  label: string;
  /** Of a term facet or switch. */
  terms: TermPlan | null;
  /** Of a range. */
  range: RangeColumns | null;
}

/** What of a term facet or switch does not change from query to query. */
export interface TermPlan {
  column: TermColumn;
  shown: ShownTerms | null;
  /**
   * Counts under one common term alone, by term: most questions with one or two facets on ask for these, and a term on
   * many posts is dear to count under. A post has few terms, so few of them can be common; the plan bounds how many.
   */
  common: (KeptCounts | undefined)[];
}

/**
 * What a page needs to draw a facet, counted over the posts it is to be counted under.
 * @param chosen  numbers of the terms that are chosen
 */
export function facetAnswer(
  plan: FacetPlan,
  facet: Facet,
  selection: Selection | undefined,
  chosen: readonly number[],
  under: Counted,
): FacetAnswer {
  const { label } = plan;
  if (isSearch(facet)) {
    const selected = selection?.type === 'search' ? selection.text : null;
    return { key: facet.key, kind: 'search', label, visible: facet.visible, selected };
  }
  if (isFavourites(facet)) {
    const selected = selection?.type === 'posts' ? selection.ids : [];
    return { key: facet.key, kind: 'favourites', label, visible: facet.visible, selected };
  }
  if (isRange(facet)) return rangeAnswer(facet, label, selection, plan.range!, under);
  const { column, shown } = plan.terms!;
  if (isSwitch(facet)) return switchAnswer(facet, label, selection, column, under);
  return termAnswer(facet, label, selection, chosen, column, shown!, under);
}

/** Whether a facet's counts are taken with its own selection applied. */
export function keepsOwn(facet: Facet): boolean {
  return isTerms(facet) && facet.match === 'all' && !isSingle(facet);
}

function termAnswer(
  facet: TermFacet,
  label: string,
  selection: Selection | undefined,
  chosen: readonly number[],
  column: TermColumn,
  shown: ShownTerms,
  under: Counted,
): FacetAnswer {
  const selected = selection?.type === 'terms' ? selection.terms : selection?.type === 'term' ? [selection.term] : [];
  const { options, more } =
    under.keepsCounts && selected.length === 0
      ? drawKeptOptions(facet, column, shown, under.terms(column))
      : drawOptions(facet, column, shown, under.tallied(column), chosen);
  const { key, kind, visible } = facet;
  if (more === 0) return { key, kind, label, visible, selected, options };
  return { key, kind, label, visible, selected, options, more };
}

function switchAnswer(
  facet: SwitchFacet,
  label: string,
  selection: Selection | undefined,
  column: TermColumn,
  under: Counted,
): FacetAnswer {
  const { values, first } = under.tallied(column);
  const selected = selection?.type === 'switch' ? (selection.on ? 'yes' : 'no') : null;
  const options = (['yes', 'no'] as const).map((value): Option => {
    const number = column.numbers.get(value);
    return {
      value,
      label: facet.labels[value] ?? (number === undefined ? value : column.terms[number]!.label),
      count: number === undefined ? 0 : values[first + number]!,
      selected: selected === value,
      partly: false,
      parent: null,
      depth: 0,
    };
  });
  return { key: facet.key, kind: 'switch', label, visible: facet.visible, selected, options };
}

function rangeAnswer(
  facet: RangeFacet,
  label: string,
  selection: Selection | undefined,
  columns: RangeColumns,
  under: Counted,
): FacetAnswer {
  const { key, visible } = facet;
  if (facet.kind === 'date-range') {
    const found = histogramOf(columns, under, daySteps);
    return {
      key,
      kind: 'date-range',
      label,
      visible,
      selected: selection?.type === 'days' ? { from: selection.from, to: selection.to } : null,
      bounds: found && { from: dayText(found.low), to: dayText(found.high) },
      buckets: found
        ? found.edges.map(({ first, last }, i) => ({ from: first!, to: last!, count: found.counts[i]! }))
        : [],
    };
  }
  const whole = columns.start.whole && columns.end.whole;
  const found = histogramOf(columns, under, (low, high) => numberSteps(low, high, whole));
  return {
    key,
    kind: 'number-range',
    label,
    visible,
    selected: selection?.type === 'numbers' ? { from: selection.from, to: selection.to } : null,
    bounds: found && { from: found.low, to: found.high },
    buckets: found ? found.edges.map(({ from, to }, i) => ({ from, to, count: found.counts[i]! })) : [],
  };
}
