import { postsUnder, type TermColumn } from '../../engine/columns/term-column.js';
import { readBoolean } from '../../fields/values/yes-or-no.js';
import type { AnswerHead, Option } from '../../model/answer.js';
import type { Selection } from '../../model/selection.js';
import { choice, flag, object, withDefault, type TypeOf } from '../../shape/shape.js';
import { common, fieldKey } from '../common.js';
import type { FacetKind } from '../kind.js';
import { nameOf } from '../name.js';
import { fewValues, maxValues, singleChoice } from '../notices.js';
import { countChanges, labelChanges } from '../terms/changes.js';
import { counting, labels } from '../terms/config.js';
import { termMisses } from '../terms/misses.js';
import { columnsOf } from '../terms/parts.js';
import { noValues, oneTerm } from '../terms/warnings.js';
import { wrongType } from '../wrong-type.js';

const shape = object({
  ...common,
  field: fieldKey,
  ...counting,
  /** Own words for `yes` and `no`. */
  labels,
  /** Where “no” matters too: either, yes, or no. */
  both: withDefault(flag(), () => false),
  /** What an address chooses that does not name the facet. One that is to choose neither then says `either`. */
  start: withDefault(choice('either', 'yes', 'no'), () => 'either' as const),
});
export type SwitchConfig = TypeOf<typeof shape> & { kind: 'switch' };

/** What an answer holds of a switch. */
export interface SwitchFacetAnswer extends AnswerHead {
  selected: 'yes' | 'no' | null;
  options: Option[];
}

/** What a switch takes to choose neither. */
export const either = 'either';

/** A yes/no field, turned on and off. */
export const switchKind: FacetKind<SwitchConfig, SwitchFacetAnswer, Pick<SwitchConfig, 'both' | 'start'>> = {
  shape,
  noun: 'switch',
  texts: [],
  splits: true,
  isListable: true,
  nearValue: (value) => {
    const on = value.trim() === '1' ? true : value.trim() === '0' ? false : readBoolean(value);
    if (on === null) return null;
    const word = on ? 'yes' : 'no';
    return { value: word, label: word };
  },
  valueForm: () => 'yes',
  fields: ({ field }) => [field],
  labelField: ({ field }) => field,
  isSingle: () => true,
  keepsOwn: () => false,
  start: ({ start }) => (start === either ? undefined : { type: 'switch', on: start === 'yes' }),
  read: ({ key }, found, { notices }) => {
    let on: boolean | undefined;
    // a form whose box is not ticked sends nothing after the name; links say it in a word
    const isOpen = found.length === 0 || found.includes(either);
    for (const value of fewValues(key, found, maxValues, notices)) {
      if (value === either) continue;
      if (value !== 'yes' && value !== 'no') {
        const text = `“${value}” was passed over: “${key}” takes yes, no or ${either}.`;
        notices.push({ code: 'bad-switch', facet: key, value, text });
      } else if (on === undefined) on = value === 'yes';
      else notices.push(singleChoice(key, value));
    }
    if (on !== undefined) return { type: 'switch', on };
    return isOpen ? null : undefined;
  },
  write: ({ start }, selection) => {
    const chosen = selection?.type === 'switch' ? wordOf(selection) : either;
    return chosen === start ? '' : chosen;
  },
  columns: (index, _locale, { field }) => columnsOf(index.column(field)),
  *prepare(index, _locale, { field }) {
    yield* index.prepareColumn(field);
  },
  shown: () => null,
  passing: (index, _locale, { field }, _selection, chosen, arena) => postsUnder(index.column(field), chosen, arena),
  answer: (facet, { label, terms }, selection, _chosen, under) => {
    const column = terms!;
    const { values, first } = under.countsOf(column);
    const selected = selection?.type === 'switch' ? wordOf(selection) : null;
    const options = (['yes', 'no'] as const).map((value): Option => {
      const number = column.numbers.get(value);
      return {
        value,
        label: facet.labels[value] ?? labelIn(column, number, value),
        count: number === undefined ? 0 : values[first + number]!,
        selected: selected === value,
        partly: false,
        parent: null,
        depth: 0,
      };
    });
    return { key: facet.key, kind: facet.kind, label, visible: facet.visible, selected, options };
  },
  misses: (index, _locale, { field }, selection) => termMisses(index.column(field), selection, 'switch'),
  takesMatch: () => false,
  changed: (facet, change) => ('field' in change ? { ...facet, field: change.field } : facet),
  problems: ({ field }, fields) => wrongType(fields, field, 'field', ['boolean'], 'a yes/no field'),
  warnings: (_facet, field) => {
    if (!field) return [];
    if (field.filled === 0) return [noValues];
    return field.distinct === 1 ? [oneTerm] : [];
  },
  suits: () => null,
  canShow: ({ type }) => type === 'boolean',
  changes: (before, is, tell) => {
    const name = nameOf(is, [is.field]);
    countChanges(name, before, is, tell);
    labelChanges(name, before, is, tell);
    if ('start' in before) tell(`${name} starts another way`, String(before.start), is.start);
  },
  settings: ({ both, start }) => ({ both, start }),
};

function wordOf({ on }: Extract<Selection, { type: 'switch' }>): 'yes' | 'no' {
  return on ? 'yes' : 'no';
}

function labelIn(column: TermColumn, number: number | undefined, value: string): string {
  return number === undefined ? value : column.terms[number]!.label;
}
