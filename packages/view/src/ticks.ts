import { choose } from './choices.js';
import type { TicksControl } from './controls.js';
import { listed } from './options.js';
import { linkTo, type FacetShown } from './shown.js';

/** A list to tick, or, where one alone can be chosen, to take one of. */
export function ticksView(at: FacetShown, isTree = false): TicksControl {
  const list = listed(at);
  const { shown, facet } = at;
  const isDeep = isTree && list.options.some((option) => option.depth > 0);
  return {
    form: 'ticks',
    ...list,
    isTree: isDeep,
    all: list.single
      ? {
          label: shown.settings.texts.all,
          chosen: at.chosen.length === 0,
          link: linkTo(shown, choose(shown.choices, facet.key, [])),
        }
      : null,
  };
}
