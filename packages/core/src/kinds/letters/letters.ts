import { choice, object, withDefault, type TypeOf } from '../../shape/shape.js';
import { fold } from '../../text/slug.js';
import { common, fieldKey } from '../common.js';
import type { FacetKind, Locale } from '../kind.js';
import { nameOf } from '../name.js';
import { answerTerms, type TermFacetAnswer } from '../terms/answer.js';
import { countChanges, singleChanges } from '../terms/changes.js';
import { ownTerms } from '../../model/compact.js';
import { compactTerms, frameOfTerms } from '../terms/compact.js';
import { counting, single, type Showing } from '../terms/config.js';
import { findOptions } from '../terms/many-options.js';
import { termMisses } from '../terms/misses.js';
import { shownTerms } from '../terms/options.js';
import { columnsOf, passingTerms } from '../terms/parts.js';
import { readTerms, writeTerms } from '../terms/read.js';
import { noValues } from '../terms/warnings.js';
import { wrongType } from '../wrong-type.js';
import { letterColumn, prepareLetterColumn, type Lettering } from './column.js';

const shape = object({
  ...common,
  field: fieldKey,
  single,
  ...counting,
  /** Whether a leading article such as `the` counts, or is passed over. */
  articles: withDefault(choice('count', 'pass'), () => 'count' as const),
});
export type LettersConfig = TypeOf<typeof shape> & { kind: 'letters' };

/** A row of first letters: for glossaries, and lists of people and places. */
export const letters: FacetKind<LettersConfig, TermFacetAnswer> = {
  shape,
  noun: 'letters',
  texts: [],
  splits: true,
  isListable: true,
  valueForm: (facet) => (facet.single ? 'a' : 'a,b'),
  fields: ({ field }) => [field],
  labelField: ({ field }) => field,
  isSingle: (facet) => facet.single,
  keepsOwn: () => false,
  start: () => undefined,
  read: (facet, values, reading) => {
    const { numbers } = letterColumn(reading.index, letteringOf(reading, facet));
    // a letter is what it folds to: `É` and `e` are one
    const termOf = (value: string) => [value, fold(value)].find((one) => numbers.has(one)) ?? null;
    const folded = values.map((value) => termOf(value) ?? value);
    return readTerms(facet.key, facet.single, folded, { termOf, ancestorsOf: () => [] }, reading);
  },
  write: (_facet, selection) => writeTerms(selection),
  columns: (index, locale, facet) => columnsOf(letterColumn(index, letteringOf(locale, facet))),
  *prepare(index, locale, facet) {
    yield* prepareLetterColumn(index, letteringOf(locale, facet));
  },
  shown: (facet, { terms }) => shownTerms(showingOf(facet), terms!),
  passing: (index, locale, facet, selection, chosen, arena) =>
    passingTerms(index, letterColumn(index, letteringOf(locale, facet)), 'any', selection, chosen, arena),
  answer: (facet, plan, selection, chosen, under) =>
    answerTerms(facet, showingOf(facet), plan, selection, chosen, under),
  frame: (facet, plan) => frameOfTerms(ownTerms(facet.key), showingOf(facet), plan),
  compact: (facet, plan, selection, chosen, under) => compactTerms(showingOf(facet), plan, selection, chosen, under),
  find: (_facet, { terms, shown }, under, chosen, text) =>
    findOptions(terms!, shown!, under.countsOf(terms!), chosen, text),
  misses: (index, locale, facet, selection) =>
    termMisses(letterColumn(index, letteringOf(locale, facet)), selection, facet.single ? 'one' : 'any'),
  takesMatch: () => false,
  changed: (facet, change) => ('field' in change ? { ...facet, field: change.field } : facet),
  problems: ({ field }, fields) => wrongType(fields, field, 'field', ['text'], 'a field of text'),
  warnings: (_facet, field) => (field?.filled === 0 ? [noValues] : []),
  suits: ({ type }) => (type === 'text' ? 'It is text, listed by its first letter.' : null),
  canShow: ({ type }) => type === 'text',
  changes: (was, is, tell) => {
    const name = nameOf(is, [is.field]);
    countChanges(name, was, is, tell);
    singleChanges(name, was, is, tell);
    const words = (articles: unknown) => (articles === 'pass' ? 'passed over' : 'counted');
    if (was.kind === is.kind)
      tell(`${name} takes leading articles another way`, words((was as LettersConfig).articles), words(is.articles));
  },
  settings: () => ({}),
};

function letteringOf({ language }: Locale, { field, articles }: LettersConfig): Lettering {
  return { field, articles, language };
}

/** Letters stand in the order of the language, all of them, by no name but their own. */
function showingOf({ zero }: LettersConfig): Showing {
  return { zero, order: 'given', sequence: [], only: [], hide: [], labels: {} };
}
