import { choice, object, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** Among the short facts, or as a badge over the picture. */
  as: withDefault(choice('fact', 'badge'), () => 'fact' as const),
});
export type YesNoPart = TypeOf<typeof shape> & { show: 'yes-no' };

/** Words that stand where a post says yes. */
export const yesNo: PartKind<YesNoPart> = {
  shape,
  suits: ({ type }) => type === 'boolean',
  fields: ({ field }) => [field],
};
