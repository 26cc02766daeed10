import { cellText, isEmpty, isObject } from '../read/cell.js';
import { readDay } from '../values/dates.js';
import type { MendOffer } from '../../model/post.js';
import { own } from '../../text/own.js';
import { keepAs, makeFinding, Sample, some, type FindingKind } from './finding.js';

/** Cells that came after the last one the table has a name for. */
export const extraCells: FindingKind = {
  codes: ['extra-cells'],
  watch: (field) => {
    const { beyond } = field;
    if (!beyond || (field.mends ?? []).some(({ rule }) => rule.does === 'join')) return null;
    const sample = new Sample();
    return {
      see(_raw, _value, _isUnreadable, record) {
        const texts = beyond.map((key) => cellText(own(record, key))).filter((text) => text !== '');
        if (texts.length > 0) sample.add(texts.join(' | '));
      },
      found: () =>
        sample.count === 0
          ? []
          : [
              makeFinding({
                code: 'extra-cells',
                field,
                posts: sample.count,
                values: sample.values,
                text: some(
                  sample.count,
                  'One row has more cells than there are names; the rest is left out.',
                  '# rows have more cells than there are names; the rest is left out.',
                ),
                mends: [
                  { id: 'join', text: `Add them to “${field.label}”`, rule: { does: 'join', fields: beyond } },
                  keepAs('Leave them out'),
                ],
              }),
            ],
    };
  },
};

/** Objects of which it is not clear what they go by. */
export const unclearKeys: FindingKind = {
  codes: ['unclear-key'],
  watch: (field) => {
    if (field.by === undefined || (field.mends ?? []).some(({ rule }) => rule.does === 'by')) return null;
    const samples = new Map<string, string>();
    let posts = 0;
    return {
      see(raw) {
        const objects = (Array.isArray(raw) ? raw : [raw]).filter(isObject);
        if (objects.length > 0) posts++;
        // the first tell what there is
        if (posts > 200) return;
        for (const one of objects) {
          for (const [key, value] of Object.entries(one)) {
            if (!samples.has(key) && (typeof value === 'string' || typeof value === 'number'))
              samples.set(key, String(value));
          }
        }
      },
      found: () => {
        if (samples.size < 2) return [];
        const keys = [field.by!, ...[...samples.keys()].filter((key) => key !== field.by)].slice(0, 3);
        return [
          makeFinding({
            code: 'unclear-key',
            field,
            posts,
            values: keys.map((key) => samples.get(key) ?? ''),
            text: `Its values have no name; they go by “${field.by}”.`,
            mends: keys.map((key): MendOffer => ({
              id: `by~${key}`,
              text: `Go by “${key}”: ${(samples.get(key) ?? '').slice(0, 40)}`,
              rule: { does: 'by', name: key },
            })),
          }),
        ];
      },
    };
  },
};

/** Spans that end before they begin. */
export const reversedSpans: FindingKind = {
  codes: ['ends-before-starts'],
  watch: (field, { dayFirst }) => {
    const { end } = field;
    if (end === undefined) return null;
    const sample = new Sample();
    return {
      see(_raw, value, _isUnreadable, record) {
        const until = own(record, end);
        if (typeof value !== 'string' || isEmpty(until)) return;
        const text = cellText(until);
        const last = readDay(text.slice(0, 10), dayFirst) ?? readDay(text, dayFirst);
        if (last !== null && last < value.slice(0, 10)) sample.add(`${value.slice(0, 10)} to ${last}`);
      },
      found: () =>
        sample.count === 0
          ? []
          : [
              makeFinding({
                code: 'ends-before-starts',
                field,
                posts: sample.count,
                values: sample.values,
                text: some(sample.count, 'One span ends before it begins.', '# spans end before they begin.'),
                mends: [keepAs('Leave them as they are')],
              }),
            ],
    };
  },
};
