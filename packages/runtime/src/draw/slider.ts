import { html, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';

/** A range as a slider moves it: whole steps from 0 to `steps`. */
export interface SliderRange {
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
export function drawSlider(range: SliderRange): TemplateResult {
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
