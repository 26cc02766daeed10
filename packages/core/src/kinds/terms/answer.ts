import type { Counted } from '../../engine/index/counting.js';
import type { AnswerHead, Option } from '../../model/answer.js';
import { slugsOf, type Selection } from '../../model/selection.js';
import type { CommonConfig } from '../common.js';
import type { FacetPlan } from '../kind.js';
import type { Showing } from './config.js';
import { drawKeptOptions, drawOptions } from './options.js';

/** What an answer holds of a facet whose choices are terms. */
export interface TermFacetAnswer extends AnswerHead {
  selected: string[];
  /** What may be chosen, depth first in the facet's order. */
  options: Option[];
  /** Terms that are shown but not among the options, where there are too many: they are found by typing. */
  more?: number;
}

/** The options of a facet, with their counts. */
export function answerTerms(
  { key, kind, visible }: CommonConfig,
  showing: Showing,
  { label, terms, shown }: FacetPlan,
  selection: Selection | undefined,
  chosen: readonly number[],
  under: Counted,
): TermFacetAnswer {
  const column = terms!;
  const selected = selection ? [...slugsOf(selection)] : [];
  const { options, more } =
    under.keepsCounts && selected.length === 0
      ? drawKeptOptions(showing, column, shown!, under.terms(column))
      : drawOptions(showing, column, shown!, under.countsOf(column), chosen);
  if (more === 0) return { key, kind, label, visible, selected, options };
  return { key, kind, label, visible, selected, options, more };
}
