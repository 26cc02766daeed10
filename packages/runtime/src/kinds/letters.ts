import { drawPresses } from '../draw/presses.js';
import type { DrawFacet } from '../draw/parts.js';

/** Letters side by side, each a link. */
export const letters: DrawFacet = drawPresses;
