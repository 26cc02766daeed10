import { optionsOf } from './options.js';
import type { FacetShown } from './shown.js';

/** Something that is chosen, by itself. */
export interface ChosenPart {
  /** What it is called among all that is chosen in its facet. */
  key: string;
  label: string;
  /** What stays chosen in the facet without it. */
  rest: readonly string[];
}

/** A part for each value, in words of its own. */
export function eachChosen({ chosen }: FacetShown, label: (value: string) => string): ChosenPart[] {
  return chosen.map((value) => ({ key: value, label: label(value), rest: chosen.filter((other) => other !== value) }));
}

/** A part for each option that is chosen. */
export function chosenOptions(at: FacetShown): ChosenPart[] {
  return eachChosen(at, (value) => optionLabel(at, value));
}

/** What an option is called; one that is not there by its value. */
export function optionLabel(at: FacetShown, value: string): string {
  return optionsOf(at).find((option) => option.value === value)?.label ?? value;
}
