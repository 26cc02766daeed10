import { cellText } from '../read/cell.js';
import { isSlashedDay } from '../values/dates.js';
import { keepAs, makeFinding, mostWritten, Sample, some, type FindingKind } from './finding.js';

/** Days that could be read in two ways, where no other of the field tells which. */
export const ambiguousDays: FindingKind = {
  codes: ['ambiguous-dates'],
  watch: (field, { proof, dayFirst }) => {
    const isSettled = proof.dayFirst > 0 || proof.monthFirst > 0 || field.dateOrder !== undefined;
    const isSaid = (field.mends ?? []).some(({ rule }) => rule.does === 'order');
    if (field.type !== 'date' || isSettled || isSaid) return null;
    const sample = new Sample();
    return {
      see(raw) {
        const text = cellText(raw);
        if (isSlashedDay(text)) sample.add(text);
      },
      found: () => {
        if (sample.count === 0) return [];
        const [first] = sample.values;
        const orders = [
          { id: 'day-month', text: `Read “${first}” with the day first`, rule: { does: 'order', as: 'day-month' } },
          { id: 'month-day', text: `Read “${first}” with the month first`, rule: { does: 'order', as: 'month-day' } },
        ] as const;
        return [
          makeFinding({
            code: 'ambiguous-dates',
            field,
            posts: sample.count,
            values: sample.values,
            text: some(
              sample.count,
              'One date could have the day first, or the month.',
              '# dates could have the day first, or the month.',
            ),
            mends: dayFirst ? [...orders] : [...orders].reverse(),
          }),
        ];
      },
    };
  },
};

/** Days that have not come yet, in a field where nearly all have. */
export function futureDays(today: string): FindingKind {
  return {
    codes: ['future-dates'],
    watch: (field) => {
      if (field.type !== 'date' && field.type !== 'datetime') return null;
      const sample = new Sample();
      const raws = new Set<string>();
      let filled = 0;
      return {
        see(raw, value) {
          if (typeof value !== 'string') return;
          filled++;
          if (value.slice(0, 10) <= today) return;
          sample.add(cellText(raw));
          if (raws.size < mostWritten) raws.add(cellText(raw));
        },
        found: () => {
          const { count, values } = sample;
          // days of what is still to come are no mistake, and neither is next year’s programme
          if (count === 0 || count > filled * 0.1) return [];
          return [
            makeFinding({
              code: 'future-dates',
              field,
              posts: count,
              values,
              text: some(count, 'One date has not come yet.', '# dates have not come yet.'),
              mends: [
                keepAs('They are meant'),
                ...(count <= mostWritten
                  ? [
                      {
                        id: 'empty',
                        text: 'Read them as no date',
                        rule: { does: 'read' as const, from: [...raws], into: '' },
                      },
                    ]
                  : []),
              ],
            }),
          ];
        },
      };
    },
  };
}
