import { object, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object(common);
export type NumberPart = TypeOf<typeof shape> & { show: 'number' };

/** A number with a word after it, such as `min`. */
export const number: PartKind<NumberPart> = {
  shape,
  suits: ({ type }) => type === 'number',
  fields: ({ field }) => [field],
};
