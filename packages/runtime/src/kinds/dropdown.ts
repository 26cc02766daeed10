import { drawCombobox } from '../draw/combobox.js';
import type { DrawFacet } from '../draw/parts.js';
import { drawSelects } from '../draw/selects.js';

/** The browser's own list for one, a box to type in for several. */
export const dropdown: DrawFacet = (listing, facet) =>
  facet.control.form === 'selects' ? drawSelects(listing, facet) : drawCombobox(listing, facet);
