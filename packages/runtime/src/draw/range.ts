import type { DateFacetAnswer, NumberFacetAnswer, Settings } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { choose } from '../listing/choices.js';
import type { Listing } from '../listing/listing.js';

type RangeAnswer = DateFacetAnswer | NumberFacetAnswer;

/** Two ends to set, under a picture of where the posts are. */
export function drawRange(listing: Listing, facet: RangeAnswer): TemplateResult {
  const { texts } = listing.settings!;
  const [from, to] = endsOf(listing.choices.facets[facet.key]?.[0]);
  const set = (ends: [string, string]) => {
    const value = ends.every((end) => end === '') ? [] : [`${ends[0] || '..'}/${ends[1] || '..'}`];
    void listing.choose(choose(listing.choices, facet.key, value));
  };
  const input = (label: string, value: string, onEnd: (value: string) => [string, string]) =>
    html`<label class="ivy-end">
      <span>${label}</span>
      <input
        type=${facet.kind === 'date-range' ? 'date' : 'number'}
        class="ivy-input"
        step="any"
        min=${facet.bounds?.from ?? nothing}
        max=${facet.bounds?.to ?? nothing}
        .value=${live(value)}
        @change=${(event: Event) => set(onEnd((event.target as HTMLInputElement).value))}
      />
    </label>`;
  return html`${drawHistogram(facet, from, to)}
    <div class="ivy-ends">
      ${input(texts.from, from, (value) => [value, to])} ${input(texts.to, to, (value) => [from, value])}
    </div>`;
}

function drawHistogram(facet: RangeAnswer, from: string, to: string): TemplateResult | typeof nothing {
  const buckets: readonly { from: string | number; to: string | number; count: number }[] = facet.buckets;
  if (buckets.length < 2) return nothing;
  const most = Math.max(1, ...buckets.map((bucket) => bucket.count));
  const place = (value: string | number) => (facet.kind === 'date-range' ? String(value) : Number(value));
  const isIn = (bucket: { from: string | number; to: string | number }) =>
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

/** The ends of a range as its inputs hold them: empty where it is open. */
export function endsOf(value: string | undefined): [from: string, to: string] {
  const [from = '', to = ''] = (value ?? '').split('/');
  return [from === '..' ? '' : from, to === '..' ? '' : to];
}

/** A range in words: “1 Mar – 31 May 2026”, “from 5”, “up to 10”. */
export function rangeText(kind: RangeAnswer['kind'], value: string, settings: Settings): string {
  const [from, to] = endsOf(value);
  const { texts, language } = settings;
  if (kind === 'number-range') {
    const number = (end: string) => new Intl.NumberFormat(language).format(Number(end));
    if (from !== '' && to !== '') return from === to ? number(from) : `${number(from)} – ${number(to)}`;
    return from !== '' ? texts.since.replace('{value}', number(from)) : texts.until.replace('{value}', number(to));
  }
  const format = new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeZone: 'UTC' });
  const day = (end: string) => new Date(`${end}T00:00:00Z`);
  if (from !== '' && to !== '') return format.formatRange(day(from), day(to));
  if (from !== '') return texts.since.replace('{value}', format.format(day(from)));
  return texts.until.replace('{value}', format.format(day(to)));
}
