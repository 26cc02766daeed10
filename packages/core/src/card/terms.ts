import { holdsTerms } from '../model/post.js';
import { choice, object, whole, withDefault, type TypeOf } from '../shape/shape.js';
import { common, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** As small labels, as running text, or as presses that choose them. */
  as: withDefault(choice('labels', 'text', 'links'), () => 'labels' as const),
  /** Terms at most; 0 for all. */
  most: withDefault(whole(0, 20), () => 0),
});
export type TermsPart = TypeOf<typeof shape> & { show: 'terms' };

export const terms: PartKind<TermsPart> = {
  shape,
  suits: holdsTerms,
  fields: ({ field }) => [field],
};
