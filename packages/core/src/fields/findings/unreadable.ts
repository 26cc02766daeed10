import { cellText } from '../read/cell.js';
import { nearestDay, readDay } from '../values/dates.js';
import { asFigures } from '../read/mending.js';
import { readNumber } from '../values/numbers.js';
import type { Field, MendOffer } from '../../model/post.js';
import { keepAs, makeFinding, Sample, some, type FindingKind } from './finding.js';

const dayTypes = ['date', 'datetime'];

/** Values that are no day, number or answer. */
export const unreadable: FindingKind = {
  codes: ['unreadable-values', 'impossible-dates', 'mixed-dates'],
  watch: (field, { dayFirst }) => {
    const isDays = dayTypes.includes(field.type);
    const rest = new Sample();
    const impossible = new Sample();
    const mixed = new Sample();
    let figures = 0;
    const sort = (text: string) => {
      if (!isDays) return rest;
      if (readDay(text, !dayFirst) !== null) return mixed;
      return readDay(text, dayFirst, nearestDay) === null ? rest : impossible;
    };
    return {
      see(raw, _value, isUnreadable) {
        if (!isUnreadable) return;
        const text = cellText(raw, field.by);
        const sample = sort(text);
        sample.add(text);
        if (sample === rest && readsAsFigures(field, asFigures(text), dayFirst)) figures++;
      },
      found: () => [
        ...(impossible.count === 0 ? [] : [impossibleDays(field, impossible)]),
        ...(mixed.count === 0 ? [] : [otherOrder(field, mixed)]),
        ...(rest.count === 0 ? [] : [notRead(field, rest, isDays ? 'date' : 'value', figures)]),
      ],
    };
  },
};

function readsAsFigures({ type, decimal, unit }: Field, text: string, dayFirst: boolean): boolean {
  if (dayTypes.includes(type)) return readDay(text, dayFirst) !== null;
  return type === 'number' && readNumber(text, decimal, unit) !== null;
}

function notRead(field: Field, { count, values }: Sample, noun: string, figures: number) {
  const asFigure: MendOffer = {
    id: 'figures',
    text: some(figures, 'Read O as 0 and l as 1: one is read then', 'Read O as 0 and l as 1: # are read then'),
    rule: { does: 'figures' },
  };
  return makeFinding({
    code: 'unreadable-values',
    field,
    posts: count,
    values,
    text: some(count, `One ${noun} cannot be read.`, `# ${noun}s cannot be read.`),
    mends: [
      ...(figures > 0 ? [asFigure] : []),
      keepAs(some(count, `Leave this post without a ${noun}`, `Leave these posts without a ${noun}`)),
    ],
  });
}

function impossibleDays(field: Field, { count, values }: Sample) {
  return makeFinding({
    code: 'impossible-dates',
    field,
    posts: count,
    values,
    text: some(count, 'One day does not exist.', '# days do not exist.'),
    mends: [
      { id: 'last-day', text: 'Take the last day of that month', rule: { does: 'last-day' } },
      keepAs(some(count, 'Leave this post without a date', 'Leave these posts without a date')),
    ],
  });
}

function otherOrder(field: Field, { count, values }: Sample) {
  return makeFinding({
    code: 'mixed-dates',
    field,
    posts: count,
    values,
    text: some(
      count,
      'One date has day and month the other way round.',
      '# dates have day and month the other way round.',
    ),
    mends: [
      { id: 'either', text: 'Read those the other way round', rule: { does: 'order', as: 'either' } },
      keepAs(some(count, 'Leave this post without a date', 'Leave these posts without a date')),
    ],
  });
}
