import { termsAbove, type TermColumn } from '../../engine/columns/term-column.js';
import { countsAt, type Counts } from '../../engine/columns/counts.js';
import type { Option } from '../../model/answer.js';
import type { Term } from '../../model/post.js';
import { own } from '../../text/own.js';
import type { Showing } from './config.js';
import { drawMany, mostWhole } from './many-options.js';
import type { Drawn, Places, ShownTerms } from './shown.js';
import { bySequence, byCount, labelPlacesOf, sortTree } from './term-order.js';

/** @param levels  how many are shown from the top; without it, all */
export function shownTerms(facet: Showing, column: TermColumn, levels = Infinity): ShownTerms {
  const only = new Set(facet.only);
  const hide = new Set(facet.hide);
  // what a lens says of a term by a slug it had is said of it still; by one that was merged into it, it is not
  const isIn = (slugs: ReadonlySet<string>, { slug, was }: Term) =>
    slugs.size > 0 && (slugs.has(slug) || was?.some((one) => slugs.has(one)));
  const labels = column.terms.map(
    (term) => [term.slug, ...(term.was ?? [])].map((slug) => own(facet.labels, slug)).find(Boolean) ?? term.label,
  );
  const shown = new Uint8Array(column.terms.length);
  const depths = new Uint8Array(column.terms.length);
  const branchHidden = new Uint8Array(column.terms.length);
  column.terms.forEach((term, t) => {
    const parent = column.parents[t]!;
    // a hidden term takes its branch with it: its children would otherwise stand there without their heading
    branchHidden[t] = isIn(hide, term) || term.hidden || (parent >= 0 && branchHidden[parent]) ? 1 : 0;
    depths[t] = parent < 0 ? 0 : depths[parent]! + 1;
    shown[t] = !branchHidden[t] && depths[t] < levels && (only.size === 0 || isIn(only, term)) ? 1 : 0;
  });
  const byLabel = labelPlacesOf(facet, column, labels);
  const terms = sortTree(column.parents, steadyOrder(facet, column, byLabel));
  const isMany = shown.reduce((sum, one) => sum + one, 0) > mostWhole;
  const places = placesOf(column, isMany ? [] : terms, labels, (t) => shown[t] === 1);
  places.fewest = Math.min(fewest, Math.floor(mostKept / Math.max(1, terms.length)));
  // room for all at once: an array that grows here and there is a slow one
  places.few = new Array<undefined>((places.fewest + 1) * places.zeros.length).fill(undefined);
  const isFlat = column.parents.every((parent) => parent < 0);
  let placeOf = (term: number) => term;
  if (isMany && terms.some((term, i) => term !== i)) {
    const order = new Uint32Array(column.terms.length);
    terms.forEach((term, i) => (order[term] = i));
    placeOf = (term) => order[term]!;
  }
  return { terms, labels, shown, places, isFlat, isMany, placeOf, byLabel, drawn: new WeakMap() };
}

/** The order of siblings, where counts do not change it; without one, as given. */
function steadyOrder({ order, sequence }: Showing, column: TermColumn, byLabel: Uint32Array) {
  if (order === 'label') return (a: number, b: number) => byLabel[a]! - byLabel[b]!;
  return order === 'given' && sequence.length > 0 ? bySequence(column.terms, sequence) : undefined;
}

/** Counts up to which options are kept, and how many are kept of a facet at most. */
const fewest = 12;
const mostKept = 60_000;

/**
 * Lays a query's counts and choices over the shown terms.
 * @param chosen  numbers of the chosen terms, a handful
 */
export function drawOptions(
  facet: Showing,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Counts,
  chosen: readonly number[],
): Drawn {
  if (shownOf.isMany) return drawMany(facet, column, shownOf, counts, chosen);
  return { options: drawAllOptions(facet, column, shownOf, counts, chosen), more: 0 };
}

function drawAllOptions(
  facet: Showing,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Counts,
  chosen: readonly number[],
): Option[] {
  const partly = shownOf.isFlat || chosen.length === 0 ? noTerms : termsAbove(column, chosen);
  const places = placesFor(facet, column, shownOf, counts, chosen, partly);
  const { at } = places;
  // where nothing is found and nothing chosen, the options are those of all such answers
  if (counts.found && counts.from === counts.to && chosen.length === 0) return places.zeros;
  const options = places.zeros.slice();
  if (counts.found) drawFound(places, counts, counts.found, options);
  else drawAll(places, counts, options);
  // few are chosen: they are drawn over, so that the loop need not ask of each
  for (const term of partly) if (at[term]! >= 0) options[at[term]!] = marked(options[at[term]!]!, false);
  for (const term of chosen) if (at[term]! >= 0) options[at[term]!] = marked(options[at[term]!]!, true);
  return options;
}

