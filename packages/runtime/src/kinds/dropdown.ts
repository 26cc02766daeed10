import type { ComboboxControl } from '@ivy/view';
import { html, nothing } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { DrawFacet } from '../draw/parts.js';
import { drawSelects } from '../draw/selects.js';
import { withLater } from '../draw/with-later.js';

/** The browser's own list for one, a box to type in for several: until that is there, a box that waits. */
export const dropdown: DrawFacet = (listing, facet) => {
  if (facet.control.form === 'selects') return drawSelects(listing, facet);
  const { placeholder } = facet.control as ComboboxControl;
  const box = withLater(
    () => listing.redraw(),
    (later) => later.drawCombobox({ html, live, nothing }, listing, facet),
  );
  return html`${box === nothing ? html`<input class="ivy-input" placeholder=${placeholder} disabled />` : box}`;
};
