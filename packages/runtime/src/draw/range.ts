import {
  dayExample,
  endsOf,
  endText,
  fill,
  isDay,
  presetRange,
  readDayInput,
  readInterval,
  zoneDays,
  type DateFacetAnswer,
  type FacetSettings,
  type NumberFacetAnswer,
} from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { choose } from '../listing/choices.js';
import type { Listing } from '../listing/listing.js';
import { partId } from './option-parts.js';
import { drawSlider, type SliderRange } from './slider.js';

type RangeAnswer = DateFacetAnswer | NumberFacetAnswer;
type Bucket = { from: string | number; to: string | number; count: number };

/** Two ends to set, by typing or by two thumbs under a picture of where the posts are. */
export function drawRange(listing: Listing, facet: RangeAnswer, settings: FacetSettings): TemplateResult {
  const [from, to] = endsOf(listing.sliding.get(facet.key) ?? listing.choices.facets[facet.key]?.[0]);
  const set = (ends: [string, string]) => {
    listing.sliding.delete(facet.key);
    const value = ends.every((end) => end === '') ? [] : [`${ends[0] || '..'}/${ends[1] || '..'}`];
    void listing.pick(choose(listing.choices, facet.key, value));
  };
  if (facet.kind === 'date-range' && settings.pick === 'day') return drawDay(listing, facet, settings, from, set);
  return html`${drawHistogram(facet, from, to)} ${drawThumbs(listing, facet, settings, from, to, set)}
    <div class="ivy-ends">
      ${drawEnd(listing, facet, settings, 'from', from, (value) => set([value, to]))}
      ${drawEnd(listing, facet, settings, 'to', to, (value) => set([from, value]))}
    </div>
    ${drawBadDay(listing, facet, 'from')} ${drawBadDay(listing, facet, 'to')}
    ${drawPresets(listing, facet, settings, from, to)}`;
}

function drawEnd(
  listing: Listing,
  facet: RangeAnswer,
  settings: FacetSettings,
  end: 'from' | 'to',
  value: string,
  onSet: (value: string) => void,
): TemplateResult {
  const { texts } = listing.settings!;
  const label = texts[end];
  if (facet.kind === 'number-range') {
    return html`<label class="ivy-end">
      <span>${label}${settings.unit ? html` (${settings.unit})` : nothing}</span>
      <input
        type="number"
        inputmode="decimal"
        class="ivy-input"
        step="any"
        placeholder=${facet.bounds ? String(facet.bounds[end]) : nothing}
        .value=${live(value)}
        @change=${(event: Event) => onSet((event.target as HTMLInputElement).value)}
      />
    </label>`;
  }
  const place = `${facet.key} ${end}`;
  const bad = listing.badDays.get(place);
  const { language, zone } = listing.settings!;
  const type = (event: Event) => {
    const text = (event.target as HTMLInputElement).value.trim();
    const read = text === '' ? '' : readDayInput(text, language, zoneDays(zone).dayAt(Date.now()));
    // what can't be read stays for the visitor to mend, and nothing is filtered by it
    if (read === null) listing.badDays.set(place, text);
    else listing.badDays.delete(place);
    if (read === null || read === value) listing.redraw();
    else onSet(read);
  };
  const pick = (event: Event) => {
    listing.badDays.delete(place);
    onSet((event.target as HTMLInputElement).value);
  };
  const words = partId(listing, facet, `bad-${end}`);
  const openCalendar = (event: Event) => {
    const box = (event.currentTarget as HTMLElement).parentElement!.querySelector<HTMLInputElement>(
      'input[type=date]',
    )!;
    box.showPicker?.();
  };
  return html`<div class="ivy-end">
    <label>
      <span>${label}</span>
      <input
        type="text"
        class="ivy-input"
        autocomplete="off"
        maxlength="40"
        placeholder=${facet.bounds ? facet.bounds[end] : '2026-03-01'}
        aria-invalid=${bad !== undefined}
        aria-describedby=${bad === undefined ? nothing : words}
        .value=${live(bad ?? value)}
        @change=${type}
      />
    </label>
    <button type="button" class="ivy-calendar" aria-label="${label}: ${texts.day}" @click=${openCalendar}>
      <span aria-hidden="true"></span>
    </button>
    <input
      type="date"
      class="ivy-picker"
      tabindex="-1"
      aria-hidden="true"
      min=${facet.bounds?.from ?? nothing}
      max=${facet.bounds?.to ?? nothing}
      .value=${live(isDay(value) ? value : '')}
      @change=${pick}
    />
  </div>`;
}

/** What is said of an end that can't be read. */
function drawBadDay(listing: Listing, facet: RangeAnswer, end: 'from' | 'to'): TemplateResult | typeof nothing {
  const value = listing.badDays.get(`${facet.key} ${end}`);
  if (facet.kind !== 'date-range' || value === undefined) return nothing;
  const { texts, language } = listing.settings!;
  const words = fill(texts.badDay, { value, example: dayExample(language, facet.bounds?.[end]) });
  return html`<p class="ivy-bad" id=${partId(listing, facet, `bad-${end}`)} role="alert">${words}</p>`;
}

