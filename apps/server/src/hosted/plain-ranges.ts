import {
  endsOf,
  presetRange,
  readAddress,
  readInterval,
  writeAddress,
  zoneDays,
  type DateFacetAnswer,
  type FacetSettings,
  type Lens,
  type NumberFacetAnswer,
  type Vocabulary,
} from '@ivy/core';
import { html, type Markup } from './markup.js';
import { hrefOf, type Plain } from './plain-page.js';

type RangeFacetAnswer = DateFacetAnswer | NumberFacetAnswer;
type End = 'from' | 'to';

/** What a form calls one end of a range: it can't put two boxes into one parameter, as addresses have them. */
const nameOfEnd = (name: string, end: End) => `${name}.${end}`;

/** A box for each end, or one for a single day, and ready ranges as links. */
export function drawRange(
  plain: Plain,
  facet: RangeFacetAnswer,
  own: FacetSettings,
  name: string,
  chosen: string,
): Markup {
  const [from, to] = endsOf(chosen === '' ? undefined : chosen);
  if (facet.kind === 'date-range' && own.pick === 'day') return drawBox(facet, name, from, own.label);
  const { texts } = plain.settings;
  const unit = own.unit ? ` (${own.unit})` : '';
  const ends: [End, string][] = [
    ['from', from],
    ['to', to],
  ];
  return html`<div class="ivy-ends">
      ${ends.map(
        ([end, value]) =>
          html`<label class="ivy-end"
            ><span>${texts[end]}${unit}</span>${drawBox(facet, nameOfEnd(name, end), value, null)}</label
          >`,
      )}
    </div>
    ${drawPresets(plain, facet, own, name, [from, to])}`;
}

function drawBox(facet: RangeFacetAnswer, name: string, value: string, label: string | null): Markup {
  const isDays = facet.kind === 'date-range';
  return html`<input
    class="ivy-input"
    type="${isDays ? 'date' : 'number'}"
    name="${name}"
    value="${value}"
    ${!isDays && html` step="any"`}${label !== null && html` aria-label="${label}"`}
  />`;
}

function drawPresets(
  plain: Plain,
  facet: RangeFacetAnswer,
  own: FacetSettings,
  name: string,
  [from, to]: [string, string],
): Markup | false {
  const presets = own.presets ?? [];
  if (presets.length === 0) return false;
  const { [facet.key]: _chosen, ...selections } = plain.query.selections;
  const without = hrefOf(plain, { ...plain.query, selections, page: 1 });
  const today = zoneDays(plain.settings.zone).dayAt(plain.now);
  return html`<div class="ivy-buttons ivy-presets" role="group" aria-label="${plain.settings.texts.common}">
    ${presets.map(({ label, range: given }) => {
      const range = presetRange(given, today);
      const ends = readInterval(range, today);
      const isOn = ends !== null && (ends.from ?? '') === from && (ends.to ?? '') === to;
      const href = isOn
        ? without
        : `${without}${without.includes('?') ? '&' : '?'}${encodeURIComponent(name)}=${encodeURI(range)}`;
      return html`<a class="ivy-button" href="${href}" ${isOn && html` aria-current="true"`}>${label}</a>`;
    })}
  </div>`;
}

/**
 * The address that a form with two boxes to a range means, put as all other addresses are.
 * @returns null where the address has no such boxes
 */
export function joinEnds(address: string, lens: Lens, vocabulary: Vocabulary, now: number): string | null {
  const names = lens.facets
    .filter((facet) => facet.kind === 'date-range' || facet.kind === 'number-range')
    .map((facet) => lens.address.prefix + facet.key);
  const parameters = new URLSearchParams(address);
  const inBoxes = names.filter(
    (name) => parameters.has(nameOfEnd(name, 'from')) || parameters.has(nameOfEnd(name, 'to')),
  );
  if (inBoxes.length === 0) return null;
  for (const name of inBoxes) {
    const [from, to] = (['from', 'to'] as const).map((end) => {
      const value = parameters.get(nameOfEnd(name, end))?.trim() ?? '';
      parameters.delete(nameOfEnd(name, end));
      return value;
    });
    if (from || to) parameters.set(name, `${from || '..'}/${to || '..'}`);
  }
  const { query, foreign } = readAddress(parameters.toString(), lens, vocabulary, now);
  return [...foreign, writeAddress(query)].filter((part) => part !== '').join('&');
}
