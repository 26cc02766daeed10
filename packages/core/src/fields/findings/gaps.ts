import { isEmpty } from '../read/cell.js';
import { holdsTerms, type Field, type MendOffer } from '../../model/post.js';
import { keepAs, makeFinding, some, type FindingKind } from './finding.js';

/** Posts that have nothing in a field where others have something. */
export const gaps = (fields: readonly Field[]): FindingKind => ({
  codes: ['gaps', 'missing-pictures'],
  watch: (field) => {
    let [empty, filled] = [0, 0];
    const isMended = (field.mends ?? []).some(({ rule }) => rule.does === 'fill' || rule.does === 'fallback');
    return {
      see(raw, value) {
        if (value !== undefined) filled++;
        else if (isEmpty(raw)) empty++;
      },
      found: () => {
        if (empty === 0 || filled === 0 || isMended) return [];
        const isPicture = field.role === 'image';
        return [
          makeFinding({
            code: isPicture ? 'missing-pictures' : 'gaps',
            field,
            posts: empty,
            text: isPicture
              ? some(empty, 'One post has no picture.', '# posts have no picture.')
              : some(empty, 'One post has nothing here.', '# posts have nothing here.'),
            mends: [keepAs('They may be empty'), ...(isPicture ? otherPictures(field, fields) : fillings(field))],
          }),
        ];
      },
    };
  },
});

/** Other pictures that could stand in. */
function otherPictures({ key }: Field, fields: readonly Field[]): MendOffer[] {
  const others = fields.filter((one) => one.type === 'image' && one.key !== key);
  return others.slice(0, 2).map((one) => ({
    id: `fallback~${one.key}`,
    text: `Show that of “${one.label}” instead`,
    rule: { does: 'fallback', field: one.key },
  }));
}

function fillings(field: Field): MendOffer[] {
  const fill = (value: string, text: string): MendOffer => ({
    id: 'fill',
    text,
    rule: { does: 'fill', with: value },
  });
  if (field.type === 'boolean') return [fill('no', 'Read nothing as no')];
  if (field.type === 'number') return [fill('0', 'Read nothing as 0')];
  return holdsTerms(field) && field.role === null ? [fill('Other', 'Give them the term “Other”')] : [];
}
