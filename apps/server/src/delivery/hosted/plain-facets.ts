import type {
  ComboboxControl,
  FacetView,
  FindView,
  OptionView,
  PressesControl,
  RangeControl,
  SelectsControl,
  TicksControl,
  WayView,
} from '@ivy/view';
import { nameOfEnd } from './join-ends.js';
import { html, type Markup } from './markup.js';

/** The facets as parts of a form. What visitors can't see is sent along as it is. */
export function drawFacets(facets: readonly FacetView[]): Markup[] {
  return facets.map((facet) => {
    // what is marked is kept by scripts, so without them it can only be shown, not changed
    if (!facet.visible || facet.waits || facet.control.form === 'marks') return sentAlong(facet);
    return html`<fieldset class="ivy-facet" data-facet="${facet.key}" data-kind="${facet.kind}">
      <legend class="ivy-facet-title">${facet.label}</legend>
      <div class="ivy-facet-body">${drawControl(facet)}</div>
    </fieldset>`;
  });
}

function sentAlong({ name, sent }: FacetView): Markup {
  return html`${sent.map((value) => html`<input type="hidden" name="${name}" value="${value}" />`)}`;
}

function drawControl(facet: FacetView): Markup {
  const { control, name } = facet;
  switch (control.form) {
    case 'text':
      return html`<input
        class="ivy-input"
        type="search"
        name="${name}"
        value="${control.text}"
        aria-label="${control.label}"
      />`;
    case 'range':
      return drawRange(name, control);
    case 'switch':
    case 'ways':
      return drawWays(name, control.ways);
    case 'selects':
      return drawSelects(name, control);
    case 'ticks':
      return drawTicks(name, control, control.all?.label ?? null);
    case 'combobox':
      return control.single ? drawLongSelect(name, control) : drawTicks(name, control, null);
    case 'presses':
      return control.as === 'pills' ? drawTicks(name, control, null) : drawLinks(facet, control);
    case 'marks':
      return html``;
  }
}

function drawWays(name: string, ways: readonly WayView[]): Markup {
  return html`<ul class="ivy-options">
    ${ways.map(
      (way) =>
        html`<li class="ivy-option">
          <label class="ivy-tick">
            <input type="radio" name="${name}" value="${way.value}" ${way.chosen && html` checked`} />
            <span class="ivy-label">${way.label}</span>${drawCount(way)}
          </label>
        </li>`,
    )}
  </ul>`;
}

/** What a form calls the box to find terms of a facet in. */
export const nameOfFind = (name: string) => `${name}.find`;

/** A box to find terms in that are not drawn, and how many those are. Terms that are drawn need none. */
function drawFind(name: string, isMany: boolean, find: FindView | null): Markup | false {
  if (!find || !isMany) return false;
  return html`<input
      class="ivy-input ivy-find"
      type="search"
      name="${nameOfFind(name)}"
      value="${find.text}"
      placeholder="${find.label}"
      aria-label="${find.label}"
      maxlength="200"
    />
    ${find.none !== null && html`<p class="ivy-find-none">${find.none}</p>`}
    ${find.more !== null && html`<p class="ivy-more-terms">${find.more}</p>`}`;
}

/** What is listed, and what is chosen besides: a form sends only what is in it. */
function withChosen({ options, chosen }: Pick<TicksControl, 'options' | 'chosen'>): readonly OptionView[] {
  const listed = new Set(options.map(({ value }) => value));
  return [...chosen.filter(({ value }) => !listed.has(value)), ...options];
}

function drawSelects(name: string, { lists }: SelectsControl): Markup {
  return html`${lists.map(({ label, any, options }) => drawSelect(name, label, any.label, options))}`;
}

function drawLongSelect(name: string, control: ComboboxControl): Markup {
  return html`${drawFind(name, control.isMany, control.find)}
  ${drawSelect(name, control.label, control.all, withChosen(control))}`;
}

function drawSelect(name: string, label: string, all: string, options: readonly OptionView[]): Markup {
  return html`<select class="ivy-select" name="${name}" aria-label="${label}">
    <option value="">${all}</option>
    ${options.map(
      (option) =>
        html`<option value="${option.value}" ${option.chosen && html` selected`}>
          ${'\u2003'.repeat(option.depth)}${option.label}${option.count !== null && ` (${option.count})`}
        </option>`,
    )}
  </select>`;
}

function drawTicks(
  name: string,
  control: Pick<TicksControl, 'single' | 'options' | 'chosen' | 'find' | 'isMany'>,
  all: string | null,
): Markup {
  const type = control.single ? 'radio' : 'checkbox';
  const none = control.chosen.length === 0;
  return html`${drawFind(name, control.isMany, control.find)}
    <ul class="ivy-options">
      ${
        all !== null &&
        html`<li class="ivy-option">
          <label class="ivy-tick"
            ><input type="radio" name="${name}" value="" ${none && html` checked`} />
            <span class="ivy-label">${all}</span></label
          >
        </li>`
      }
      ${withChosen(control).map((option) => drawTick(name, type, option))}
    </ul>`;
}

function drawTick(name: string, type: string, option: OptionView): Markup {
  return html`<li class="ivy-option" style="--ivy-depth:${option.depth}">
    <label class="${option.muted ? 'ivy-tick ivy-muted' : 'ivy-tick'}">
      <input type="${type}" name="${name}" value="${option.value}" ${option.chosen && html` checked`} />
      <span class="ivy-label">${option.label}</span>${drawCount(option)}
    </label>
  </li>`;
}

/** Links that choose by being followed. What they have chosen goes along with the rest of the form. */
function drawLinks(facet: FacetView, { as, row, options }: PressesControl): Markup {
  return html`${sentAlong(facet)}
    <div class="ivy-buttons" data-as="${as}" data-row="${row}">
      ${options.map(
        (option) =>
          html`<a
            class="${option.muted ? 'ivy-link ivy-muted' : 'ivy-link'}"
            href="${option.link.href}"
            aria-current="${option.chosen ? 'true' : 'false'}"
            data-long="${String(option.label.length > 1)}"
            ><span>${option.label}</span> ${drawCount(option)}</a
          >`,
      )}
    </div>`;
}

/** A box for each end, or one for a single day, and ready ranges as links. */
function drawRange(name: string, control: RangeControl): Markup {
  if (control.isOne) return drawEnd(control, name, control.from, control.label);
  return html`<div class="ivy-ends">
      ${control.ends.map(
        ({ end, label, value }) =>
          html`<label class="ivy-end"
            ><span>${label}</span>${drawEnd(control, nameOfEnd(name, end), value, null)}</label
          >`,
      )}
    </div>
    ${
      control.presets.length > 0 &&
      html`<div class="ivy-buttons ivy-presets" role="group" aria-label="${control.presetsLabel}">
        ${control.presets.map(
          ({ label, on, link }) =>
            html`<a class="ivy-button" href="${link.href}" ${on && html` aria-current="true"`}>${label}</a>`,
        )}
      </div>`
    }`;
}

const inputTypes: Record<RangeControl['of'], string> = { days: 'date', times: 'datetime-local', numbers: 'number' };

function drawEnd({ of }: RangeControl, name: string, value: string, label: string | null): Markup {
  return html`<input
    class="ivy-input"
    type="${inputTypes[of]}"
    name="${name}"
    value="${value}"
    ${of === 'numbers' && html` step="any"`}${label !== null && html` aria-label="${label}"`}
  />`;
}

function drawCount({ count }: { count: string | null }): Markup | false {
  return count !== null && html`<span class="ivy-count">${count}</span>`;
}
