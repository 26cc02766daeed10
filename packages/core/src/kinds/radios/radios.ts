import { object, type TypeOf } from '../../shape/shape.js';
import { drawn, terms } from '../terms/config.js';
import { termsKind } from '../terms/terms-kind.js';

const shape = object({ ...terms, ...drawn });
export type RadiosConfig = TypeOf<typeof shape> & { kind: 'radios' };

/** A list of terms of which one is taken. */
export const radios = termsKind<RadiosConfig>({
  shape,
  noun: 'one of',
  isSingle: true,
  suits: (field) => (field.type === 'boolean' ? 'It is yes or no.' : null),
});
