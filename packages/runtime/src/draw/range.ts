import { fill, zoneDays } from '@ivy/core';
import { barsOf, choose, dayExample, endsOf, isDay, type FacetView, type RangeControl } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';
import { partId } from './part-id.js';
import { withLater } from './with-later.js';

/** What is drawn of a range, and how an end of it is set. */
export interface Drawn {
  listing: Listing;
  facet: FacetView;
  control: RangeControl;
  /** As they stand this moment, which a thumb that moves is ahead of. */
  from: string;
  to: string;
  set: (from: string, to: string) => void;
}

/** Two ends to set, by typing or by two thumbs under a picture of where the posts are. */
export function drawRange(listing: Listing, facet: FacetView): TemplateResult {
  const control = facet.control as RangeControl;
  const sliding = listing.opened.sliding.get(facet.key);
  const [from, to] = sliding === undefined ? [control.from, control.to] : endsOf(sliding);
  const set = (low: string, high: string) => {
    listing.opened.sliding.delete(facet.key);
    const value = low === '' && high === '' ? [] : [`${low || '..'}/${high || '..'}`];
    void listing.pick(choose(listing.choices, facet.key, value));
  };
  const drawn: Drawn = { listing, facet, control, from, to, set };
  if (control.isOne) return html`${drawHistogram(drawn)} ${drawDay(drawn)} ${drawPresets(drawn)}`;
  return html`${drawHistogram(drawn)} ${drawThumbs(drawn)}
    <div class="ivy-ends">
      ${control.ends.map(({ end, label }) => (control.of === 'numbers' ? drawNumberEnd(drawn, end, label) : drawDayEnd(drawn, end, label)))}
    </div>
    ${drawBadDay(drawn, 'from')} ${drawBadDay(drawn, 'to')} ${drawPresets(drawn)}`;
}

/** Sets one end and leaves the other. */
function setEnd({ from, to, set }: Drawn, end: 'from' | 'to', value: string): void {
  if (end === 'from') set(value, to);
  else set(from, value);
}

/** What stands in the box of an end while it is being typed in, which no answer that comes late may change. */
function typedAt({ listing, facet }: Drawn, end: 'from' | 'to') {
  const { typed } = listing.opened;
  const place = `${facet.key} ${end}`;
  return {
    place,
    text: typed.get(place),
    type: (event: Event) => typed.set(place, (event.target as HTMLInputElement).value),
    done: () => typed.delete(place),
  };
}

function drawNumberEnd(drawn: Drawn, end: 'from' | 'to', label: string): TemplateResult {
  const { bounds } = drawn.control;
  const { text, type, done } = typedAt(drawn, end);
  const take = (event: Event) => {
    done();
    setEnd(drawn, end, (event.target as HTMLInputElement).value);
  };
  return html`<label class="ivy-end">
    <span>${label}</span>
    <input
      type="number"
      inputmode="decimal"
      class="ivy-input"
      step="any"
      placeholder=${bounds ? String(bounds[end]) : nothing}
      .value=${live(text ?? drawn[end])}
      @input=${type}
      @change=${take}
    />
  </label>`;
}

