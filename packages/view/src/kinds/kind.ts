import type { ChosenPart } from '../chip.js';
import type { Control } from '../controls.js';
import type { FacetShown } from '../shown.js';

/** How a kind of facet is shown. */
export interface KindView {
  /** What it is set by. */
  control(at: FacetShown): Control;
  /** What is chosen in it, each part by itself. */
  chosen(at: FacetShown): ChosenPart[];
}
