import { drawRange } from '../draw/range.js';
import type { DrawFacet } from '../draw/parts.js';

/** Two numbers. */
export const numberRange: DrawFacet = drawRange;
