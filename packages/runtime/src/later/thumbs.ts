import type { Bucket } from '@ivy/core';
import { endText, type RangeControl } from '@ivy/view';
import type { TemplateResult } from 'lit-html';
import type { Drawn } from '../draw/range.js';
import type { Lit } from './lit.js';

/** Thumbs go from bar to bar over days, and by steps over numbers. */
export function drawThumbs(lit: Lit, { listing, facet, control, from, to, set }: Drawn): TemplateResult {
  const { texts } = listing.settings!;
  const scale = control.of === 'numbers' ? numberScale(control) : dayScale(control);
  const value = (low: number, high: number): [string, string] => [
    // an end whose thumb stays where it was keeps its value, which may lie within a step
    low === range.from ? from : low <= 0 ? '' : scale.from(low),
    high === range.to ? to : high >= scale.steps ? '' : scale.to(high),
  ];
  const range: SliderRange = {
    steps: scale.steps,
    from: from === '' ? 0 : scale.stepOf(from, 'from'),
    to: to === '' ? scale.steps : scale.stepOf(to, 'to'),
    label: (end) => `${control.label}: ${texts[end]}`,
    text: (end, step) => endText(control.of, end === 'from' ? scale.from(step) : scale.to(step), listing.settings!),
    onMove: (low, high) => {
      const [a, b] = value(low, high);
      listing.opened.sliding.set(facet.key, `${a || '..'}/${b || '..'}`);
      listing.redraw();
    },
    onSet: (low, high) => {
      listing.opened.forgetTyped(facet.key);
      set(...value(low, high));
    },
  };
  return drawSlider(lit, range);
}

/** Steps of a slider, and what an end at a step stands for. */
interface Scale {
  steps: number;
  from: (step: number) => string;
  to: (step: number) => string;
  stepOf: (value: string, end: 'from' | 'to') => number;
}

function dayScale(control: RangeControl): Scale {
  const buckets = control.buckets as readonly Bucket<string>[];
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

function numberScale(control: RangeControl): Scale {
  const buckets = control.buckets as readonly Bucket<number>[];
  const bounds = control.bounds as { from: number; to: number };
  const low = Math.min(bounds.from, buckets[0]!.from);
  const high = bounds.to;
  const whole = buckets.every((bucket) => Number.isInteger(bucket.from) && Number.isInteger(bucket.to));
  const step = control.step ?? (whole ? 1 : (high - low) / 100);
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

/** A range as a slider moves it: whole steps from 0 to `steps`. */
interface SliderRange {
  steps: number;
  from: number;
  to: number;
  /** What an end is called and how it reads where it stands. */
  label: (end: 'from' | 'to') => string;
  text: (end: 'from' | 'to', step: number) => string;
  /** While a thumb moves. */
  onMove: (from: number, to: number) => void;
  /** When it is let go. */
  onSet: (from: number, to: number) => void;
}

/**
 * Two thumbs on one track: two of the browser's own sliders, one over the other, so that keys, touch and screen readers
 * work as everywhere. A thumb never passes the other.
 */
function drawSlider({ html, live }: Lit, range: SliderRange): TemplateResult {
  const thumb = (end: 'from' | 'to') => {
    const ends = (event: Event): [number, number] => {
      const box = event.target as HTMLInputElement;
      const step = Number(box.value);
      const pair: [number, number] =
        end === 'from' ? [Math.min(step, range.to), range.to] : [range.from, Math.max(step, range.from)];
      box.value = String(pair[end === 'from' ? 0 : 1]);
      return pair;
    };
    return html`<input
      type="range"
      class="ivy-thumb"
      data-end=${end}
      min="0"
      max=${range.steps}
      step="1"
      aria-label=${range.label(end)}
      aria-valuetext=${range.text(end, range[end])}
      .value=${live(String(range[end]))}
      @input=${(event: Event) => range.onMove(...ends(event))}
      @change=${(event: Event) => range.onSet(...ends(event))}
    />`;
  };
  const share = (step: number) => (100 * step) / Math.max(1, range.steps);
  // where both thumbs stand at the far end, the lower one must be the one that can be taken
  const lowOnTop = range.from > range.steps / 2;
  return html`<div
    class="ivy-slider"
    data-low-on-top=${lowOnTop}
    style="--ivy-low:${share(range.from)}%;--ivy-high:${share(range.to)}%"
  >
    <span class="ivy-track" aria-hidden="true"></span>${thumb('from')}${thumb('to')}
  </div>`;
}
