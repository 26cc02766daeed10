import { drawSearch } from '../draw/search.js';
import type { DrawFacet } from '../draw/parts.js';

/** A box that answers as one types. */
export const search: DrawFacet = drawSearch;
