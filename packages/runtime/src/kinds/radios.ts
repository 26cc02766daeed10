import { drawTicks } from '../draw/ticks.js';
import type { DrawFacet } from '../draw/parts.js';

/** A list to take one of. */
export const radios: DrawFacet = drawTicks;
