import type { FieldDescription } from '../../fields/describe.js';
import type { Field, FieldType } from '../../model/post.js';
import type { Shape } from '../../shape/shape.js';
import type { Tell } from '../change.js';
import type { CommonConfig } from '../common.js';
import type { FacetKind } from '../kind.js';
import { nameOf } from '../name.js';
import type { Warning } from '../warning.js';
import { answerTerms, type TermFacetAnswer } from './answer.js';
import { singleChanges, termChanges } from './changes.js';
import { compactTerms, frameOfTerms } from './compact.js';
import type { TermsConfig } from './config.js';
import { findOptions } from './many-options.js';
import { termMisses } from './misses.js';
import { shownTerms } from './options.js';
import { columnsOf, passingTerms, vocabularyOf } from './parts.js';
import { readTerms, writeTerms } from './read.js';
import { prepareLabelPlaces } from './term-order.js';
import { termWarnings } from './warnings.js';

type Config = TermsConfig & { single?: boolean };

/** What one kind of terms has of its own. All else such kinds share. */
interface Own<F extends Config, S extends object> {
  shape: Shape<Omit<F, 'kind'>>;
  noun: string;
  /** Where its config has texts that visitors read, besides the label. */
  texts?: readonly string[];
  /** Whether it never takes more than one choice; without it, its config says. */
  isSingle?: boolean;
  /** Levels shown from the top. */
  readonly levels?: (facet: F) => number | undefined;
  readonly suits?: (field: FieldDescription) => string | null;
  readonly canShow?: (field: Field) => boolean;
  readonly warnings?: (facet: F, field: FieldDescription) => Warning[];
  readonly changes?: (was: CommonConfig, is: F, tell: Tell) => void;
  readonly settings?: (facet: F) => S;
}

/** A kind whose choices are the terms of a field. */
export function termsKind<F extends Config, S extends object = object>(
  own: Own<F, S>,
): FacetKind<F, TermFacetAnswer, S> {
  const isSingle = (facet: F) => own.isSingle ?? facet.single ?? false;
  return {
    shape: own.shape,
    noun: own.noun,
    texts: own.texts ?? [],
    splits: true,
    isListable: true,
    valueForm: (facet) => (isSingle(facet) ? 'a' : 'a,b'),
    fields: ({ field }) => [field],
    labelField: ({ field }) => field,
    isSingle,
    keepsOwn: (facet) => facet.match === 'all' && !isSingle(facet),
    start: () => undefined,
    read: (facet, values, reading) =>
      readTerms(facet.key, isSingle(facet), values, vocabularyOf(reading.index, facet.field), reading),
    write: (_facet, selection) => writeTerms(selection),
    columns: (index, _locale, { field }) => columnsOf(index.column(field)),
    *prepare(index, _locale, facet) {
      yield* prepareLabelPlaces(facet, yield* index.prepareColumn(facet.field));
    },
    shown: (facet, { terms }) => shownTerms(facet, terms!, own.levels?.(facet)),
    passing: (index, _locale, { field, match }, selection, chosen, arena) =>
      passingTerms(index, index.column(field), match, selection, chosen, arena),
    answer: (facet, plan, selection, chosen, under) => answerTerms(facet, facet, plan, selection, chosen, under),
    frame: (facet, plan) => frameOfTerms(facet.field, facet, plan),
    compact: (facet, plan, selection, chosen, under) => compactTerms(facet, plan, selection, chosen, under),
    find: (_facet, { terms, shown }, under, chosen, text) =>
      findOptions(terms!, shown!, under.countsOf(terms!), chosen, text),
    misses: (index, _locale, facet, selection) =>
      termMisses(index.column(facet.field), selection, isSingle(facet) ? 'one' : facet.match),
    takesMatch: (facet) => !isSingle(facet),
    changed: (facet, change) => {
      if ('match' in change) return { ...facet, match: change.match };
      return 'hide' in change ? { ...facet, hide: [...facet.hide, change.hide] } : { ...facet, field: change.field };
    },
    problems: () => [],
    warnings: (facet, field) => [
      ...termWarnings(facet, field),
      ...(field && field.filled > 0 ? (own.warnings?.(facet, field) ?? []) : []),
    ],
    suits: (field) => own.suits?.(field) ?? null,
    canShow: (field) => own.canShow?.(field) ?? isOfTerms(field),
    changes: (was, is, tell) => {
      const name = nameOf(is, [is.field]);
      termChanges(name, was, is, tell);
      if (is.single !== undefined) singleChanges(name, was, { single: is.single }, tell);
      own.changes?.(was, is, tell);
    },
    settings: (facet) => own.settings?.(facet) ?? ({} as S),
  };
}

const ordered: readonly FieldType[] = ['date', 'datetime', 'number'];

/** Whether a field's values can be distinguished one by one: those that are measured are better cut into ranges. */
export function isOfTerms({ type }: Field): boolean {
  return !ordered.includes(type);
}

/** Whether a field's values are many or few, and not words to be read or a mere yes or no. */
export function isOfNames({ type, tree }: Field): boolean {
  return !tree && !ordered.includes(type) && type !== 'boolean' && type !== 'text';
}
