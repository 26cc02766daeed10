import type { FieldDescription } from '../../fields/describe.js';
import { object, type TypeOf } from '../../shape/shape.js';
import { single, terms } from '../terms/config.js';
import { isOfNames, termsKind } from '../terms/terms-kind.js';

const shape = object({ ...terms, single });
export type DropdownConfig = TypeOf<typeof shape> & { kind: 'dropdown' };

/** Terms from which a list is too long to be read and is better typed in. */
const longList = 40;

/** Whether a field has so many terms that they are better typed for than read. */
export function isLongList({ distinct }: FieldDescription): boolean {
  return distinct > longList;
}

/** A list that opens, and that one types in. */
export const dropdown = termsKind<DropdownConfig>({
  shape,
  noun: 'dropdown',
  suits: (field) => (isOfNames(field) && isLongList(field) ? `${field.distinct} terms are best typed for.` : null),
});
