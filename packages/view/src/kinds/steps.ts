import { fill } from '@ivy/core';
import { chosenOptions } from '../chip.js';
import type { SelectsControl } from '../controls.js';
import { optionsOf } from '../options.js';
import { selectView } from '../selects.js';
import type { FacetShown } from '../shown.js';
import type { KindView } from './kind.js';

export const steps: KindView = { control: stepsView, chosen: chosenOptions };

/** A list for the top of a tree, and one for what is under each choice. */
function stepsView(at: FacetShown): SelectsControl {
  const { texts } = at.shown.settings;
  const options = optionsOf(at);
  const onPath = pathOf(at);
  const lists = Array.from({ length: onPath.length + 1 }, (_, depth) => {
    const above = onPath[depth - 1];
    const label =
      at.settings.levels?.[depth] ||
      (above === undefined ? at.settings.label : fill(texts.under, { term: above.label }));
    const own = options.filter((option) => option.depth === depth && option.parent === (above?.value ?? null));
    return selectView(at, label, own, above ? [above.value] : [], onPath[depth]?.value);
  });
  // what is chosen has nothing under it, or the answer that tells is still on its way
  return { form: 'selects', lists: lists.filter((list, depth) => depth === 0 || list.options.length > 0) };
}

/** The options from the top to the one that is chosen. */
function pathOf(at: FacetShown): { value: string; label: string }[] {
  const byValue = new Map(optionsOf(at).map((option) => [option.value, option]));
  const path: { value: string; label: string }[] = [];
  for (let one = byValue.get(at.chosen[0] ?? ''); one; one = one.parent === null ? undefined : byValue.get(one.parent))
    path.unshift(one);
  return path;
}
