import type { NumbersView, PageLink } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { follow } from '../draw/follow.js';
import type { Listing } from '../listing/listing.js';

/** Numbers to press. The page one points at is fetched before the press. */
export function drawNumbers(listing: Listing, view: NumbersView, onGo: () => void): TemplateResult {
  const link = (page: PageLink | null, rel?: string) => {
    if (!page) return nothing;
    const near = () => listing.fetchAhead(page.link.choices);
    return html`<a
      class="ivy-page"
      href=${page.link.href}
      aria-label=${page.name}
      aria-current=${page.current ? 'page' : nothing}
      rel=${rel ?? nothing}
      @pointerenter=${near}
      @focus=${near}
      @click=${follow(page.link, (next) => void listing.choose(next).then(onGo))}
      >${page.label}</a
    >`;
  };
  return html`<nav class="ivy-pager" aria-label=${view.label}>
    ${link(view.previous, 'prev')}
    <ol>
      ${view.pages.map((page) => (page ? html`<li>${link(page)}</li>` : html`<li class="ivy-gap" aria-hidden="true">…</li>`))}
    </ol>
    ${link(view.next, 'next')}
  </nav>`;
}
