import { object, text, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({ ...common, field: withDefault(text({ max: 120 }), () => '') });
export type MarkPart = TypeOf<typeof shape> & { show: 'mark' };

/** A ribbon in its place among the words, by which visitors mark a post; without it, one stands in the card’s corner. */
export const mark: PartKind<MarkPart> = {
  shape,
  suits: () => false,
  fields: () => [],
};
