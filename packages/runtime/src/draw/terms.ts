import type { FacetSettings } from '@ivy/core';
import type { TemplateResult } from 'lit';
import type { Listing } from '../listing/listing.js';
import { drawButtons } from './kinds/buttons.js';
import { drawDropdown } from './kinds/dropdown.js';
import { drawSwitch } from './kinds/switch.js';
import { drawTicks } from './kinds/ticks.js';
import type { Listed } from './option-parts.js';

/** Draws the choices of a facet in its own way. */
export function drawTerms(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  switch (facet.kind) {
    case 'dropdown':
      return drawDropdown(listing, facet, settings);
    case 'buttons':
      return drawButtons(listing, facet, settings);
    case 'switch':
      return drawSwitch(listing, facet, settings);
    case 'checkboxes':
    case 'radios':
    case 'tree':
      return drawTicks(listing, facet, settings);
  }
}
