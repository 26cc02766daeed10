import {
  fill,
  type FacetAnswer,
  type FacetSettings,
  type Option,
  type Selection,
  type SwitchFacetAnswer,
  type TermFacetAnswer,
} from '@ivy/core';
import { html, type Markup } from './markup.js';
import { switchWord } from './plain-chips.js';
import { figure, type Plain } from './plain-page.js';
import { drawRange } from './plain-ranges.js';

/** The facets as parts of a form. What visitors can't see is sent along as it is. */
export function drawFacets(plain: Plain): Markup[] {
  const { answer, settings, query } = plain;
  return answer.facets.map((facet) => {
    const own = settings.facets.find((one) => one.key === facet.key)!;
    const name = settings.address.prefix + facet.key;
    const waits = own.dependsOn !== '' && !query.selections[own.dependsOn] && !query.selections[own.key];
    // what is marked is kept by scripts, so without them it can only be shown, not changed
    if (!facet.visible || facet.kind === 'favourites' || waits) return hidden(name, query.selections[facet.key], own);
    return html`<fieldset class="ivy-facet" data-facet="${facet.key}" data-kind="${facet.kind}">
      <legend class="ivy-facet-title">${own.label}</legend>
      <div class="ivy-facet-body">${drawControl(plain, facet, own, name)}</div>
    </fieldset>`;
  });
}

function hidden(name: string, selection: Selection | undefined, own: FacetSettings): Markup {
  const values = selection ? valuesOf(selection) : own.start && own.start !== 'either' ? ['either'] : [];
  return html`${values.map((value) => html`<input type="hidden" name="${name}" value="${value}" />`)}`;
}

function valuesOf(selection: Selection): readonly string[] {
  switch (selection.type) {
    case 'terms':
      return selection.terms;
    case 'posts':
      return selection.ids;
    case 'term':
      return [selection.term];
    case 'switch':
      return [selection.on ? 'yes' : 'no'];
    case 'search':
      return [selection.text];
    case 'days':
    case 'numbers':
      return [`${selection.from ?? '..'}/${selection.to ?? '..'}`];
  }
}

function drawControl(plain: Plain, facet: FacetAnswer, own: FacetSettings, name: string): Markup {
  const [chosen = ''] = facet.kind === 'favourites' ? [] : [valueOf(plain, facet.key)];
  switch (facet.kind) {
    case 'search':
      return html`<input class="ivy-input" type="search" name="${name}" value="${chosen}" aria-label="${own.label}" />`;
    case 'date-range':
    case 'number-range':
      return drawRange(plain, facet, own, name, chosen);
    case 'switch':
      return drawSwitch(plain, facet, own, name);
    case 'dropdown':
      return own.single ? drawSelect(plain, facet, own, name) : drawList(plain, facet, own, name);
    case 'favourites':
      return html``;
    case 'checkboxes':
    case 'radios':
    case 'buttons':
    case 'tree':
      return drawList(plain, facet, own, name);
  }
}

function valueOf({ query }: Plain, key: string): string {
  const selection = query.selections[key];
  return selection ? valuesOf(selection).join(',') : '';
}

function drawSwitch(plain: Plain, facet: SwitchFacetAnswer, own: FacetSettings, name: string): Markup {
  const either = own.start && own.start !== 'either' ? 'either' : '';
  const ways = [
    { value: either, label: plain.settings.texts.either, count: null, selected: facet.selected === null },
    ...facet.options.map((option) => ({ ...option, label: switchWord(plain, option.label) })),
  ];
  return html`<ul class="ivy-options">
    ${ways.map(
      (way) =>
        html`<li class="ivy-option">
          <label class="ivy-tick">
            <input type="radio" name="${name}" value="${way.value}" ${way.selected && html` checked`} />
            <span class="ivy-label">${way.label}</span>${way.count !== null && drawCount(plain, own, way.count)}
          </label>
        </li>`,
    )}
  </ul>`;
}

/** What a form calls the box to find terms of a facet in. */
export const nameOfFind = (name: string) => `${name}.find`;

/** The options to draw: where visitors look for some, what is chosen and what was found. */
function optionsOf({ found }: Plain, facet: TermFacetAnswer): readonly Option[] {
  const known = found.get(facet.key);
  if (!known) return facet.options;
  const chosen = facet.options.filter((option) => option.selected);
  return [...chosen, ...known.terms.options.filter((option) => !option.selected)];
}

/** A box to find terms in that are not drawn, and how many those are. */
function drawFind(
  { found, settings }: Plain,
  facet: TermFacetAnswer,
  own: FacetSettings,
  name: string,
): Markup | false {
  if (!facet.more) return false;
  const known = found.get(facet.key);
  const more = known ? known.terms.more : facet.more;
  const label = fill(settings.texts.find, { facet: own.label });
  const figure = new Intl.NumberFormat(settings.language).format(more);
  return html`<input
      class="ivy-input ivy-find"
      type="search"
      name="${nameOfFind(name)}"
      value="${known?.text ?? ''}"
      placeholder="${label}"
      aria-label="${label}"
      maxlength="200"
    />
    ${known?.terms.options.length === 0 && html`<p class="ivy-find-none">${settings.texts.findNone}</p>`}
    ${more > 0 && html`<p class="ivy-more-terms">${fill(settings.texts.moreTerms, { n: figure })}</p>`}`;
}

function drawSelect(plain: Plain, facet: TermFacetAnswer, own: FacetSettings, name: string): Markup {
  return html`${drawFind(plain, facet, own, name)}<select class="ivy-input" name="${name}" aria-label="${own.label}">
      <option value="">${plain.settings.texts.all}</option>
      ${optionsOf(plain, facet).map(
        (option) =>
          html`<option value="${option.value}" ${option.selected && html` selected`}>
            ${'\u2003'.repeat(option.depth)}${option.label}${own.counts && ` (${figure(plain, option.count)})`}
          </option>`,
      )}
    </select>`;
}

function drawList(plain: Plain, facet: TermFacetAnswer, own: FacetSettings, name: string): Markup {
  const type = own.single ? 'radio' : 'checkbox';
  const none = own.single && facet.options.every((option) => !option.selected);
  return html`${drawFind(plain, facet, own, name)}
    <ul class="ivy-options">
      ${
        own.single &&
        html`<li class="ivy-option">
          <label class="ivy-tick"
            ><input type="radio" name="${name}" value="" ${none && html` checked`} />
            <span class="ivy-label">${plain.settings.texts.all}</span></label
          >
        </li>`
      }
      ${optionsOf(plain, facet).map((option) => drawOption(plain, option, own, name, type))}
    </ul>`;
}

function drawOption(plain: Plain, option: Option, own: FacetSettings, name: string, type: string): Markup {
  const tick = own.zero === 'mute' && option.count === 0 && !option.selected ? 'ivy-tick ivy-muted' : 'ivy-tick';
  return html`<li class="ivy-option" style="--ivy-depth:${option.depth}">
    <label class="${tick}">
      <input type="${type}" name="${name}" value="${option.value}" ${option.selected && html` checked`} />
      <span class="ivy-label">${option.label}</span>${drawCount(plain, own, option.count)}
    </label>
  </li>`;
}

function drawCount(plain: Plain, own: FacetSettings, count: number): Markup | false {
  return own.counts && html`<span class="ivy-count">${figure(plain, count)}</span>`;
}
