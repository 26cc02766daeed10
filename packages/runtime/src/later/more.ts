import type { MoreView } from '@ivy/view';
import type { html as Html, TemplateResult } from 'lit-html';
import { follow } from '../draw/follow.js';
import type { Listing } from '../listing/listing.js';

/** A press for the next posts. A link, so that it also leads there in a new tab. */
export function drawMore(html: typeof Html, listing: Listing, view: MoreView): TemplateResult {
  const { more, left, shown, link } = view;
  const press = () => {
    // one post may be in several listings of a page
    const root = document.activeElement?.closest('ivy-lens') ?? document;
    const there = listing.answer!.items.length;
    listing.opened.loads = 0;
    void listing.more().then(() => {
      const { page, pages, items } = listing.answer!;
      // the press goes with the last posts: the first of them takes the focus
      if (page < pages) return;
      const cards = [...root.querySelectorAll<HTMLElement>('[data-post]')];
      const card = cards.find(({ dataset }) => dataset.post === items[there]?.id);
      card?.querySelector<HTMLElement>('a, button')?.focus();
    });
  };
  return html`<nav class="ivy-pager ivy-next-pager" aria-label=${view.label}>
    ${
      more === null
        ? ''
        : html`<a
            class="ivy-next"
            href=${link.href}
            rel="next"
            aria-busy=${listing.loadsMore}
            data-near=${view.isEndless ? 'load' : 'fetch'}
            @click=${follow(link, press)}
            ><b>${more}</b>, ${left}</a
          >`
    }
    <span class="ivy-shown" role="status">${shown}</span>
  </nav>`;
}
