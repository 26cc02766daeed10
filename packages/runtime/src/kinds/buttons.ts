import { drawPresses } from '../draw/presses.js';
import type { DrawFacet } from '../draw/parts.js';

/** Pills or links in a row. */
export const buttons: DrawFacet = drawPresses;
