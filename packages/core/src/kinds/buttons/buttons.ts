import { choice, object, withDefault, type TypeOf } from '../../shape/shape.js';
import { nameOf } from '../name.js';
import { drawn, single, terms } from '../terms/config.js';
import { termsKind } from '../terms/terms-kind.js';
import { termsLeft } from '../terms/warnings.js';

const shape = object({
  ...terms,
  ...drawn,
  single,
  /** `links` are plain links to the address they lead to. */
  as: withDefault(choice('pills', 'links'), () => 'pills' as const),
  /** What happens where they do not fit in a row. */
  row: withDefault(choice('wrap', 'scroll'), () => 'wrap' as const),
});
export type ButtonsConfig = TypeOf<typeof shape> & { kind: 'buttons' };

/** Buttons from which a row of them is a wall. */
const manyButtons = 30;

/** A row of terms to press. */
export const buttons = termsKind<ButtonsConfig, Pick<ButtonsConfig, 'as' | 'row'>>({
  shape,
  noun: 'buttons',
  warnings: (facet, field) => {
    const left = termsLeft(facet, field);
    if (left <= manyButtons) return [];
    const text = `${left} buttons are a wall. Show them as a dropdown or ticks, or only some of them.`;
    return [{ code: 'many-buttons', broken: false, text }];
  },
  changes: (was, is, tell) => {
    if ('as' in was) tell(`${nameOf(is, [is.field])} is drawn another way`, String(was.as), is.as);
  },
  settings: ({ as, row }) => ({ as, row }),
});
