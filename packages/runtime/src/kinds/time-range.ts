import { drawRange } from '../draw/range.js';
import type { DrawFacet } from '../draw/parts.js';

/** Two moments, to the minute. */
export const timeRange: DrawFacet = drawRange;
