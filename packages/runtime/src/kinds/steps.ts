import type { FacetView, OptionView, SelectsControl, SelectView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import { repeat } from 'lit-html/directives/repeat.js';
import { partId } from '../draw/part-id.js';
import { drawCount, type DrawFacet } from '../draw/parts.js';
import type { Listing } from '../listing/listing.js';

/** A list a level, each with what is under the choice in the one before. */
export const steps: DrawFacet = (listing: Listing, facet: FacetView): TemplateResult => {
  const { lists } = facet.control as SelectsControl;
  return html`<div class="ivy-steps">
    ${repeat(
      lists,
      (_, depth) => depth,
      (list, depth) => drawList(listing, facet, list, depth, depth < lists.length - 1),
    )}
  </div>`;
};

/**
 * One list: radios, so that arrows move and choose in it as in any group, and a screen reader says which of how many.
 * @param leads  whether there is a list of what is under its choice
 */
function drawList(
  listing: Listing,
  facet: FacetView,
  { label, any, options }: SelectView,
  depth: number,
  leads: boolean,
): TemplateResult {
  const title = partId(listing, facet, `step-${depth}`);
  const row = (words: string, one: Pick<OptionView, 'chosen' | 'count' | 'muted'>, pick: () => void, isAny = false) =>
    html`<label
      class=${one.muted ? 'ivy-step ivy-muted' : 'ivy-step'}
      data-any=${isAny}
      data-chosen=${one.chosen}
      data-leads=${one.chosen && leads && !isAny}
    >
      <input
        type="radio"
        class="ivy-unseen"
        name=${partId(listing, facet, `step-${depth}-one`)}
        .checked=${live(one.chosen)}
        @change=${pick}
      />
      <span class="ivy-label">${words}</span> ${drawCount(one)}
    </label>`;
  return html`<div class="ivy-step-list">
    ${depth === 0 && label === facet.label ? nothing : html`<p class="ivy-step-title">${label}</p>`}
    <div class="ivy-step-options" id=${title} role="radiogroup" aria-label=${label}>
      ${row(any.label, { chosen: any.chosen, count: null, muted: false }, () => void listing.pick(any.link.choices), true)}
      ${repeat(
        options,
        (option) => option.value,
        (option) => row(option.label, option, () => void listing.pick(option.link.choices)),
      )}
    </div>
  </div>`;
}
