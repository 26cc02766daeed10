import { fill, type FacetSettings, type Option } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { repeat } from 'lit/directives/repeat.js';
import { choose, toggle } from '../../listing/choices.js';
import type { Listing } from '../../listing/listing.js';
import { drawFind, drawMoreTerms, foundOptions } from '../find.js';
import { drawCount, isChosen, isMuted, partId, type Listed } from '../option-parts.js';

/** Options shown of a long list before a visitor asks for more. */
const shortList = 8;
/** Options from which a list has a box to find one in. */
const findFrom = 13;
/** A tree of so few starts with all branches open. */
const smallTree = 12;
/** Ticks or one-of marks, in a list or a tree. */
export function drawTicks(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const find = (listing.finds.get(facet.key) ?? '').trim();
  const flat = facet.options.every((option) => option.depth === 0);
  const isTree = facet.kind === 'tree' && !flat;
  const isLong = flat && facet.options.length > shortList + 2;
  const all = listing.open.has(facet.key);
  const options =
    find !== ''
      ? foundOptions(listing, facet)
      : isTree
        ? inOpenBranches(listing, facet)
        : isLong && !all
          ? facet.options.filter((option, i) => i < shortList || isChosen(listing, facet, option))
          : facet.options;
  const parents = isTree ? new Set(facet.options.map((option) => option.parent)) : null;
  return html`${facet.options.length >= findFrom ? drawFind(listing, facet, settings) : nothing}
    <ul class="ivy-options" data-tree=${isTree}>
      ${settings.single && find === '' ? drawAll(listing, facet) : nothing}
      ${repeat(
        options,
        (option) => option.value,
        (option) => drawTick(listing, facet, settings, option, parents?.has(option.value) ?? false, find !== ''),
      )}
    </ul>
    <p class="ivy-find-none" role="status">
      ${find !== '' && options.length === 0 ? listing.settings!.texts.findNone : nothing}
    </p>
    ${drawMoreTerms(listing, facet)}
    ${isLong && find === '' ? drawMore(listing, facet, facet.options.length - options.length) : nothing}`;
}

/** Options of a tree whose branches are all open. A branch with something chosen in it is open on arrival. */
function inOpenBranches(listing: Listing, facet: Listed): Option[] {
  const open = new Set<string>();
  return facet.options.filter((option) => {
    const shown = option.parent === null || open.has(option.parent);
    if (shown && isOpen(listing, facet, option)) open.add(option.value);
    return shown;
  });
}

function isOpen(listing: Listing, facet: Listed, option: Option): boolean {
  return listing.branches.get(`${facet.key} ${option.value}`) ?? (option.partly || facet.options.length <= smallTree);
}

function drawMore(listing: Listing, facet: Listed, rest: number): TemplateResult {
  const { texts } = listing.settings!;
  const open = listing.open.has(facet.key);
  const flip = () => {
    if (open) listing.open.delete(facet.key);
    else listing.open.add(facet.key);
    listing.redraw();
  };
  return html`<button type="button" class="ivy-more" aria-expanded=${open} @click=${flip}>
    ${open ? texts.fewer : fill(texts.more, { n: rest })}
  </button>`;
}

function drawTick(
  listing: Listing,
  facet: Listed,
  settings: FacetSettings,
  option: Option,
  isParent: boolean,
  finding: boolean,
): TemplateResult {
  const chosen = isChosen(listing, facet, option);
  const { single } = settings;
  const pick = () => void listing.pick(toggle(listing.choices, facet, option.value, single));
  // a second press on a chosen radio clears it, which radios alone do not do
  const clear = (event: Event) => {
    if (!single || !chosen) return;
    event.preventDefault();
    pick();
  };
  // nor does Space, which presses whatever else has the focus
  const press = (event: KeyboardEvent) => {
    if (event.key === ' ') clear(event);
  };
  const isTree = facet.kind === 'tree';
  return html`<li class="ivy-option" data-depth=${option.depth} style="--ivy-depth:${option.depth}">
    ${isTree ? (isParent && !finding ? drawBranch(listing, facet, option) : html`<span class="ivy-branch"></span>`) : nothing}
    <label class=${isMuted(settings, option, chosen) ? 'ivy-tick ivy-muted' : 'ivy-tick'}>
      <input
        type=${single ? 'radio' : 'checkbox'}
        name=${partId(listing, facet, 'one')}
        .value=${option.value}
        .checked=${live(chosen)}
        .indeterminate=${live(option.partly && !chosen)}
        @change=${pick}
        @click=${clear}
        @keydown=${press}
      />
      <span class="ivy-label">${option.label}</span>
      ${drawCount(listing, settings, option)}
    </label>
  </li>`;
}

/** The way back to all: one of several can't be let go otherwise by who does not know that a second press does it. */
function drawAll(listing: Listing, facet: Listed): TemplateResult {
  const none = (listing.choices.facets[facet.key]?.length ?? 0) === 0;
  return html`<li class="ivy-option">
    <label class="ivy-tick">
      <input
        type="radio"
        name=${partId(listing, facet, 'one')}
        value=""
        .checked=${live(none)}
        @change=${() => void listing.pick(choose(listing.choices, facet.key, []))}
      />
      <span class="ivy-label">${listing.settings!.texts.all}</span>
    </label>
  </li>`;
}

/** Opens a branch without choosing anything. */
function drawBranch(listing: Listing, facet: Listed, option: Option): TemplateResult {
  const open = isOpen(listing, facet, option);
  const flip = () => {
    listing.branches.set(`${facet.key} ${option.value}`, !open);
    listing.redraw();
  };
  return html`<button
    type="button"
    class="ivy-branch"
    aria-expanded=${open}
    aria-label=${fill(listing.settings!.texts.under, { term: option.label })}
    @click=${flip}
  >
    <span class="ivy-chevron" aria-hidden="true"></span>
  </button>`;
}
