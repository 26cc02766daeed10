import { object, whole, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** Level of its heading; 0 for none. */
  level: withDefault(whole(0, 6), () => 3),
  /** Lines at most; 0 for as many as it takes. */
  lines: withDefault(whole(0, 6), () => 0),
});
export type TitlePart = TypeOf<typeof shape> & { show: 'title' };

export const title: PartKind<TitlePart> = {
  shape,
  suits: ({ type }) => type === 'text' || type === 'html',
  fields: ({ field }) => [field],
};
