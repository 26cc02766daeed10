import { pagerView, type PageLink } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import type { Listing } from '../listing/listing.js';
import { follow } from './parts.js';
import { shownOf } from './shown.js';

export function drawPager(listing: Listing, onGo: () => void): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && pagerView(shown);
  if (!view) return nothing;
  const link = (page: PageLink | null, rel?: string) =>
    page
      ? html`<a
          class="ivy-page"
          href=${page.link.href}
          aria-label=${page.name}
          aria-current=${page.current ? 'page' : nothing}
          rel=${rel ?? nothing}
          @click=${follow(page.link, (next) => void listing.choose(next).then(onGo))}
          >${page.label}</a
        >`
      : nothing;
  return html`<nav class="ivy-pager" aria-label=${view.label}>
    ${link(view.previous, 'prev')}
    <ol>
      ${view.pages.map((page) => (page ? html`<li>${link(page)}</li>` : html`<li class="ivy-gap" aria-hidden="true">…</li>`))}
    </ol>
    ${link(view.next, 'next')}
  </nav>`;
}
