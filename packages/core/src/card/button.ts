import { object, text, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({ ...common, field: withDefault(text({ max: 120 }), () => '') });
export type ButtonPart = TypeOf<typeof shape> & { show: 'button' };

/** A button that leads to the post; without words of its own it says what the language says. */
export const button: PartKind<ButtonPart> = {
  shape,
  suits: () => false,
  fields: () => [],
};
