import type { Option } from '@ivy/core';
import { choose } from './choices.js';
import type { SelectView } from './controls.js';
import { optionView } from './options.js';
import { linkTo, type FacetShown } from './shown.js';

/**
 * One list of which one is chosen.
 * @param above  what is chosen where nothing of the list is
 * @param on     the option of the list that is chosen, or leads to it
 */
export function selectView(
  at: FacetShown,
  label: string,
  options: readonly Option[],
  above: readonly string[],
  on: string | undefined,
): SelectView {
  const { shown, facet } = at;
  const link = (values: readonly string[]) => linkTo(shown, choose(shown.choices, facet.key, values));
  return {
    label,
    any: { label: shown.settings.texts.all, chosen: on === undefined, link: link(above) },
    options: options.map((option) => ({
      ...optionView(at, option),
      chosen: option.value === on,
      link: link([option.value]),
    })),
  };
}
