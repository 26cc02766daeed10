import { fill, fold, type Option } from '@ivy/core';
import type { FindView, OptionView } from './controls.js';
import { figure } from './formats.js';
import { type FacetShown } from './shown.js';

/** Options from which a list has a box to find one in. */
const findFrom = 13;
/** Options drawn at most of what was found: more would only be scrolled past. */
const mostFound = 100;

/** The options of a facet whose answer has some. */
export function optionsOf({ facet }: FacetShown): readonly Option[] {
  return 'options' in facet ? facet.options : [];
}

/** Terms of a facet that its answer does not hold. */
export function moreOf({ facet }: FacetShown): number {
  return 'more' in facet ? (facet.more ?? 0) : 0;
}

export function optionView({ shown, settings, chosen }: FacetShown, option: Option): OptionView {
  const { value, label, count, depth, parent, partly } = option;
  const isChosen = chosen.includes(value);
  return {
    value,
    label,
    count: settings.counts ? figure(shown.settings.language, count) : null,
    depth,
    parent,
    chosen: isChosen,
    partly: partly && !isChosen,
    muted: settings.zero === 'mute' && count === 0 && !isChosen,
  };
}

/** The options to be listed: all, or those that have what is looked for. */
export function listedOptions(at: FacetShown): readonly Option[] {
  const find = at.shown.finds.get(at.facet.key);
  const text = fold((find?.text ?? '').trim());
  const options = optionsOf(at);
  if (text === '') return options;
  // what was found for what stood there before is looked through until the rest comes
  if (find?.found) return find.found.options.filter(({ label }) => fold(label).includes(text));
  return withTheirBranch(options, text);
}

/** Options whose label has what is typed, each with those above it, so that one sees where it stands. */
export function withTheirBranch(options: readonly Option[], text: string): Option[] {
  const byValue = new Map(options.map((option) => [option.value, option]));
  const kept = new Set<string>();
  let count = 0;
  for (const option of options) {
    if (!fold(option.label).includes(text)) continue;
    if (count++ >= mostFound) break;
    for (let at: Option | undefined = option; at; at = at.parent === null ? undefined : byValue.get(at.parent)) {
      kept.add(at.value);
    }
  }
  return options.filter((option) => kept.has(option.value));
}

/** What all lists of options have. */
export function listed(at: FacetShown): {
  single: boolean;
  options: OptionView[];
  chosen: OptionView[];
  find: FindView | null;
  isMany: boolean;
} {
  const options = listedOptions(at).map((option) => optionView(at, option));
  const chosen = optionsOf(at).flatMap((option) => (at.chosen.includes(option.value) ? optionView(at, option) : []));
  const isMany = moreOf(at) > 0;
  return { single: at.settings.single, options, chosen, find: findView(at, options.length), isMany };
}

function findView(at: FacetShown, found: number): FindView | null {
  const { texts, language } = at.shown.settings;
  const find = at.shown.finds.get(at.facet.key);
  const text = find?.text ?? '';
  const isFinding = text.trim() !== '';
  const more = (isFinding ? find?.found?.more : moreOf(at)) ?? 0;
  if (optionsOf(at).length < findFrom && more === 0 && !isFinding) return null;
  return {
    label: fill(texts.find, { facet: at.settings.label }),
    text,
    none: isFinding && found === 0 ? texts.findNone : null,
    more: more > 0 ? fill(texts.moreTerms, { n: figure(language, more) }) : null,
  };
}
