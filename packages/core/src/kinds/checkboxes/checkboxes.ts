import { object, type TypeOf } from '../../shape/shape.js';
import { drawn, terms } from '../terms/config.js';
import { isOfNames, termsKind } from '../terms/terms-kind.js';
import { isLongList } from '../dropdown/dropdown.js';

const shape = object({ ...terms, ...drawn });
export type CheckboxesConfig = TypeOf<typeof shape> & { kind: 'checkboxes' };

/** A list of terms to tick, any number of them. */
export const checkboxes = termsKind<CheckboxesConfig>({
  shape,
  noun: 'ticks',
  suits: (field) => (isOfNames(field) && !isLongList(field) ? `${field.distinct} terms fit in one list.` : null),
});
