import { object, text as textShape, whole, withDefault, type TypeOf } from '../shape/shape.js';
import { startKey, beginningOf } from './derived.js';
import { common, named, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** The field that stands in where a post has none, such as the body for a summary. */
  orElse: withDefault(textShape({ max: 120 }), () => ''),
  /** Characters at most, cut between words; 0 for all. */
  characters: withDefault(whole(0, 2000), () => 0),
  /** Lines at most; 0 for as many as it takes. */
  lines: withDefault(whole(0, 12), () => 0),
});
export type TextPart = TypeOf<typeof shape> & { show: 'text' };

/** Words in a row, such as a summary. */
export const text: PartKind<TextPart> = {
  shape,
  suits: ({ type }) => type === 'text' || type === 'html',
  fields: ({ field }) => named(field),
  derived: ({ field, orElse, characters }) =>
    orElse === ''
      ? []
      : [
          {
            key: startKey(orElse, characters),
            from: orElse,
            unless: field,
            make: (whole) => beginningOf(whole, characters),
          },
        ],
};
