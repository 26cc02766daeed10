import { choice, object, text, withDefault, type TypeOf } from '../shape/shape.js';
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
});
export type PicturePart = TypeOf<typeof shape> & { show: 'picture' };

export const picture: PartKind<PicturePart> = {
  shape,
  suits: ({ type }) => type === 'image',
  fields: ({ field, alt }) => named(field, alt),
};