/** One day and not two ends. */
function drawDay(
  listing: Listing,
  facet: DateFacetAnswer,
  settings: FacetSettings,
  from: string,
  set: (ends: [string, string]) => void,
): TemplateResult {
  const pick = (event: Event) => {
    const { value } = event.target as HTMLInputElement;
    set([value, value]);
  };
  return html`${drawHistogram(facet, from, from)}
    <input
      type="date"
      class="ivy-input"
      aria-label=${settings.label}
      min=${facet.bounds?.from ?? nothing}
      max=${facet.bounds?.to ?? nothing}
      .value=${live(from)}
      @change=${pick}
    />
    ${drawPresets(listing, facet, settings, from, from)}`;
}

/** Thumbs go from bar to bar over days, and by steps over numbers. */
function drawThumbs(
  listing: Listing,
  facet: RangeAnswer,
  settings: FacetSettings,
  from: string,
  to: string,
  set: (ends: [string, string]) => void,
): TemplateResult | typeof nothing {
  if (!facet.bounds || facet.buckets.length < 2) return nothing;
  const { texts } = listing.settings!;
  const scale = facet.kind === 'date-range' ? dayScale(facet) : numberScale(facet, settings.step);
  const value = (low: number, high: number): [string, string] => [
    low <= 0 ? '' : scale.from(low),
    high >= scale.steps ? '' : scale.to(high),
  ];
  const range: SliderRange = {
    steps: scale.steps,
    from: from === '' ? 0 : scale.stepOf(from, 'from'),
    to: to === '' ? scale.steps : scale.stepOf(to, 'to'),
    label: (end) => `${settings.label}: ${texts[end]}`,
    text: (end, step) => endText(facet.kind, end === 'from' ? scale.from(step) : scale.to(step), listing.settings!),
    onMove: (low, high) => {
      const [a, b] = value(low, high);
      listing.sliding.set(facet.key, `${a || '..'}/${b || '..'}`);
      listing.redraw();
    },
    onSet: (low, high) => {
      listing.forgetTyped(facet.key);
      set(value(low, high));
    },
  };
  return drawSlider(range);
}

/** Steps of a slider, and what an end at a step stands for. */
interface Scale {
  steps: number;
  from: (step: number) => string;
  to: (step: number) => string;
  stepOf: (value: string, end: 'from' | 'to') => number;
}

function dayScale({ buckets }: DateFacetAnswer): Scale {
  const steps = buckets.length;
  const at = (step: number) => buckets[Math.max(0, Math.min(step, steps - 1))]!;
  return {
    steps,
    from: (step) => at(step).from,
    to: (step) => at(step - 1).to,
    stepOf: (value, end) => {
      const index = buckets.findIndex((bucket) => value <= bucket.to);
      const found = index < 0 ? steps : index;
      return end === 'from' ? found : Math.min(steps, found + 1);
    },
  };
}

function numberScale({ bounds, buckets }: NumberFacetAnswer, given: number | undefined): Scale {
  const low = Math.min(bounds!.from, buckets[0]!.from);
  const high = bounds!.to;
  const whole = buckets.every((bucket) => Number.isInteger(bucket.from) && Number.isInteger(bucket.to));
  const step = given ?? (whole ? 1 : (high - low) / 100);
  const steps = Math.max(1, Math.min(1000, Math.ceil((high - low) / step)));
  const size = (high - low) / steps;
  const at = (n: number) => {
    const number = Math.min(high, low + n * Math.max(step, size));
    return String(whole ? Math.round(number) : Number(number.toFixed(2)));
  };
  return {
    steps,
    from: at,
    to: at,
    stepOf: (value) => Math.max(0, Math.min(steps, Math.round((Number(value) - low) / Math.max(step, size)))),
  };
}

function drawHistogram(facet: RangeAnswer, from: string, to: string): TemplateResult | typeof nothing {
  const buckets: readonly Bucket[] = facet.buckets;
  if (buckets.length < 2) return nothing;
  const most = Math.max(1, ...buckets.map((bucket) => bucket.count));
  const place = (value: string | number) => (facet.kind === 'date-range' ? String(value) : Number(value));
  const isIn = (bucket: Bucket) =>
    (from === '' || place(bucket.to) >= place(from)) && (to === '' || place(bucket.from) <= place(to));
  return html`<div class="ivy-histogram" aria-hidden="true">
    ${buckets.map(
      (bucket) =>
        html`<span
          class=${isIn(bucket) ? 'ivy-bar-in' : ''}
          style="height:${bucket.count === 0 ? 0 : Math.max(6, (100 * bucket.count) / most)}%"
        ></span>`,
    )}
  </div>`;
}

/** Ranges to press. The one that is chosen shows it; pressed again it is taken back. */
function drawPresets(
  listing: Listing,
  facet: RangeAnswer,
  settings: FacetSettings,
  from: string,
  to: string,
): TemplateResult | typeof nothing {
  const presets = settings.presets ?? [];
  if (presets.length === 0) return nothing;
  const today = zoneDays(listing.settings!.zone).dayAt(Date.now());
  return html`<div class="ivy-buttons ivy-presets" role="group" aria-label=${listing.settings!.texts.common}>
    ${presets.map(({ label, range: given }) => {
      const range = presetRange(given, today);
      const ends = readInterval(range, today);
      const on = ends !== null && (ends.from ?? '') === from && (ends.to ?? '') === to;
      const pick = () => {
        listing.forgetTyped(facet.key);
        void listing.pick(choose(listing.choices, facet.key, on ? [] : [range]));
      };
      return html`<button type="button" class="ivy-button" aria-pressed=${on} @click=${pick}>${label}</button>`;
    })}
  </div>`;
}
