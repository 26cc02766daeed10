import { fill } from '@ivy/core';
import { choose, startChoices, writeChoices } from './choices.js';
import { facetShown } from './facets.js';
import { kindViews } from './kinds/kinds.js';
import { linkTo, type Link, type Shown } from './shown.js';

/** What is chosen, by itself. */
export interface ChipView {
  /** The same for as long as it is there. */
  key: string;
  facet: string;
  label: string;
  /** What a press does, in words. */
  name: string;
  without: Link;
}

/** All that is chosen. */
export interface ChipsView {
  label: string;
  chips: ChipView[];
  /** The way back to how an address finds the page that says nothing; null where one is there already. */
  clear: { label: string; link: Link } | null;
}

/** What is chosen, each with a way to be without it; null while there is nothing. */
export function chipsView(shown: Shown): ChipsView | null {
  const { settings, choices } = shown;
  const { texts } = settings;
  const chips: ChipView[] = [];
  // what is fixed for visitors they can neither see nor take away
  const fixed: [string, string[]][] = [];
  for (const { key, visible, label: facet, kind } of settings.facets) {
    const at = facetShown(shown, key);
    if (!visible && choices.facets[key]) fixed.push([key, choices.facets[key]]);
    if (!at || !visible) continue;
    for (const { key: part, label, bare, rest } of kindViews[kind].chosen(at)) {
      const name = fill(texts.remove, { facet, value: bare });
      const without = linkTo(shown, choose(choices, key, rest));
      chips.push({ key: `${key} ${part}`, facet: key, label, name, without });
    }
  }
  const cleared = { ...choices, facets: { ...startChoices(settings), ...Object.fromEntries(fixed) }, page: 1 };
  const isClear = writeChoices({ ...choices, page: 1 }, settings) === writeChoices(cleared, settings);
  if (chips.length === 0 && isClear) return null;
  const clear = isClear ? null : { label: texts.clearAll, link: linkTo(shown, cleared) };
  return { label: texts.chosen, chips, clear };
}
