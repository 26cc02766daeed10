import { fill, fillPlural } from '@ivy/core';
import { html, type TemplateResult } from 'lit';
import type { Listing } from '../listing/listing.js';
import { drawCards } from './cards.js';

/** Cards, or in their place what stands in the way: loading, failed, or nothing that matches. */
export function drawResults(listing: Listing): TemplateResult {
  const { answer, settings, status } = listing;
  if (!answer || !settings) return status === 'failed' ? drawFailed(listing) : drawLoading();
  return html`<div class="ivy-results-body" aria-busy=${listing.waiting} data-waiting=${listing.waiting}>
    <h2 class="ivy-unseen">${settings.texts.results}</h2>
    ${status === 'failed' ? drawFailed(listing) : ''} ${drawNotices(listing)}
    ${answer.matched === 0 ? drawEmpty(listing) : drawCards(listing)}
  </div>`;
}

/** What a visitor should know of how the address was taken: only what changed what they asked for. */
function drawNotices(listing: Listing): TemplateResult | '' {
  const told = listing.answer!.notices.filter((notice) => notice.code === 'respelled');
  if (told.length === 0) return '';
  return html`<div class="ivy-notices" role="status">
    ${told.map((notice) => {
      const searched = listing.choices.facets[notice.facet ?? '']?.[0] ?? '';
      return html`<p>${fill(listing.settings!.texts.respelled, { searched, value: notice.value ?? '' })}</p>`;
    })}
  </div>`;
}

function drawEmpty(listing: Listing): TemplateResult {
  const { answer, settings, choices } = listing;
  const { texts, language } = settings!;
  const labels = new Map(answer!.facets.map((facet) => [facet.key, facet.label]));
  return html`<div class="ivy-empty">
    <p class="ivy-empty-title">${texts.emptyTitle}</p>
    ${
      answer!.ways.length === 0
        ? ''
        : html`<p>${texts.emptyWays}</p>
            <ul class="ivy-ways">
              ${answer!.ways.map((way) => {
                const { [way.without]: _lifted, ...facets } = choices.facets;
                const posts = fillPlural(texts.posts, way.matched, language);
                return html`<li>
                  <button
                    type="button"
                    class="ivy-way"
                    @click=${() => void listing.choose({ ...choices, facets, page: 1 })}
                  >
                    ${fill(texts.without, { facet: labels.get(way.without) ?? way.without, posts })}
                  </button>
                </li>`;
              })}
            </ul>`
    }
  </div>`;
}

/** Quiet shapes where cards will be, so that nothing jumps when they come. No figures: there are none yet. */
function drawLoading(): TemplateResult {
  return html`<div class="ivy-loading" aria-hidden="true">
    ${Array.from({ length: 6 }, () => html`<div class="ivy-ghost"></div>`)}
  </div>`;
}

function drawFailed(listing: Listing): TemplateResult {
  // without an answer there are no words of the lens yet, so English stands in
  const texts = listing.settings?.texts;
  return html`<div class="ivy-failed" role="alert">
    <p class="ivy-empty-title">${texts?.failedTitle ?? 'The listing did not load'}</p>
    <p>${texts?.failedText ?? 'Check the connection, then try again.'}</p>
    <button type="button" class="ivy-retry" @click=${() => void listing.load()}>${texts?.retry ?? 'Try again'}</button>
  </div>`;
}
