import { optionsOf } from './options.js';
import type { FacetShown } from './shown.js';

/** Something that is chosen, by itself. */
export interface ChosenPart {
  /** What it is called among all that is chosen in its facet. */
  key: string;
  label: string;
  /** The same where the facet is named beside it. */
  bare: string;
  /** What stays chosen in the facet without it. */
  rest: readonly string[];
}

/**
 * A part for each value.
 * @param words  what it is called in its facet
 * @param label  what it is called alone, where that is more
 */
export function eachChosen(
  { chosen }: FacetShown,
  words: (value: string) => string,
  label = (bare: string) => bare,
): ChosenPart[] {
  return chosen.map((value) => {
    const bare = words(value);
    return { key: value, label: label(bare), bare, rest: chosen.filter((other) => other !== value) };
  });
}

/** A part for each option that is chosen. */
export function chosenOptions(at: FacetShown): ChosenPart[] {
  return eachChosen(at, (value) => optionLabel(at, value));
}

/** What an option is called; one that is not there by its value. */
export function optionLabel(at: FacetShown, value: string): string {
  return optionsOf(at).find((option) => option.value === value)?.label ?? value;
}
