import { cellText } from '../read/cell.js';
import { decodeEntities } from '../../text/plain-text.js';
import { holdsTerms, type Field } from '../../model/post.js';
import { keepAs, makeFinding, Sample, some, type Finding, type FindingKind } from './finding.js';

/** A tag or a closing tag, of those that texts are marked up with. */
const tag =
  /<\/?(?:a|abbr|b|blockquote|br|code|div|em|figure|font|h[1-6]|hr|i|iframe|img|li|ol|p|pre|s|script|small|span|strong|style|sub|sup|table|td|th|tr|u|ul)\b[^<>]{0,300}>/i;
const entity = /&(?:#x[0-9a-f]{1,6}|#\d{1,7}|amp|lt|gt|quot|apos|nbsp|hellip|[nm]dash|[lr][sd]quo);/i;

/** Markup in what is shown as plain text. */
export const entitiesAndMarkup: FindingKind = {
  codes: ['markup', 'entities'],
  watch: (field) => {
    if (field.type !== 'text' && !holdsTerms(field)) return null;
    const done = new Set((field.mends ?? []).map(({ rule }) => rule.does));
    const tagged = new Sample();
    const coded = new Sample();
    return {
      see(raw) {
        const text = cellText(raw, field.by);
        if (!/[<&]/.test(text)) return;
        if (tag.test(text)) tagged.add(text);
        else if (entity.test(text) && decodeEntities(text) !== text) coded.add(text);
      },
      found: () => [
        ...(tagged.count === 0 || done.has('strip') ? [] : [tags(field, tagged)]),
        ...(coded.count === 0 || done.has('strip') || done.has('decode') ? [] : [entities(field, coded)]),
      ],
    };
  },
};

function tags(field: Field, { count, values }: Sample): Finding {
  return makeFinding({
    code: 'markup',
    field,
    posts: count,
    values,
    text: some(
      count,
      'One text has markup in it, which visitors see as it stands.',
      '# texts have markup in them, which visitors see as it stands.',
    ),
    mends: [{ id: 'strip', text: 'Take the markup away', rule: { does: 'strip' } }, keepAs('It is meant as it stands')],
  });
}

function entities(field: Field, { count, values }: Sample): Finding {
  return makeFinding({
    code: 'entities',
    field,
    posts: count,
    values,
    text: some(count, 'One text has characters in code.', '# texts have characters in code.'),
    mends: [
      { id: 'decode', text: 'Read them as what they stand for', rule: { does: 'decode' } },
      keepAs('They are meant as they stand'),
    ],
  });
}

/** Characters that no database keeps were left out. */
export function lostCharacters(field: Field, posts: number): Finding {
  const values = posts === 1 ? 'One value' : `${posts} values`;
  return makeFinding({
    code: 'lost-characters',
    field,
    posts,
    text: `${values} held null characters or broken ones, which were left out.`,
    mends: [keepAs('That will do')],
  });
}
