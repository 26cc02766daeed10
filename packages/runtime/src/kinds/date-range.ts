import { drawRange } from '../draw/range.js';
import type { DrawFacet } from '../draw/parts.js';

/** Two days, or one. */
export const dateRange: DrawFacet = drawRange;