function drawDayEnd(drawn: Drawn, end: 'from' | 'to', label: string): TemplateResult {
  const { listing, facet, control } = drawn;
  const { bounds } = control;
  const value = drawn[end];
  const isTimed = control.of === 'times';
  const typed = typedAt(drawn, end);
  const { place } = typed;
  const bad = listing.opened.badDays.get(place);
  const { language, zone, texts } = listing.settings!;
  const take = async (event: Event) => {
    const text = (event.target as HTMLInputElement).value.trim();
    const { readDayInput } = await dayReader();
    typed.done();
    const read = text === '' ? '' : readDayInput(text, language, zoneDays(zone).dayAt(Date.now()), isTimed);
    // what can't be read stays for the visitor to mend, and nothing is filtered by it
    if (read === null) listing.opened.badDays.set(place, text);
    else listing.opened.badDays.delete(place);
    if (read === null || read === value) listing.redraw();
    else setEnd(drawn, end, read);
  };
  const pick = (event: Event) => {
    listing.opened.badDays.delete(place);
    setEnd(drawn, end, (event.target as HTMLInputElement).value);
  };
  const openCalendar = (event: Event) => {
    const end = (event.currentTarget as HTMLElement).parentElement!;
    end.querySelector<HTMLInputElement>('.ivy-picker')!.showPicker?.();
  };
  return html`<div class="ivy-end">
    <label>
      <span>${label}</span>
      <input
        type="text"
        class="ivy-input"
        autocomplete="off"
        maxlength="40"
        placeholder=${bounds ? bounds[end] : '2026-03-01'}
        aria-invalid=${bad !== undefined}
        aria-describedby=${bad === undefined ? nothing : partId(listing, facet, `bad-${end}`)}
        .value=${live(typed.text ?? bad ?? value.replace('T', ' '))}
        @focus=${dayReader}
        @input=${typed.type}
        @change=${take}
      />
    </label>
    <button type="button" class="ivy-calendar" aria-label="${label}: ${texts.day}" @click=${openCalendar}>
      <span aria-hidden="true"></span>
    </button>
    <input
      type=${isTimed ? 'datetime-local' : 'date'}
      class="ivy-picker"
      tabindex="-1"
      aria-hidden="true"
      min=${bounds?.from ?? nothing}
      max=${bounds?.to ?? nothing}
      .value=${live(isTimed || isDay(value) ? value : '')}
      @change=${pick}
    />
  </div>`;
}

/** What reads days as people write them: fetched by whoever goes to such a box. */
const dayReader = () => import('@ivy/view/day-input');

/** What is said of an end that can't be read. */
function drawBadDay({ listing, facet, control }: Drawn, end: 'from' | 'to'): TemplateResult | typeof nothing {
  const value = listing.opened.badDays.get(`${facet.key} ${end}`);
  if (value === undefined) return nothing;
  const { texts, language } = listing.settings!;
  const bound = control.bounds?.[end];
  const example = dayExample(language, typeof bound === 'string' ? bound : undefined);
  return html`<p class="ivy-bad" id=${partId(listing, facet, `bad-${end}`)} role="alert">
    ${fill(texts.badDay, { value, example })}
  </p>`;
}

/** One day and not two ends. */
function drawDay({ control, from, set }: Drawn): TemplateResult {
  const pick = (event: Event) => {
    const { value } = event.target as HTMLInputElement;
    set(value, value);
  };
  return html`<input
    type="date"
    class="ivy-input"
    aria-label=${control.label}
    min=${control.bounds?.from ?? nothing}
    max=${control.bounds?.to ?? nothing}
    .value=${live(from)}
    @change=${pick}
  />`;
}

/** Thumbs on a track. Until what draws them is there they have their room. */
function drawThumbs(drawn: Drawn): TemplateResult | typeof nothing {
  const { bounds, buckets } = drawn.control;
  if (!bounds || buckets.length < 2) return nothing;
  const thumbs = withLater(
    () => drawn.listing.redraw(),
    (later) => later.drawThumbs({ html, live, nothing }, drawn),
  );
  return thumbs === nothing ? html`<div class="ivy-slider"></div>` : thumbs;
}

function drawHistogram({ control, from, to }: Drawn): TemplateResult | typeof nothing {
  if (control.buckets.length < 2) return nothing;
  return html`<div class="ivy-histogram" aria-hidden="true">
    ${barsOf(control.buckets, control.of, from, control.isOne ? from : to).map(
      ({ height, isIn }) => html`<span class=${isIn ? 'ivy-bar-in' : ''} style="height:${height}%"></span>`,
    )}
  </div>`;
}

/** Ranges to press. The one that is chosen shows it; pressed again it is taken back. */
function drawPresets({ listing, facet, control }: Drawn): TemplateResult | typeof nothing {
  if (control.presets.length === 0) return nothing;
  return html`<div class="ivy-buttons ivy-presets" role="group" aria-label=${control.presetsLabel}>
    ${control.presets.map(({ label, on, link }) => {
      const pick = () => {
        listing.opened.forgetTyped(facet.key);
        void listing.pick(link.choices);
      };
      return html`<button type="button" class="ivy-button" aria-pressed=${on} @click=${pick}>${label}</button>`;
    })}
  </div>`;
}
