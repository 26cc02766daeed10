import type { FacetSettings } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { choose } from '../../listing/choices.js';
import type { Listing } from '../../listing/listing.js';
import { drawCount, partId, type Listed } from '../option-parts.js';

/** On and off, or, where “no” matters too, either, yes and no. */
export function drawSwitch(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  return settings.both ? drawThree(listing, facet, settings) : drawTwo(listing, facet, settings);
}

/** Own words of the lens; without any, those of its language. */
export function switchLabel(listing: Listing, option: { value: string; label: string }): string {
  const { texts } = listing.settings!;
  if (option.value === 'yes' && option.label === 'Yes') return texts.yes;
  return option.value === 'no' && option.label === 'No' ? texts.no : option.label;
}

function drawTwo(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const on = listing.choices.facets[facet.key]?.[0] === 'yes';
  const yes = facet.options.find((option) => option.value === 'yes');
  const flip = () => void listing.pick(choose(listing.choices, facet.key, on ? [] : ['yes']));
  return html`<label class="ivy-tick">
    <input type="checkbox" role="switch" class="ivy-switch" .checked=${live(on)} @change=${flip} />
    <span class="ivy-label">${yes ? switchLabel(listing, yes) : listing.settings!.texts.yes}</span>
    ${yes ? drawCount(listing, settings, yes) : nothing}
  </label>`;
}

function drawThree(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const chosen = listing.choices.facets[facet.key]?.[0] ?? '';
  const ways = [{ value: '', label: listing.settings!.texts.either }, ...facet.options];
  return html`<div class="ivy-three">
    ${ways.map(
      (way) =>
        html`<label class="ivy-way-of">
          <input
            type="radio"
            class="ivy-unseen"
            name=${partId(listing, facet, 'three')}
            .checked=${live(way.value === chosen)}
            @change=${() => void listing.pick(choose(listing.choices, facet.key, way.value === '' ? [] : [way.value]))}
          />
          <span
            >${'count' in way ? switchLabel(listing, way) : way.label}
            ${'count' in way ? drawCount(listing, settings, way) : nothing}</span
          >
        </label>`,
    )}
  </div>`;
}
