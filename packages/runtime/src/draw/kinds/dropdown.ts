import { fill, type FacetSettings, type Option } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { repeat } from 'lit/directives/repeat.js';
import { choose, toggle } from '../../listing/choices.js';
import type { Listing } from '../../listing/listing.js';
import { drawCount, figure, isChosen, isMuted, partId, type Listed } from '../option-parts.js';
import { drawMoreTerms, foundOptions, moreOf } from '../find.js';

/** The browser's own list for one, a box to type in for several. */
export function drawDropdown(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  // a list of the browser's own can't hold terms that are yet to be found
  return settings.single && moreOf(facet) === 0
    ? drawSelect(listing, facet, settings)
    : drawCombobox(listing, facet, settings);
}

function drawSelect(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const chosen = listing.choices.facets[facet.key]?.[0] ?? '';
  const pick = (event: Event) => {
    const { value } = event.target as HTMLSelectElement;
    void listing.pick(choose(listing.choices, facet.key, value === '' ? [] : [value]));
  };
  return html`<select class="ivy-select" aria-label=${facet.label} .value=${live(chosen)} @change=${pick}>
    <option value="" ?selected=${chosen === ''}>${listing.settings!.texts.all}</option>
    ${facet.options.map(
      (option) =>
        html`<option value=${option.value} ?selected=${option.value === chosen}>
          ${'\u2003'.repeat(option.depth)}${option.label}${settings.counts ? ` (${figure(listing, option.count)})` : ''}
        </option>`,
    )}
  </select>`;
}

/** Several of a list, by the combobox pattern of WAI-ARIA: focus stays in the box, arrows move in the list. */
function drawCombobox(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const { texts, language } = listing.settings!;
  const text = listing.finds.get(facet.key) ?? '';
  const at = listing.combos.get(facet.key);
  const isOpen = at !== undefined;
  const options = foundOptions(listing, facet);
  const active = isOpen ? options[Math.min(at, options.length - 1)] : undefined;
  const chosen = facet.options.filter((option) => isChosen(listing, facet, option));

  const open = (index: number) => {
    listing.combos.set(facet.key, Math.max(0, Math.min(index, options.length - 1)));
    listing.redraw();
  };
  const close = () => {
    listing.combos.delete(facet.key);
    listing.finds.delete(facet.key);
    listing.found.delete(facet.key);
    listing.redraw();
  };
  const pick = (option: Option) => void listing.pick(toggle(listing.choices, facet, option.value, settings.single));
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
        : html`<ul
            class="ivy-picked"
            aria-label=${fill(texts.picked, { n: new Intl.NumberFormat(language).format(chosen.length) })}
          >
            ${repeat(
              chosen,
              (option) => option.value,
              (option) =>
                html`<li>
                  <button
                    type="button"
                    class="ivy-chip"
                    aria-label=${fill(texts.remove, { facet: facet.label, value: option.label })}
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
      placeholder=${texts.choose}
      .value=${live(text)}
      @input=${(event: Event) => {
        listing.find(facet.key, (event.target as HTMLInputElement).value);
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
              const isOn = isChosen(listing, facet, option);
              return html`<li
                id=${partId(listing, facet, `at-${option.value}`)}
                role="option"
                class=${isMuted(settings, option, isOn) ? 'ivy-list-option ivy-muted' : 'ivy-list-option'}
                aria-selected=${isOn}
                data-active=${option === active}
                style="--ivy-depth:${option.depth}"
                @mousedown=${(event: Event) => {
                  // the box keeps the focus, so that the list stays open
                  event.preventDefault();
                  pick(option);
                }}
              >
                <span class="ivy-label">${option.label}</span> ${drawCount(listing, settings, option)}
              </li>`;
            })
          : nothing
      }
    </ul>
    <p class="ivy-find-none" role="status">${isOpen && options.length === 0 ? texts.findNone : nothing}</p>
    ${drawMoreTerms(listing, facet)}
  </div>`;
}

/** Brings the option the keyboard is on into view, once it is drawn. */
async function scrollTo(box: HTMLElement): Promise<void> {
  await new Promise(requestAnimationFrame);
  const id = box.getAttribute('aria-activedescendant');
  if (id) document.getElementById(id)?.scrollIntoView({ block: 'nearest' });
}
