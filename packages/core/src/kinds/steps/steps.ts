import { list, object, text, withDefault, type TypeOf } from '../../shape/shape.js';
import { slugsOf, type Selection } from '../../model/selection.js';
import type { FacetKind } from '../kind.js';
import { nameOf } from '../name.js';
import { singleChoice } from '../notices.js';
import type { TermFacetAnswer } from '../terms/answer.js';
import { terms } from '../terms/config.js';
import { vocabularyOf } from '../terms/parts.js';
import { knownTerms } from '../terms/read.js';
import { termsKind } from '../terms/terms-kind.js';
import { optionsByStep } from './options-by-step.js';

const shape = object({
  ...terms,
  /** What each list is called, from the top: `Country`, `Region`. */
  levels: withDefault(list(text({ max: 60 }), 20), () => []),
});
export type StepsConfig = TypeOf<typeof shape> & { kind: 'steps' };
type StepsSettings = Pick<StepsConfig, 'levels'>;

/** A tree chosen level by level, in lists that depend on one another. */
export const steps: FacetKind<StepsConfig, TermFacetAnswer, StepsSettings> = {
  ...termsKind<StepsConfig, StepsSettings>({
    shape,
    noun: 'steps',
    texts: ['levels/*'],
    isSingle: true,
    canShow: (field) => field.tree,
    warnings: (_facet, field) => {
      if (field.tree) return [];
      const sentence = 'Its terms have no branches, so there is only one list. A dropdown would do the same.';
      return [{ code: 'flat-tree', broken: false, text: sentence }];
    },
    changes: (was, is, tell) => {
      const words = ({ levels }: StepsConfig) => levels.join(', ') || 'none';
      if (was.kind === is.kind)
        tell(`${nameOf(is, [is.field])} calls its lists otherwise`, words(was as StepsConfig), words(is));
    },
    settings: ({ levels }) => ({ levels }),
  }),
  // A form without scripts sends what stands in each of its lists, from the top. A list further down says where in the
  // branch above one stands; of another branch it is what stood there before the branch was changed.
  read: (facet, values, reading): Selection | undefined => {
    const { termOf, ancestorsOf } = vocabularyOf(reading.index, facet.field);
    let term: string | undefined;
    for (const next of knownTerms(facet.key, values, { termOf }, reading)) {
      if (term === undefined || ancestorsOf(next).includes(term)) term = next;
      else if (!ancestorsOf(term).includes(next)) reading.notices.push(singleChoice(facet.key, next));
    }
    return term === undefined ? undefined : { type: 'term', term };
  },
  // which lists there are depends on what is chosen
  frame: () => null,
  compact: () => null,
  answer: (facet, { label, terms: column, shown }, selection, chosen, under): TermFacetAnswer => {
    const { options, more } = optionsByStep(facet, column!, shown!, under.countsOf(column!), chosen[0]);
    const { key, kind, visible } = facet;
    const selected = selection ? [...slugsOf(selection)] : [];
    return { key, kind, label, visible, selected, options, ...(more > 0 && { more }) };
  },
};
