import type { Counts } from '../../engine/columns/counts.js';
import type { TermColumn } from '../../engine/columns/term-column.js';
import type { Option } from '../../model/answer.js';
import type { Showing } from '../terms/config.js';
import type { Drawn, ShownTerms } from '../terms/shown.js';
import { byCount } from '../terms/term-order.js';

/** Terms up to which a list holds all; of more, those that come first, and the one that is chosen. */
const mostInAList = 1000;

/**
 * The options of a tree that is chosen list by list: its tops, and what is under each term on the way to the one that
 * is chosen. Each option's `depth` is the number of its list.
 * @param chosen  number of the term that is chosen
 */
export function optionsByStep(
  { zero, order }: Pick<Showing, 'zero' | 'order'>,
  column: TermColumn,
  shown: ShownTerms,
  { values, first, size }: Counts,
  chosen: number | undefined,
): Drawn {
  const counts = values.subarray(first, first + size);
  const below = childrenOf(column, shown);
  const path = pathTo(column, shown, chosen);
  const options: Option[] = [];
  let more = 0;
  for (let depth = 0; depth <= path.length; depth++) {
    const above = depth === 0 ? -1 : path[depth - 1]!;
    const onPath = path[depth];
    let terms = below.get(above) ?? [];
    if (zero === 'hide') terms = terms.filter((t) => counts[t]! > 0 || t === onPath);
    if (order === 'count') terms = [...terms].sort(byCount(counts, shown.byLabel));
    const held = terms.filter((t, i) => i < mostInAList || t === onPath);
    more += terms.length - held.length;
    for (const t of held) {
      options.push({
        value: column.terms[t]!.slug,
        label: shown.labels[t]!,
        count: counts[t]!,
        selected: t === chosen,
        partly: t === onPath && t !== chosen,
        parent: above < 0 ? null : column.terms[above]!.slug,
        depth,
      });
    }
  }
  return { options, more };
}

/** The terms from the top down to one; that one too where it is not shown itself. */
function pathTo(column: TermColumn, { shown }: ShownTerms, term: number | undefined): number[] {
  const path: number[] = [];
  for (let t = term ?? -1; t >= 0; t = column.parents[t]!) if (shown[t] === 1) path.unshift(t);
  return path;
}

const known = new WeakMap<ShownTerms, ReadonlyMap<number, readonly number[]>>();

/** By term, and -1 for the top: the shown terms nearest below it, in their order. */
function childrenOf(column: TermColumn, shownOf: ShownTerms): ReadonlyMap<number, readonly number[]> {
  let below = known.get(shownOf);
  if (below) return below;
  const made = new Map<number, number[]>();
  for (const t of shownOf.terms) {
    if (shownOf.shown[t] !== 1) continue;
    let above = column.parents[t]!;
    while (above >= 0 && shownOf.shown[above] !== 1) above = column.parents[above]!;
    const siblings = made.get(above);
    if (siblings) siblings.push(t);
    else made.set(above, [t]);
  }
  known.set(shownOf, (below = made));
  return below;
}
