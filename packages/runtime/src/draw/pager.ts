import { fill, pageNumbers } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import type { Listing } from '../listing/listing.js';

export function drawPager(listing: Listing, onGo: () => void): TemplateResult | typeof nothing {
  const { answer, settings, choices } = listing;
  if (!answer || !settings || answer.pages <= 1) return nothing;
  const { texts } = settings;
  const link = (page: number, label: string | TemplateResult, name: string, rel?: string) => {
    const next = { ...choices, page };
    const go = (event: MouseEvent) => {
      // a click that asks for a new tab or window is the browser's
      if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
      event.preventDefault();
      void listing.choose(next).then(onGo);
    };
    const current = page === choices.page;
    return html`<a
      class="ivy-page"
      href=${listing.hrefOf(next)}
      aria-label=${name}
      aria-current=${current ? 'page' : nothing}
      rel=${rel ?? nothing}
      @click=${go}
      >${label}</a
    >`;
  };
  const { page, pages } = { page: choices.page, pages: answer.pages };
  return html`<nav class="ivy-pager" aria-label=${texts.pages}>
    ${page > 1 ? link(page - 1, texts.previous, texts.previous, 'prev') : nothing}
    <ol>
      ${pageNumbers(page, pages).map((n) =>
        n === null
          ? html`<li class="ivy-gap" aria-hidden="true">…</li>`
          : html`<li>${link(n, String(n), fill(texts.page, { n }))}</li>`,
      )}
    </ol>
    ${page < pages ? link(page + 1, texts.next, texts.next, 'next') : nothing}
  </nav>`;
}
