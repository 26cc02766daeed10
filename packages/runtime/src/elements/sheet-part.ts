import { html, nothing, type TemplateResult } from 'lit-html';
import { drawFacets, showText } from '../draw/facets.js';
import { withLater } from '../draw/with-later.js';
import type { Listing } from '../listing/listing.js';
import { Part } from './part.js';

/** An element that has its facets behind a button where there is no room for them. */
export abstract class SheetPart extends Part {
  protected isSheetOpen = false;

  protected drawFiltersButton(listing: Listing): TemplateResult {
    const chosen = Object.values(listing.choices.facets).flat().length;
    return html`<button type="button" class="ivy-filters" aria-haspopup="dialog" @click=${() => this.#open()}>
      ${listing.settings!.texts.filters} ${chosen > 0 ? html`<span class="ivy-badge">${chosen}</span>` : nothing}
    </button>`;
  }

  /** The facets over the page; nothing while they are not open. */
  protected drawSheet(listing: Listing): unknown {
    if (!this.isSheetOpen) return nothing;
    const close = () => this.#close();
    const show = () => {
      if (listing.waits) void listing.apply();
      close();
    };
    return withLater(
      () => this.#show(),
      (later) => later.drawSheet(html, listing.settings!.texts, drawFacets(listing), showText(listing), close, show),
    );
  }

  #open(): void {
    this.isSheetOpen = true;
    this.#show();
  }

  #show(): void {
    this.draw();
    this.querySelector<HTMLDialogElement>('.ivy-sheet:not([open])')?.showModal();
  }

  #close(): void {
    this.isSheetOpen = false;
    this.draw();
    this.querySelector<HTMLElement>('.ivy-filters')?.focus({ preventScroll: true });
  }
}
