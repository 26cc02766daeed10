import { html, nothing, type TemplateResult } from 'lit-html';
import { drawChips } from '../draw/chips.js';
import { drawCount, drawSize, drawSort } from '../draw/count-and-sort.js';
import { drawFacet, drawFacets, showText } from '../draw/facets.js';
import { drawPager } from '../paging/paging.js';
import { drawResults } from '../draw/results.js';
import { withLater } from '../draw/with-later.js';
import type { Listing } from '../listing/listing.js';
import { Part } from './part.js';

/** Width in CSS pixels from which facets stand beside or above the cards, and not behind a button. */
const wideFrom = 640;

/** Draws the whole of a lens: facets, chips, count line, sort, cards and pager. */
export class IvyLens extends Part {
  /** What a server drew for pages without scripts. It stays until there is something to put in its place. */
  #plain: Element | null = null;
  /**
   * Tells whether the lens has room for facets beside the cards. Measured, and not asked by a container query: with one,
   * Chromium 150 was seen to leave what was drawn anew within it without size and style.
   */
  readonly #width = new ResizeObserver(([entry]) => {
    if (entry) this.#measure(entry.contentRect.width);
  });
  /** Late answers that are drawn, and the height in pixels that is kept since the last of them. */
  #late = 0;
  #height = 0;

  override connectedCallback(): void {
    this.#plain = this.querySelector(':scope > [data-plain]');
    super.connectedCallback();
    // measured before the first drawing, which would be of a narrow page and then jump
    this.#measure(this.clientWidth);
    this.#width.observe(this);
  }

  override disconnectedCallback(): void {
    super.disconnectedCallback();
    this.#width.disconnect();
  }

  protected override render(): TemplateResult {
    const listing = this.listing;
    if (!listing || (this.#plain && !listing.answer)) return html``;
    this.#plain?.remove();
    this.#plain = null;
    const { settings, answer } = listing;
    const look = settings?.look ?? listing.shape;
    const hasFacets = answer?.facets.some((facet) => facet.visible) ?? true;
    return html`<div
      class="ivy-frame"
      data-facets=${hasFacets ? look.facets : 'none'}
      style="--ivy-columns:${look.columns};min-height:${this.#height}px"
    >
      <div class="ivy-side">${listing.opened.filters ? nothing : drawFacets(listing)}</div>
      <div class="ivy-main" tabindex="-1">
        <div class="ivy-head">
          ${answer && settings && hasFacets ? this.#drawFiltersButton(listing) : nothing} ${drawChips(listing)}
          <div class="ivy-bar">${drawCount(listing)} ${drawSize(listing)} ${drawSort(listing)}</div>
        </div>
        ${drawResults(listing)} ${drawPager(listing, () => this.#toTop())}
      </div>
      ${listing.opened.filters ? this.#drawSheet(listing) : nothing}
    </div>`;
  }

  #drawFiltersButton(listing: Listing): TemplateResult {
    const chosen = Object.values(listing.choices.facets).flat().length;
    return html`<button
      type="button"
      class="ivy-filters"
      aria-haspopup="dialog"
      @click=${() => this.#openSheet(listing)}
    >
      ${listing.settings!.texts.filters} ${chosen > 0 ? html`<span class="ivy-badge">${chosen}</span>` : nothing}
    </button>`;
  }

  #drawSheet(listing: Listing): unknown {
    const close = () => this.#closeSheet(listing);
    const show = () => {
      if (listing.waits) void listing.apply();
      close();
    };
    return withLater(
      () => this.#showSheet(),
      (later) => later.drawSheet(html, listing.settings!.texts, drawFacets(listing), showText(listing), close, show),
    );
  }

  #showSheet(): void {
    this.draw();
    this.querySelector<HTMLDialogElement>('.ivy-sheet:not([open])')?.showModal();
  }

  #openSheet(listing: Listing): void {
    listing.opened.filters = true;
    listing.redraw();
    this.#showSheet();
  }

  #closeSheet(listing: Listing): void {
    listing.opened.filters = false;
    listing.redraw();
    this.draw();
    this.querySelector<HTMLElement>('.ivy-filters')?.focus({ preventScroll: true });
  }

  /** After a change of page one reads from the top. */
  #toTop(): void {
    const main = this.querySelector<HTMLElement>('.ivy-main');
    main?.scrollIntoView({ block: 'start', behavior: 'auto' });
    main?.focus({ preventScroll: true });
  }

  #measure(width: number): void {
    this.toggleAttribute('data-wide', width >= wideFrom);
  }

  /** What stands below it stays where it is when an answer comes late, and moves only with what a visitor does. */
  protected override draw(): void {
    const late = this.listing?.late ?? 0;
    if (late > this.#late) this.#height = this.querySelector<HTMLElement>('.ivy-frame')?.offsetHeight ?? 0;
    else if (this.listing?.waiting) this.#height = 0;
    this.#late = late;
    super.draw();
    this.setAttribute('data-status', this.listing?.status ?? 'loading');
  }
}

export class IvyFacets extends Part {
  protected override render(): unknown {
    return this.listing ? drawFacets(this.listing) : nothing;
  }
}

export class IvyFacet extends Part {
  static override readonly observedAttributes = [...Part.observedAttributes, 'key'];

  protected override render(): unknown {
    return this.listing ? drawFacet(this.listing, this.getAttribute('key') ?? '') : nothing;
  }
}

export class IvyChips extends Part {
  protected override render(): unknown {
    return this.listing ? drawChips(this.listing) : nothing;
  }
}

export class IvyCount extends Part {
  protected override render(): unknown {
    return this.listing ? drawCount(this.listing) : nothing;
  }
}

export class IvySort extends Part {
  protected override render(): unknown {
    return this.listing ? drawSort(this.listing) : nothing;
  }
}

export class IvyResults extends Part {
  protected override render(): unknown {
    return this.listing ? drawResults(this.listing) : nothing;
  }
}

export class IvyPager extends Part {
  protected override render(): unknown {
    return this.listing ? drawPager(this.listing, () => {}) : nothing;
  }
}
