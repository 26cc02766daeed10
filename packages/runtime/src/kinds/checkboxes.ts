import { drawTicks } from '../draw/ticks.js';
import type { DrawFacet } from '../draw/parts.js';

/** A list to tick. */
export const checkboxes: DrawFacet = drawTicks;
