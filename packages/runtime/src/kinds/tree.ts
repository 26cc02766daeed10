import { drawTicks } from '../draw/ticks.js';
import type { DrawFacet } from '../draw/parts.js';

/** A list with branches to open. */
export const tree: DrawFacet = drawTicks;
