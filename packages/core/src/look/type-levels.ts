import { choice, object, optional, table, text, whole, type Shape, type TypeOf } from '../shape/shape.js';
import { hexColour } from './colours.js';

/** The texts of a listing that can be set each on its own. Terms below others are levels of their own. */
export const typeLevels = [
  'all',
  'facet',
  'term',
  'child',
  'deeper',
  'count',
  'title',
  'text',
  'facts',
  'chip',
  'total',
] as const;
export type TypeLevel = (typeof typeLevels)[number];

/** How a text is set. What is left out is the host page's. */
export const typeShape = object({
  /** Names of fonts as CSS lists them. The page has to have them. */
  family: optional(
    text({ min: 1, max: 200, pattern: /^[\p{L}\p{N} ,'"_-]+$/u, says: 'must be names of fonts with commas between' }),
  ),
  /** Per cent of what it would be. */
  size: optional(whole(50, 300)),
  weight: optional(whole(100, 900)),
  /** Per cent of the size. */
  line: optional(whole(80, 300)),
  /** Thousandths of the size between letters. */
  spacing: optional(whole(-100, 500)),
  case: optional(choice('none', 'upper', 'lower', 'title', 'small-caps')),
  colour: optional(hexColour),
});
export type Type = TypeOf<typeof typeShape>;

/** How texts are set, by level. */
export type Types = Partial<Record<TypeLevel, Type>>;

const known: readonly string[] = typeLevels;
const byLevel = table(typeShape, typeLevels.length);

/** Levels by name; others are refused. */
export const typesShape: Shape<Types> = {
  schema: {
    type: 'object',
    properties: Object.fromEntries(typeLevels.map((level) => [level, typeShape.schema])),
    additionalProperties: false,
  },
  read(value, pointer, problems) {
    const read = byLevel.read(value, pointer, problems);
    for (const level of Object.keys(read)) {
      if (!known.includes(level)) problems.push({ pointer: `${pointer}/${level}`, message: 'is not known here' });
    }
    return read;
  },
};
