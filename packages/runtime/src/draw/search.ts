import { choose, type FacetView, type TextControl } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';

/** How long typing must pause before it is asked. */
const pause = 180;

let typing: ReturnType<typeof setTimeout> | undefined;

/** A search box that answers as one types. */
export function drawSearch(listing: Listing, facet: FacetView): TemplateResult {
  const control = facet.control as TextControl;
  const text = listing.opened.typed.get(facet.key) ?? control.text;
  const ask = (value: string, how: 'typing' | 'push') => {
    clearTimeout(typing);
    const { choices } = listing;
    if ((choices.facets[facet.key]?.[0] ?? '') === value.trim()) return;
    void listing.pick(choose(choices, facet.key, value.trim() === '' ? [] : [value.trim()]), how);
  };
  const type = (event: Event) => {
    const { value } = event.target as HTMLInputElement;
    // what is in the box is the visitor's: no answer that comes late may change it under their hands
    listing.opened.typed.set(facet.key, value);
    clearTimeout(typing);
    typing = setTimeout(() => ask(value, 'typing'), pause);
    listing.redraw();
  };
  const done = (event: Event) => {
    ask((event.target as HTMLInputElement).value, 'typing');
    listing.opened.typed.delete(facet.key);
    listing.endTyping();
  };
  const clear = (event: Event) => {
    listing.opened.typed.delete(facet.key);
    ask('', 'push');
    (event.currentTarget as HTMLElement).parentElement?.querySelector('input')?.focus();
  };
  return html`<div class="ivy-search">
    <input
      type="search"
      class="ivy-input"
      maxlength="200"
      autocomplete="off"
      spellcheck="false"
      aria-label=${control.label}
      .value=${live(text)}
      @input=${type}
      @change=${done}
    />
    ${
      text === ''
        ? nothing
        : html`<button type="button" class="ivy-search-clear" aria-label=${control.clear} @click=${clear}>
            <span aria-hidden="true" class="ivy-cross"></span>
          </button>`
    }
  </div>`;
}

/**
 * A slash takes a visitor to the search box, as on many pages, unless they are writing or the page has its own use
 * for it. Once a page.
 */
export function focusOnSlash(): void {
  document.addEventListener('keydown', (event) => {
    if (event.key !== '/' || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = event.composedPath()[0];
    if (at instanceof HTMLElement && (at.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName))) return;
    const box = [...document.querySelectorAll<HTMLElement>('.ivy-search .ivy-input')].find(
      (one) => one.getClientRects().length > 0,
    );
    if (!box) return;
    event.preventDefault();
    box.focus();
  });
}
