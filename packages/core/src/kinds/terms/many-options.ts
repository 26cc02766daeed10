import type { Counts } from '../../engine/columns/counts.js';
import { termsAbove, type TermColumn } from '../../engine/columns/term-column.js';
import type { Option } from '../../model/answer.js';
import type { Showing } from './config.js';
import { fold } from '../../text/slug.js';
import { byCount, sortTree } from './term-order.js';
import type { Drawn, ShownTerms } from './shown.js';

/** Shown terms up to which an answer holds all. */
export const mostWhole = 2000;
/** Of more, how many an answer holds besides what is chosen: those with most posts. */
export const mostHeld = 500;
/** Most terms found at once. */
export const mostFound = 100;

/**
 * The options of a facet that shows too many terms to send or draw them all: what is chosen with its ancestors, and those
 * with most posts; ties fall by label.
 */
export function drawMany(
  facet: Showing,
  column: TermColumn,
  shownOf: ShownTerms,
  counted: Counts,
  chosen: readonly number[],
): Drawn {
  const { values, first, size } = counted;
  const counts = values.subarray(first, first + size);
  const isThere = (t: number) => shownOf.shown[t] === 1 && (facet.zero !== 'hide' || counts[t]! > 0);
  const { kept, all } = mostUsed(column.terms.length, mostHeld, isThere, byCount(counts, shownOf.byLabel));
  const held = new Set(kept);
  let more = all - kept.length;
  const hold = (t: number) => {
    if (held.has(t)) return;
    held.add(t);
    if (isThere(t)) more--;
  };
  for (const term of chosen) {
    hold(term);
    for (let t = column.parents[term]!; t >= 0; t = column.parents[t]!) if (shownOf.shown[t] === 1) hold(t);
  }
  return { options: optionsOf(facet, column, shownOf, counts, chosen, held), more };
}

/**
 * The terms of a facet whose label holds a text, those with most posts first; each as an option of its own, whether the
 * answer holds it or not.
 */
export function findOptions(
  column: TermColumn,
  shownOf: ShownTerms,
  counted: Counts,
  chosen: readonly number[],
  text: string,
): Drawn {
  const wanted = fold(text.trim());
  const { values, first, size } = counted;
  const counts = values.subarray(first, first + size);
  const folded = foldedLabels(shownOf);
  const meets = (t: number) => shownOf.shown[t] === 1 && folded[t]!.includes(wanted);
  const { kept, all } = mostUsed(column.terms.length, mostFound, meets, byCount(counts, shownOf.byLabel));
  const partly = termsAbove(column, chosen);
  const options = kept.map((t) => optionOf(column, shownOf, counts, chosen, partly, t, column.parents[t]!, 0));
  return { options, more: all - kept.length };
}

const foldedBy = new WeakMap<ShownTerms, readonly string[]>();

function foldedLabels(shownOf: ShownTerms): readonly string[] {
  let folded = foldedBy.get(shownOf);
  if (!folded) foldedBy.set(shownOf, (folded = shownOf.labels.map(fold)));
  return folded;
}

/** The first of some terms by an order, and how many there are in all. */
function mostUsed(
  size: number,
  most: number,
  isThere: (term: number) => boolean,
  compare: (a: number, b: number) => number,
): { kept: number[]; all: number } {
  let all = 0;
  let kept: number[] = [];
  let bestKnown = false;
  for (let t = 0; t < size; t++) {
    if (!isThere(t)) continue;
    all++;
    // once the best so many are known, most others come after all of them, which one look tells
    if (kept.length >= most && bestKnown && compare(kept[most - 1]!, t) < 0) continue;
    kept.push(t);
    if (kept.length < 2 * most) continue;
    kept = kept.sort(compare).slice(0, most);
    bestKnown = true;
  }
  return { kept: kept.sort(compare).slice(0, most), all };
}

function optionsOf(
  facet: Showing,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Uint32Array,
  chosen: readonly number[],
  held: ReadonlySet<number>,
): Option[] {
  const partly = termsAbove(column, chosen);
  // the order of siblings needs no terms but those that are held, each under its nearest ancestor that is
  const terms = [...held].sort((a, b) => shownOf.placeOf(a) - shownOf.placeOf(b));
  const numbers = new Map(terms.map((t, i) => [t, i]));
  const parents = Int32Array.from(terms, (t) => {
    let parent = column.parents[t]!;
    while (parent >= 0 && !held.has(parent)) parent = column.parents[parent]!;
    return parent < 0 ? -1 : numbers.get(parent)!;
  });
  const compare = byCount(counts, shownOf.byLabel);
  const order = facet.order === 'count' ? sortTree(parents, (a, b) => compare(terms[a]!, terms[b]!)) : terms.keys();
  const depths = new Uint8Array(terms.length);
  return [...order].map((i) => {
    const parent = parents[i]!;
    const depth = (depths[i] = parent < 0 ? 0 : depths[parent]! + 1);
    return optionOf(column, shownOf, counts, chosen, partly, terms[i]!, parent < 0 ? -1 : terms[parent]!, depth);
  });
}

function optionOf(
  column: TermColumn,
  { labels }: ShownTerms,
  counts: Uint32Array,
  chosen: readonly number[],
  partly: ReadonlySet<number>,
  term: number,
  parent: number,
  depth: number,
): Option {
  const selected = chosen.includes(term);
  return {
    value: column.terms[term]!.slug,
    label: labels[term]!,
    count: counts[term]!,
    selected,
    partly: !selected && partly.has(term),
    parent: parent < 0 ? null : column.terms[parent]!.slug,
    depth,
  };
}
