import type { Field, FieldType } from '../model/post.js';
import type { ShapeProblem } from '../shape/shape.js';

/** What is said of a field that a kind can't work with; one that is not there at all is said elsewhere. */
export function wrongType(
  fields: ReadonlyMap<string, Field>,
  key: string,
  setting: string,
  types: readonly FieldType[],
  noun: string,
): ShapeProblem[] {
  const field = fields.get(key);
  if (!field || types.includes(field.type)) return [];
  return [{ pointer: `/${setting}`, message: `must be ${noun}, and “${key}” is not` }];
}
