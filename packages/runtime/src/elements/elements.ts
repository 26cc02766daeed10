import { html, nothing, type TemplateResult } from 'lit-html';
import { drawChips } from '../draw/chips.js';
import { drawCount, drawSize, drawSort } from '../draw/count-and-sort.js';
import { drawFacet, drawFacets } from '../draw/facets.js';
import { drawPager } from '../paging/paging.js';
import { drawResults } from '../draw/results.js';
import { Part } from './part.js';
import { SheetPart } from './sheet-part.js';

/** Draws the whole of a lens: facets, chips, count line, sort, cards and pager. */
export class IvyLens extends SheetPart {
  /** What a server drew for pages without scripts. It stays until there is something to put in its place. */
  #plain: Element | null = null;
  protected override readonly measured = this;
  /** Late answers that are drawn, and the height in pixels that is kept since the last of them. */
  #late = 0;
  #height = 0;

  override connectedCallback(): void {
    this.#plain = this.querySelector(':scope > [data-plain]');
    super.connectedCallback();
  }

  protected override render(): TemplateResult {
    const listing = this.listing;
    if (!listing || (this.#plain && !listing.answer)) return html``;
    this.#plain?.remove();
    this.#plain = null;
    const { settings, answer, placed } = listing;
    const hasFacets = answer?.facets.some((facet) => facet.visible) ?? listing.shape.hasFacets;
    return html`<div
      class="ivy-frame"
      data-facets=${hasFacets ? placed.facets : 'none'}
      style="min-height:${this.#height}px"
    >
      <div class="ivy-side">${this.isSheetOpen ? nothing : drawFacets(listing)}</div>
      <div class="ivy-main" tabindex="-1">
        <div class="ivy-head">
          ${answer && settings && hasFacets ? this.drawFiltersButton(listing) : nothing} ${drawChips(listing)}
          <div class="ivy-bar">${drawCount(listing)} ${drawSize(listing)} ${drawSort(listing)}</div>
        </div>
        ${drawResults(listing)} ${drawPager(listing, () => this.#toTop())}
      </div>
      ${this.drawSheet(listing)}
    </div>`;
  }

  /** After a change of page one reads from the top. */
  #toTop(): void {
    const main = this.querySelector<HTMLElement>('.ivy-main');
    main?.scrollIntoView({ block: 'start', behavior: 'auto' });
    main?.focus({ preventScroll: true });
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

/** All facets; where they are in a sheet, the button that opens it. */
export class IvyFacets extends SheetPart {
  protected override render(): unknown {
    const { listing } = this;
    if (!listing) return nothing;
    if (listing.placed.facets !== 'sheet' || !listing.answer) return drawFacets(listing);
    return html`${this.drawFiltersButton(listing)} ${this.drawSheet(listing)}`;
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
  static override readonly observedAttributes = [...Part.observedAttributes, 'most'];

  protected override render(): unknown {
    return this.listing ? drawResults(this.listing, Number(this.getAttribute('most')) || undefined) : nothing;
  }
}

export class IvyPager extends Part {
  protected override render(): unknown {
    return this.listing ? drawPager(this.listing, () => {}) : nothing;
  }
}
