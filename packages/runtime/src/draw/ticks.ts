import { fill } from '@ivy/core';
import type { FacetView, OptionView, TicksControl } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import { repeat } from 'lit-html/directives/repeat.js';
import type { Listing } from '../listing/listing.js';
import { drawFind, drawMoreTerms, drawNone } from './find.js';
import { partId, pickOption } from './part-id.js';
import { drawCount } from './parts.js';

/** Options shown of a long list before a visitor asks for more. */
const shortList = 8;
/** A tree of so few starts with all branches open. */
const smallTree = 12;

/** Ticks or one-of marks, in a list or a tree. */
export function drawTicks(listing: Listing, facet: FacetView): TemplateResult {
  const control = facet.control as TicksControl;
  const { isTree, find } = control;
  const finding = (find?.text ?? '').trim() !== '';
  const isLong = !isTree && control.options.length > shortList + 2;
  const all = finding || listing.opened.lists.has(facet.key);
  const options =
    isTree && !finding
      ? inOpenBranches(listing, facet, control)
      : isLong && !all
        ? control.options.filter((option, i) => i < shortList || option.chosen)
        : control.options;
  const parents = isTree ? new Set(control.options.map((option) => option.parent)) : null;
  return html`${drawFind(listing, facet, find)}
    <ul class="ivy-options" data-tree=${isTree}>
      ${control.all && !finding ? drawAll(listing, facet, control.all) : nothing}
      ${repeat(
        options,
        (option) => option.value,
        (option) => drawTick(listing, facet, control, option, !finding && (parents?.has(option.value) ?? false)),
      )}
    </ul>
    ${drawNone(find?.none ?? null)} ${drawMoreTerms(find)}
    ${isLong && !finding ? drawMore(listing, facet, control.options.length - options.length) : nothing}`;
}

/** Options of a tree whose branches are all open. A branch with something chosen in it is open on arrival. */
function inOpenBranches(listing: Listing, facet: FacetView, { options }: TicksControl): OptionView[] {
  const open = new Set<string>();
  return options.filter((option) => {
    const shown = option.parent === null || open.has(option.parent);
    if (shown && isOpen(listing, facet, options.length, option)) open.add(option.value);
    return shown;
  });
}

function isOpen(listing: Listing, facet: FacetView, size: number, { value, partly }: OptionView): boolean {
  return listing.opened.branches.get(`${facet.key} ${value}`) ?? (partly || size <= smallTree);
}

function drawMore(listing: Listing, facet: FacetView, rest: number): TemplateResult {
  const { texts } = listing.settings!;
  const open = listing.opened.lists.has(facet.key);
  const flip = () => {
    if (open) listing.opened.lists.delete(facet.key);
    else listing.opened.lists.add(facet.key);
    listing.redraw();
  };
  return html`<button type="button" class="ivy-more" aria-expanded=${open} @click=${flip}>
    ${open ? texts.fewer : fill(texts.more, { n: rest })}
  </button>`;
}

function drawTick(
  listing: Listing,
  facet: FacetView,
  { single, isTree, options }: TicksControl,
  option: OptionView,
  isParent: boolean,
): TemplateResult {
  const pick = () => pickOption(listing, facet, option, single);
  // a second press on a chosen radio clears it, which radios alone do not do
  const clear = (event: Event) => {
    if (!single || !option.chosen) return;
    event.preventDefault();
    pick();
  };
  // nor does Space, which presses whatever else has the focus
  const press = (event: KeyboardEvent) => {
    if (event.key === ' ') clear(event);
  };
  const branch = isParent ? drawBranch(listing, facet, options.length, option) : html`<span class="ivy-branch"></span>`;
  return html`<li class="ivy-option" data-depth=${option.depth} style="--ivy-depth:${option.depth}">
    ${isTree ? branch : nothing}
    <label class=${option.muted ? 'ivy-tick ivy-muted' : 'ivy-tick'}>
      <input
        type=${single ? 'radio' : 'checkbox'}
        name=${partId(listing, facet, 'one')}
        .value=${option.value}
        .checked=${live(option.chosen)}
        .indeterminate=${live(option.partly)}
        @change=${pick}
        @click=${clear}
        @keydown=${press}
      />
      <span class="ivy-label">${option.label}</span>
      ${drawCount(option)}
    </label>
  </li>`;
}

/** The way back to all: one of several can't be let go otherwise by who does not know that a second press does it. */
function drawAll(listing: Listing, facet: FacetView, all: NonNullable<TicksControl['all']>): TemplateResult {
  return html`<li class="ivy-option">
    <label class="ivy-tick">
      <input
        type="radio"
        name=${partId(listing, facet, 'one')}
        value=""
        .checked=${live(all.chosen)}
        @change=${() => void listing.pick(all.link.choices)}
      />
      <span class="ivy-label">${all.label}</span>
    </label>
  </li>`;
}

/** Opens a branch without choosing anything. */
function drawBranch(listing: Listing, facet: FacetView, size: number, option: OptionView): TemplateResult {
  const open = isOpen(listing, facet, size, option);
  const flip = () => {
    listing.opened.branches.set(`${facet.key} ${option.value}`, !open);
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
