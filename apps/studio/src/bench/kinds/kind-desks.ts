import type { Facet, FacetKind } from '@ivy/core';
import { buttons } from './buttons.js';
import { checkboxes } from './checkboxes.js';
import { dateRange } from './date-range.js';
import { dropdown } from './dropdown.js';
import { favourites } from './favourites.js';
import type { Addition, KindDesk } from './kind-desk.js';
import { letters } from './letters.js';
import { numberRange } from './number-range.js';
import { radios } from './radios.js';
import { search } from './search.js';
import { steps } from './steps.js';
import { switchDesk } from './switch.js';
import { timeRange } from './time-range.js';
import { tree } from './tree.js';

/** Every kind of facet as the Bench has it in hand, in the order in which ways to show a field are offered. */
const desks: { [K in FacetKind]: KindDesk<Extract<Facet, { kind: K }>> } = {
  checkboxes,
  tree,
  radios,
  buttons,
  dropdown,
  steps,
  letters,
  switch: switchDesk,
  search,
  'date-range': dateRange,
  'time-range': timeRange,
  'number-range': numberRange,
  favourites,
};

/** The same, asked of as one that could be any. */
export const kindDesks = desks as unknown as Record<FacetKind, KindDesk>;
export const kindsInOrder = Object.keys(desks) as readonly FacetKind[];

/** What is added by itself, and not from a field. */
export const additions: readonly Addition[] = kindsInOrder.flatMap((kind) => kindDesks[kind].addition ?? []);
