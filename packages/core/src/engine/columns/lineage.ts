/** Terms that may stand under one another: `parents` says under which each does, -1 at the top; parents come first. */
export interface Tree {
  parents: Int32Array;
  /** Terms that have several below them: a post may stand under such a term in several duplicatePaths. */
  branching: Uint32Array;
  /**
   * Terms in a row that stand under the same one, last first: the first of them, the one after the last, and the one
   * they stand under, three numbers each.
   */
  runs: Uint32Array;
}

type Numbers = Uint16Array | Uint32Array;

export function treeOf(parents: Int32Array): Tree | null {
  if (parents.every((parent) => parent < 0)) return null;
  const below = new Uint32Array(parents.length);
  for (const parent of parents) if (parent >= 0) below[parent]!++;
  const branching = Uint32Array.from(parents.keys()).filter((t) => below[t]! > 1);
  return { parents, branching, runs: runsOf(parents) };
}

function runsOf(parents: Int32Array): Uint32Array {
  const runs: number[] = [];
  for (let end = parents.length; end > 0;) {
    const parent = parents[end - 1]!;
    let start = end - 1;
    while (start > 0 && parents[start - 1] === parent) start--;
    if (parent >= 0) runs.push(start, end, parent);
    end = start;
  }
  return Uint32Array.from(runs);
}

/**
 * Leaves out of the terms of each post those that have another below them: they follow from it. Where a post stands
 * under a term in several duplicatePaths, a number past all terms, that of the term's place among the branching, is put in for each
 * way but one. `gathered` makes the counts of all terms of what is left.
 * @param starts  the terms of post `p`, all above them included, are `values[starts[p] … starts[p + 1])`
 */
export function lowest({ parents, branching }: Tree, starts: Uint32Array, values: Numbers) {
  const size = starts.length - 1;
  const terms = parents.length;
  const forkOf = new Int32Array(terms).fill(-1);
  branching.forEach((term, i) => (forkOf[term] = i));
  // duplicatePaths are fewer than lowest terms, and those are no more than all
  const kept = { starts: new Uint32Array(size + 1), values: new Uint32Array(values.length * 2) };
  const below = new Uint32Array(terms);
  let end = 0;
  for (let p = 0; p < size; p++) {
    const [from, to] = [starts[p]!, starts[p + 1]!];
    for (let i = from; i < to; i++) {
      const parent = parents[values[i]!]!;
      if (parent >= 0) below[parent]!++;
    }
    for (let i = from; i < to; i++) {
      const term = values[i]!;
      if (below[term] === 0) kept.values[end++] = term;
      for (let way = 1; way < below[term]!; way++) kept.values[end++] = terms + forkOf[term]!;
      below[term] = 0;
    }
    kept.starts[p + 1] = end;
  }
  return { starts: kept.starts, values: kept.values.subarray(0, end) };
}

/**
 * Makes the counts of all terms, in place, of counts of what `lowest` left.
 * @param first  where those by term begin among the counts
 * @param duplicatePaths   where those by fork begin
 */
export function gathered({ branching, runs }: Tree, counts: Uint32Array, first: number, duplicatePaths: number): void {
  for (let i = 0; i < branching.length; i++) counts[first + branching[i]!]! -= counts[duplicatePaths + i]!;
  // parents come first, so that what is added to one is whole; as 32-bit numbers, which sums are not by themselves
  for (let i = 0; i < runs.length; i += 3) {
    const end = first + runs[i + 1]!;
    let sum = 0;
    for (let t = first + runs[i]!; t < end; t++) sum = (sum + counts[t]!) | 0;
    counts[first + runs[i + 2]!]! += sum;
  }
}
