import { dayNumber } from '../dates/calendar.js';
import { minuteNumber } from '../dates/minute.js';
import type { FacetAnswer } from '../kinds/kinds.js';
import { daySteps, edgesBetween, minuteSteps, stepsOfNumbers } from '../kinds/range/steps.js';
import type { Answer } from '../lens/answer.js';
import type { Settings } from '../lens/settings.js';
import type { Bucket, Item, Option, TermValue } from '../model/answer.js';
import {
  unpackCounts,
  type CompactCounts,
  type CompactItem,
  type CompactRange,
  type FacetFrame,
  type FrameTerm,
} from '../model/compact.js';
import type { CompactAnswer, CompactFacet, Frame } from './compact.js';

/** The whole answer that a compact one stands for. */
export function expandAnswer(compact: CompactAnswer, frame: Frame, settings: Pick<Settings, 'facets'>): Answer {
  const facets = compact.facets.map((facet, i) => {
    const { key, kind, label, visible } = settings.facets[i]!;
    return 'key' in facet ? facet : ({ key, kind, label, visible, ...expandFacet(facet, frame, i) } as FacetAnswer);
  });
  const { others, ...rest } = compact;
  const expanded: Answer = { ...rest, facets, items: compact.items.map((item) => expandItem(item, frame)) };
  if (others) expanded.others = others.map((item) => expandItem(item, frame));
  return expanded;
}

function expandItem([id, title, link, values, marks]: CompactItem, { terms, fields, titleAt }: Frame): Item {
  const own: Item['fields'] = {};
  values.forEach((value, i) => {
    const key = fields[i]!;
    if (Array.isArray(value))
      own[key] = value.map((one) => (typeof one === 'number' ? termOf(terms[key]![one]!) : one));
    else if (value !== null) own[key] = value;
  });
  const item: Item = { id, title: title === 0 ? (values[titleAt] as string) : title, link, fields: own };
  return marks ? { ...item, marks } : item;
}

function termOf([slug, label]: FrameTerm): TermValue {
  return { slug, label };
}

function expandFacet(facet: Exclude<CompactFacet, FacetAnswer>, frame: Frame, place: number): object {
  if (!('of' in facet)) {
    const own = frame.facets[place]!;
    return { selected: facet.selected, options: expandOptions(facet, own, frame.terms[own.of]!) };
  }
  const { selected, bounds } = facet;
  return { selected, bounds, buckets: facet.of === 'numbers' ? numberBuckets(facet) : timeBuckets(facet) };
}

function timeBuckets({ of, bounds, counts }: CompactRange<string>): Bucket<string>[] {
  if (!bounds) return [];
  const [number, steps] = of === 'days' ? ([dayNumber, daySteps] as const) : ([minuteNumber, minuteSteps] as const);
  const [low, high] = [number(bounds.from)!, number(bounds.to)!];
  const { edges } = edgesBetween(steps(low, high), low, high);
  const all = unpackCounts(counts, edges.length);
  return edges.map(({ first, last }, i) => ({ from: first!, to: last!, count: all[i]! }));
}

function numberBuckets({ bounds, counts, cut }: CompactRange<number>): Bucket<number>[] {
  if (!bounds || !cut) return [];
  const { edges } = edgesBetween(stepsOfNumbers(cut), bounds.from, bounds.to);
  const all = unpackCounts(counts, edges.length);
  return edges.map(({ from, to }, i) => ({ from, to, count: all[i]! }));
}

function expandOptions({ selected, counts }: CompactCounts, frame: FacetFrame, all: readonly FrameTerm[]): Option[] {
  const { terms, parents, labels, byCount, hidesZero } = frame;
  const size = terms?.length ?? all.length;
  const unpacked = unpackCounts(counts, size);
  const chosen = new Set(selected);
  const depths: number[] = [];
  const options: Option[] = [];
  for (let i = 0; i < size; i++) {
    const [value, label] = all[terms ? terms[i]! : i]!;
    const above = parents ? parents[i]! : -1;
    // what stands above comes before
    depths.push(above < 0 ? 0 : depths[above]! + 1);
    options.push({
      value,
      label: labels[i] ?? label,
      count: unpacked[i]!,
      selected: chosen.has(value),
      partly: false,
      parent: above < 0 ? null : options[above]!.value,
      depth: depths[i]!,
    });
  }
  if (parents && chosen.size > 0)
    options.forEach((option, i) => {
      if (!option.selected) return;
      for (let at = parents[i]!; at >= 0; at = parents[at]!) options[at]!.partly = true;
    });
  const there = hidesZero ? options.filter((one) => one.count > 0 || one.selected || one.partly) : options;
  return byCount ? mostFirst(there) : there;
}

/** Siblings by their counts, most first; they come by label, and those alike stay so. */
function mostFirst(options: readonly Option[]): Option[] {
  const below = new Map<string | null, Option[]>();
  for (const option of options) {
    const siblings = below.get(option.parent);
    if (siblings) siblings.push(option);
    else below.set(option.parent, [option]);
  }
  const sorted: Option[] = [];
  const visit = (parent: string | null) => {
    for (const option of (below.get(parent) ?? []).sort((a, b) => b.count - a.count)) {
      sorted.push(option);
      visit(option.value);
    }
  };
  visit(null);
  return sorted;
}
