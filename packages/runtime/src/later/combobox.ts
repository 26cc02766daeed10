import { fill } from '@ivy/core';
import type { ComboboxControl, FacetView, OptionView } from '@ivy/view';
import type { TemplateResult } from 'lit-html';
import { partId, pickOption } from '../draw/part-id.js';
import type { Listing } from '../listing/listing.js';
import type { Lit } from './lit.js';

/** Several of a list, by the combobox pattern of WAI-ARIA: focus stays in the box, arrows move in the list. */
export function drawCombobox({ html, live, nothing }: Lit, listing: Listing, facet: FacetView): TemplateResult {
  const control = facet.control as ComboboxControl;
  const { options, chosen, find } = control;
  const text = find?.text ?? listing.finder.texts.get(facet.key) ?? '';
  const at = listing.opened.combos.get(facet.key);
  const isOpen = at !== undefined;
  const active = isOpen ? options[Math.min(at, options.length - 1)] : undefined;

  const open = (index: number) => {
    listing.opened.combos.set(facet.key, Math.max(0, Math.min(index, options.length - 1)));
    listing.redraw();
  };
  const close = () => {
    listing.opened.combos.delete(facet.key);
    listing.finder.texts.delete(facet.key);
    listing.finder.found.delete(facet.key);
    listing.redraw();
  };
  const pick = (option: OptionView) => pickOption(listing, facet, option, control.single);
  const press = (event: KeyboardEvent) => {
    const last = chosen[chosen.length - 1];
    if (event.key === 'ArrowDown') open(isOpen ? at + 1 : 0);
    else if (event.key === 'ArrowUp') open(isOpen ? at - 1 : options.length - 1);
    else if (event.key === 'Enter' && active) pick(active);
    else if (event.key === 'Escape' && isOpen) close();
    else if (event.key === 'Backspace' && text === '' && last) pick(last);
    else return;
    event.preventDefault();
    event.stopPropagation();
    void scrollTo(event.target as HTMLElement);
  };
  const list = partId(listing, facet, 'list');
  return html`<div class="ivy-combo">
    ${
      chosen.length === 0
        ? nothing
        : html`<ul class="ivy-picked" aria-label=${control.picked}>
            ${chosen.map(
              (option) =>
                html`<li>
                  <button
                    type="button"
                    class="ivy-chip"
                    aria-label=${fill(listing.settings!.texts.remove, { facet: facet.label, value: option.label })}
                    @click=${() => pick(option)}
                  >
                    ${option.label} <span aria-hidden="true" class="ivy-cross"></span>
                  </button>
                </li>`,
            )}
          </ul>`
    }
    <input
      class="ivy-input"
      role="combobox"
      autocomplete="off"
      spellcheck="false"
      aria-label=${facet.label}
      aria-autocomplete="list"
      aria-expanded=${isOpen}
      aria-controls=${list}
      aria-activedescendant=${active ? partId(listing, facet, `at-${active.value}`) : nothing}
      placeholder=${control.placeholder}
      .value=${live(text)}
      @input=${(event: Event) => {
        listing.finder.find(facet.key, (event.target as HTMLInputElement).value);
        open(0);
      }}
      @click=${() => (isOpen ? undefined : open(0))}
      @keydown=${press}
      @blur=${close}
    />
    <ul
      class="ivy-list"
      id=${list}
      role="listbox"
      aria-multiselectable="true"
      aria-label=${facet.label}
      ?hidden=${!isOpen}
    >
      ${
        isOpen
          ? options.map((option) => {
              return html`<li
                id=${partId(listing, facet, `at-${option.value}`)}
                role="option"
                class=${option.muted ? 'ivy-list-option ivy-muted' : 'ivy-list-option'}
                aria-selected=${option.chosen}
                data-active=${option === active}
                style="--ivy-depth:${option.depth}"
                @mousedown=${(event: Event) => {
                  // the box keeps the focus, so that the list stays open
                  event.preventDefault();
                  pick(option);
                }}
              >
                <span class="ivy-label">${option.label}</span>
                ${option.count === null ? nothing : html`<span class="ivy-count">${option.count}</span>`}
              </li>`;
            })
          : nothing
      }
    </ul>
    <p class="ivy-find-none" role="status">${(isOpen && find?.none) || nothing}</p>
    ${find?.more ? html`<p class="ivy-more-terms">${find.more}</p>` : nothing}
  </div>`;
}

/** Brings the option the keyboard is on into view, once it is drawn. */
async function scrollTo(box: HTMLElement): Promise<void> {
  await new Promise(requestAnimationFrame);
  const id = box.getAttribute('aria-activedescendant');
  if (id) document.getElementById(id)?.scrollIntoView({ block: 'nearest' });
}
