import { drawFlip } from '../draw/switch.js';
import type { DrawFacet } from '../draw/parts.js';

/** A switch that shows only what the visitor marked on the cards. */
export const favourites: DrawFacet = drawFlip;
