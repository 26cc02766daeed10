import { object, text, withDefault, type TypeOf } from '../shape/shape.js';
import { minutesKey, minutesOf } from './derived.js';
import { common, named, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** A field of minutes; empty where the source has none. */
  field: withDefault(text({ max: 120 }), () => ''),
  /** The text whose words are counted where a post has no minutes. */
  from: withDefault(text({ max: 120 }), () => ''),
});
export type ReadingTimePart = TypeOf<typeof shape> & { show: 'reading-time' };

/** How long it takes to read a post. */
export const readingTime: PartKind<ReadingTimePart> = {
  shape,
  suits: () => false,
  fields: ({ field }) => named(field),
  derived: ({ field, from }) => (from === '' ? [] : [{ key: minutesKey(from), from, unless: field, make: minutesOf }]),
};
