import { toggle } from './choices.js';
import type { PressesControl } from './controls.js';
import { listed, optionsOf } from './options.js';
import { linkTo, type FacetShown } from './shown.js';

/** Presses drawn of a facet with thousands of terms. */
const mostPressed = 60;

/** Choices to press, each also a link to where it leads. */
export function pressesView(
  at: FacetShown,
  as: PressesControl['as'],
  row: PressesControl['row'] = 'wrap',
): PressesControl {
  const list = listed(at);
  const { shown, facet } = at;
  const { single } = list;
  const all = optionsOf(at);
  const shownOptions = list.isMany ? list.options.slice(0, mostPressed) : list.options;
  const options = shownOptions.map((option) => ({
    ...option,
    link: linkTo(shown, toggle(shown.choices, { key: facet.key, options: all }, option.value, single)),
  }));
  return { form: 'presses', ...list, find: list.isMany ? list.find : null, as, row, options };
}