/** The same with nothing chosen, kept for when these very counts, which are kept too, come again. */
export function drawKeptOptions(facet: Showing, column: TermColumn, shownOf: ShownTerms, counts: Uint32Array): Drawn {
  let drawn = shownOf.drawn.get(counts);
  if (!drawn) {
    drawn = drawOptions(facet, column, shownOf, countsAt(counts, 0, counts.length, null), []);
    shownOf.drawn.set(counts, drawn);
  }
  return drawn;
}

// The two loops stand alone, each over what it is given: most terms of most answers have no posts, and of those nothing
// is done where the kernel tells which have some.

function drawFound(places: Places, counts: Counts, found: Uint32Array, options: Option[]): void {
  const { at, zeros, few, fewest, isNumbered } = places;
  const { values, first, base, from, to } = counts;
  const size = zeros.length;
  for (let i = from; i < to; i++) {
    const term = found[i]! - base;
    const place = isNumbered ? term : at[term]!;
    if (place < 0) continue;
    const count = values[first + term]!;
    if (count > fewest) options[place] = passingOption(zeros[place]!, count);
    else options[place] = few[count * size + place] ??= counted(zeros[place]!, count);
  }
}

function drawAll(places: Places, { values, first }: Counts, options: Option[]): void {
  const { terms, zeros, few, fewest } = places;
  const size = zeros.length;
  for (let place = 0; place < size; place++) {
    const count = values[first + terms[place]!]!;
    if (count > fewest) options[place] = passingOption(zeros[place]!, count);
    else if (count !== 0) options[place] = few[count * size + place] ??= counted(zeros[place]!, count);
  }
}

const noTerms: ReadonlySet<number> = new Set();

function counted({ value, label, parent, depth }: Option, count: number): Option {
  return plainOption(value, label, count, parent, depth);
}

/**
 * The same for an answer that is soon forgotten. Written out a second time, since the engine learns by the place where
 * objects are made whether they stay, and puts those that do where making and forgetting them is dear.
 */
function passingOption({ value, label, parent, depth }: Option, count: number): Option {
  return { value, label, count, selected: false, partly: false, parent, depth };
}

/** An option that is chosen, or has one below it that is. Written out: to spread an object is many times slower. */
function marked({ value, label, count, parent, depth }: Option, selected: boolean): Option {
  return { value, label, count, selected, partly: !selected, parent, depth };
}

function plainOption(value: string, label: string, count: number, parent: string | null, depth: number): Option {
  return { value, label, count, selected: false, partly: false, parent, depth };
}

/** Which options there are, in their order. Only what the counts or the choice change is worked out anew. */
function placesFor(
  facet: Showing,
  column: TermColumn,
  shownOf: ShownTerms,
  { values, first, size }: Counts,
  chosen: readonly number[],
  partly: ReadonlySet<number>,
): Places {
  if (chosen.every((term) => shownOf.shown[term]) && facet.zero !== 'hide' && facet.order !== 'count')
    return shownOf.places;
  const counts = values.subarray(first, first + size);
  const isThere = (t: number) =>
    chosen.includes(t) || (shownOf.shown[t] === 1 && (facet.zero !== 'hide' || counts[t]! > 0 || partly.has(t)));
  const order = facet.order === 'count' ? sortTree(column.parents, byCount(counts, shownOf.byLabel)) : shownOf.terms;
  return placesOf(column, order, shownOf.labels, isThere);
}

/** The options of some terms, each under its nearest ancestor that is there too. */
export function placesOf(
  column: TermColumn,
  order: readonly number[],
  labels: readonly string[],
  isThere: (term: number) => boolean,
): Places {
  const depths = new Uint8Array(column.terms.length);
  const terms: number[] = [];
  const zeros: Option[] = [];
  for (const term of order) {
    if (!isThere(term)) continue;
    let parent = column.parents[term]!;
    while (parent >= 0 && !isThere(parent)) parent = column.parents[parent]!;
    const depth = parent < 0 ? 0 : depths[parent]! + 1;
    depths[term] = depth;
    const above = parent < 0 ? null : column.terms[parent]!.slug;
    const value = column.terms[term]!.slug;
    terms.push(term);
    zeros.push(plainOption(value, labels[term]!, 0, above, depth));
  }
  const at = new Int32Array(column.terms.length).fill(-1);
  for (let i = 0; i < terms.length; i++) at[terms[i]!] = i;
  const isNumbered = terms.length === column.terms.length && terms.every((term, i) => term === i);
  return { terms: Uint32Array.from(terms), at, zeros, few: [], fewest: 0, isNumbered };
}
