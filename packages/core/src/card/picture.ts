import { fieldKey } from '../kinds/common.js';
import { choice, list, object, text, whole, withDefault, type TypeOf } from '../shape/shape.js';
import { common, named, type PartKind } from './part.js';

const shape = object({
  ...common,
  /** Width to height. */
  aspect: withDefault(choice('2/1', '16/9', '3/2', '4/3', '1/1', '3/4'), () => '2/1' as const),
  /** Whether the picture fills its place, cut where it must be, or stands in it whole. */
  fit: withDefault(choice('cover', 'contain'), () => 'cover' as const),
  /** Above the words, or beside them. */
  place: withDefault(choice('top', 'side'), () => 'top' as const),
  /** The field that says what is to be seen; empty where the title beside it says enough. */
  alt: withDefault(text({ max: 120 }), () => ''),
  /** Where a post has none: nothing, so that the words move up, or a quiet drawing in its place. */
  whenEmpty: withDefault(choice('nothing', 'drawing'), () => 'nothing' as const),
  /** Pixels that it is wide, where other sizes are there; 0 where nobody knows. */
  width: withDefault(whole(0, 20_000), () => 0),
  /** Fields that have the same picture at other widths, so that a page fetches the one that fits. */
  sizes: withDefault(list(object({ field: fieldKey, width: whole(1, 20_000) }), 6), () => []),
});
export type PicturePart = TypeOf<typeof shape> & { show: 'picture' };

export const picture: PartKind<PicturePart> = {
  shape,
  suits: ({ type }) => type === 'image',
  fields: ({ field, alt, sizes }) => named(field, alt, ...sizes.map((size) => size.field)),
};
