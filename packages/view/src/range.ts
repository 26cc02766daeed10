import {
  presetRange,
  readInterval,
  zoneDays,
  type Bucket,
  type DateFacetAnswer,
  type NumberFacetAnswer,
} from '@ivy/core';
import type { ChosenPart } from './chip.js';
import { choose } from './choices.js';
import type { RangeControl } from './controls.js';
import { endsOf, rangeText } from './range-text.js';
import { linkTo, type FacetShown } from './shown.js';

/** Two ends to set, or one day, under a picture of where the posts are. */
export function rangeView(at: FacetShown, of: RangeControl['of']): RangeControl {
  const { shown, settings, chosen } = at;
  const facet = at.facet as DateFacetAnswer | NumberFacetAnswer;
  const { texts } = shown.settings;
  const [from, to] = endsOf(chosen[0]);
  const buckets: readonly Bucket<string | number>[] = facet.buckets;
  const isOne = settings.pick === 'day';
  return {
    form: 'range',
    of,
    label: settings.label,
    isOne,
    from,
    to,
    ends: (['from', 'to'] as const).map((end) => ({
      end,
      label: settings.unit ? `${texts[end]} (${settings.unit})` : texts[end],
      value: end === 'from' ? from : to,
    })),
    unit: settings.unit ?? '',
    step: settings.step,
    bounds: facet.bounds,
    buckets,
    bars: barsOf(buckets, of, from, isOne ? from : to),
    presets: presetsOf(at, from, to),
    presetsLabel: texts.common,
  };
}

/** How high each bar stands, and whether it lies within what is chosen. */
export function barsOf(
  buckets: readonly Bucket<string | number>[],
  of: RangeControl['of'],
  from: string,
  to: string,
): RangeControl['bars'] {
  const most = Math.max(1, ...buckets.map((bucket) => bucket.count));
  const place = (value: string | number) => (of === 'numbers' ? Number(value) : String(value));
  return buckets.map((bucket) => ({
    height: bucket.count === 0 ? 0 : Math.max(6, (100 * bucket.count) / most),
    isIn: (from === '' || place(bucket.to) >= place(from)) && (to === '' || place(bucket.from) <= place(to)),
  }));
}

/** Ranges to press. The one that is chosen shows it; pressed again it is taken back. */
function presetsOf({ shown, facet, settings }: FacetShown, from: string, to: string): RangeControl['presets'] {
  const today = zoneDays(shown.settings.zone).dayAt(shown.now);
  return (settings.presets ?? []).map(({ label, range: given }) => {
    const range = presetRange(given, today);
    const ends = readInterval(range, today);
    const on = ends !== null && (ends.from ?? '') === from && (ends.to ?? '') === to;
    return { label, on, link: linkTo(shown, choose(shown.choices, facet.key, on ? [] : [range])) };
  });
}

/** A range is one thing that is chosen. */
export function chosenRange({ shown, settings, chosen }: FacetShown, of: RangeControl['of']): ChosenPart[] {
  return chosen.map((value) => {
    const label = rangeText(of, value, shown.settings, settings);
    return { key: value, label, bare: label, rest: [] };
  });
}
