import type { FacetKind } from '@ivy/core';
import type { DrawFacet } from '../draw/parts.js';
import { buttons } from './buttons.js';
import { checkboxes } from './checkboxes.js';
import { dateRange } from './date-range.js';
import { dropdown } from './dropdown.js';
import { favourites } from './favourites.js';
import { letters } from './letters.js';
import { numberRange } from './number-range.js';
import { radios } from './radios.js';
import { search } from './search.js';
import { steps } from './steps.js';
import { switchKind } from './switch.js';
import { timeRange } from './time-range.js';
import { tree } from './tree.js';

/** How every kind of facet is drawn, by its name. */
export const drawKinds: Record<FacetKind, DrawFacet> = {
  checkboxes,
  radios,
  dropdown,
  buttons,
  tree,
  steps,
  letters,
  switch: switchKind,
  search,
  'date-range': dateRange,
  'time-range': timeRange,
  'number-range': numberRange,
  favourites,
};
