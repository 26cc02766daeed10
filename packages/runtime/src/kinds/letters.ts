import { drawPresses } from '../draw/presses.js';
import type { DrawFacet } from '../draw/parts.js';

/** A board of letters, each a link. */
export const letters: DrawFacet = drawPresses;
