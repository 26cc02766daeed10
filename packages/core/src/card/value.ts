import { object, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object(common);
export type ValuePart = TypeOf<typeof shape> & { show: 'value' };

/** Any field as it stands, such as an author. */
export const value: PartKind<ValuePart> = {
  shape,
  suits: ({ type }) => type !== 'image' && type !== 'html',
  fields: ({ field }) => [field],
};
