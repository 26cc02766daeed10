import { fill, type FacetSettings, type Option, type SwitchFacetAnswer, type TermFacetAnswer } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { repeat } from 'lit/directives/repeat.js';
import { choose, toggle } from '../listing/choices.js';
import type { Listing } from '../listing/listing.js';

/** Options shown of a long list before a visitor asks for more. */
const shortList = 8;

/** A facet whose choices are listed one by one. */
type Listed = TermFacetAnswer | SwitchFacetAnswer;

/** Draws the choices of a facet in its own way. */
export function drawTerms(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  switch (facet.kind) {
    case 'dropdown':
      return settings.single ? drawSelect(listing, facet, settings) : drawTicks(listing, facet, settings);
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

function drawTicks(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const flat = facet.options.every((option) => option.depth === 0);
  const isLong = flat && facet.options.length > shortList + 2;
  const open = listing.open.has(facet.key);
  const options =
    isLong && !open ? facet.options.filter((option, i) => i < shortList || option.selected) : facet.options;
  const rest = facet.options.length - options.length;
  return html`<ul class="ivy-options">
      ${repeat(
        options,
        (option) => option.value,
        (option) => drawTick(listing, facet, settings, option),
      )}
    </ul>
    ${isLong ? drawMore(listing, facet, rest) : nothing}`;
}

function drawMore(listing: Listing, facet: Listed, rest: number): TemplateResult {
  const { texts } = listing.settings!;
  const open = listing.open.has(facet.key);
  const flip = () => {
    if (open) listing.open.delete(facet.key);
    else listing.open.add(facet.key);
    listing.redraw();
  };
  return html`<button type="button" class="ivy-more" aria-expanded=${open} @click=${flip}>
    ${open ? texts.fewer : fill(texts.more, { n: rest })}
  </button>`;
}

function drawTick(listing: Listing, facet: Listed, settings: FacetSettings, option: Option): TemplateResult {
  const chosen = isChosen(listing, facet, option);
  const { single } = settings;
  const pick = () => void listing.choose(toggle(listing.choices, facet, option.value, single));
  // a second press on a chosen radio clears it, which radios alone do not do
  const clear = (event: Event) => {
    if (!single || !chosen) return;
    event.preventDefault();
    pick();
  };
  return html`<li class="ivy-option" data-depth=${option.depth} style="--ivy-depth:${option.depth}">
    <label class=${isMuted(settings, option, chosen) ? 'ivy-tick ivy-muted' : 'ivy-tick'}>
      <input
        type=${single ? 'radio' : 'checkbox'}
        name=${`ivy-${facet.key}`}
        .value=${option.value}
        .checked=${live(chosen)}
        .indeterminate=${live(option.partly && !chosen)}
        @change=${pick}
        @click=${clear}
      />
      <span class="ivy-label">${option.label}</span>
      ${drawCount(listing, settings, option)}
    </label>
  </li>`;
}

function drawButtons(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  return html`<div class="ivy-buttons">
    ${repeat(
      facet.options,
      (option) => option.value,
      (option) => {
        const chosen = isChosen(listing, facet, option);
        const next = toggle(listing.choices, facet, option.value, settings.single);
        return html`<button
          type="button"
          class=${isMuted(settings, option, chosen) ? 'ivy-button ivy-muted' : 'ivy-button'}
          aria-pressed=${chosen}
          @click=${() => void listing.choose(next)}
        >
          ${option.label} ${drawCount(listing, settings, option)}
        </button>`;
      },
    )}
  </div>`;
}

function drawSelect(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const chosen = listing.choices.facets[facet.key]?.[0] ?? '';
  const pick = (event: Event) => {
    const { value } = event.target as HTMLSelectElement;
    void listing.choose(choose(listing.choices, facet.key, value === '' ? [] : [value]));
  };
  return html`<select class="ivy-select" aria-label=${facet.label} .value=${live(chosen)} @change=${pick}>
    <option value="" ?selected=${chosen === ''}>${listing.settings!.texts.all}</option>
    ${facet.options.map(
      (option) =>
        html`<option value=${option.value} ?selected=${option.value === chosen}>
          ${'\u2003'.repeat(option.depth)}${option.label}${settings.counts ? ` (${figure(listing, option.count)})` : ''}
        </option>`,
    )}
  </select>`;
}

function drawSwitch(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const on = listing.choices.facets[facet.key]?.[0] === 'yes';
  const yes = facet.options.find((option) => option.value === 'yes');
  const flip = () => void listing.choose(choose(listing.choices, facet.key, on ? [] : ['yes']));
  return html`<label class="ivy-tick">
    <input type="checkbox" role="switch" class="ivy-switch" .checked=${live(on)} @change=${flip} />
    <span class="ivy-label">${listing.settings!.texts.yes}</span>
    ${yes ? drawCount(listing, settings, yes) : nothing}
  </label>`;
}

function drawCount(listing: Listing, settings: FacetSettings, option: Option): TemplateResult | typeof nothing {
  return settings.counts ? html`<span class="ivy-count">${figure(listing, option.count)}</span>` : nothing;
}

function figure(listing: Listing, n: number): string {
  return new Intl.NumberFormat(listing.settings!.language).format(n);
}

function isChosen(listing: Listing, facet: Listed, option: Option): boolean {
  return listing.choices.facets[facet.key]?.includes(option.value) ?? false;
}

function isMuted(settings: FacetSettings, option: Option, chosen: boolean): boolean {
  return settings.zero === 'mute' && option.count === 0 && !chosen;
}
