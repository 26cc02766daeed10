import type { Texts } from '@ivy/core';
import { cardViews, noticesView, type CardView, type Shown } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import type { Listing } from '../listing/listing.js';
import type { Shape } from '../listing/shape.js';
import { drawCards, drawMark, drawPicture, drawRow } from './cards.js';
import { englishTexts } from './english.js';
import { follow } from './follow.js';
import { shownOf } from './shown.js';
import { withLater } from './with-later.js';

/**
 * Cards, or in their place what stands in the way: loading, failed, or nothing that matches.
 * @param most  cards to show, if not all of the page
 */
export function drawResults(listing: Listing, most?: number): TemplateResult {
  const shown = shownOf(listing);
  const isFailed = listing.status === 'failed' || listing.status === 'gone';
  if (!shown) return isFailed ? drawFailed(listing) : drawLoading(listing.shape);
  const { settings, answer } = shown;
  return html`<div class="ivy-results-body" aria-busy=${listing.waiting} data-waiting=${listing.waiting}>
    <h2 class="ivy-unseen">${settings.texts.results}</h2>
    ${listing.status === 'failed' ? drawFailed(listing) : ''} ${drawNotices(shown)}
    ${answer.matched === 0 ? drawEmpty(listing, shown) : drawPosts(listing, shown, cardViews(shown, answer.items.slice(0, most)))}
  </div>`;
}

/** Posts as cards or as a table. */
function drawPosts(listing: Listing, shown: Shown, cards: readonly CardView[]): unknown {
  if (listing.placed.arrangement !== 'table') return drawCards(listing, cards);
  const drawing = { html, nothing, drawRow, drawPicture, drawMark, follow };
  return withLater(
    () => listing.redraw(),
    (later) => later.drawTable(drawing, listing, shown, cards),
  );
}

function drawNotices(shown: Shown): TemplateResult | '' {
  const notices = noticesView(shown);
  if (notices.length === 0) return '';
  return html`<div class="ivy-notices" role="status">${notices.map((words) => html`<p>${words}</p>`)}</div>`;
}

function drawEmpty(listing: Listing, shown: Shown): unknown {
  const cards = (views: readonly CardView[]) => drawPosts(listing, shown, views);
  return withLater(
    () => listing.redraw(),
    (later) => later.drawEmpty(html, listing, shown, cards),
  );
}

/** Quiet shapes where cards will be, so that nothing jumps when they come. No figures: there are none yet. */
function drawLoading({ cards, hasPictures }: Shape): TemplateResult {
  const lines = [0, 1, 2].map(() => html`<i></i>`);
  return html`<div class="ivy-loading" aria-hidden="true">
    ${Array.from({ length: cards }, () => html`<div class="ivy-ghost" ?data-picture=${hasPictures}>${lines}</div>`)}
  </div>`;
}

function drawFailed(listing: Listing): TemplateResult {
  const { status, settings, answer } = listing;
  // without an answer there are no words of the lens yet, so English stands in
  const texts = settings?.texts ?? englishTexts;
  if (status === 'gone') return drawGone(texts);
  // what came last stays, with a line above it; it is tried again by itself
  const isOff = !navigator.onLine;
  return html`<div class="ivy-failed" role="alert">
    <p class="ivy-empty-title">${answer && isOff ? texts.offline : texts.failedTitle}</p>
    <p>${texts.failedText}</p>
    <button type="button" class="ivy-retry" @click=${() => void listing.load()}>${texts.retry}</button>
  </div>`;
}

/** There is no such listing. */
export function drawGone(texts: Pick<Texts, 'goneTitle' | 'goneText'> = englishTexts): TemplateResult {
  return html`<div class="ivy-failed" role="alert">
    <p class="ivy-empty-title">${texts.goneTitle}</p>
    <p>${texts.goneText}</p>
  </div>`;
}
