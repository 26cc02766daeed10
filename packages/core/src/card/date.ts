import { choice, object, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** How it is written: by the styles of `Intl`, as month and year, or by how long ago it is. */
  style: withDefault(choice('short', 'medium', 'long', 'full', 'month', 'relative'), () => 'medium' as const),
});
export type DatePart = TypeOf<typeof shape> & { show: 'date' };

export const date: PartKind<DatePart> = {
  shape,
  suits: ({ type }) => type === 'date' || type === 'datetime',
  fields: ({ field }) => [field],
};
