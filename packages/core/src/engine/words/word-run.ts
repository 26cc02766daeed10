/** Words that stand together in an index’s vocabulary: numbers from `first` up to `end`, the latter left out. */
export interface WordRun {
  first: number;
  end: number;
}

/** As few runs as some words make: ascending, apart. */
export function runsOf(numbers: readonly number[]): WordRun[] {
  const runs: WordRun[] = [];
  for (const number of numbers) {
    const last = runs[runs.length - 1];
    if (last?.end === number) last.end++;
    else runs.push({ first: number, end: number + 1 });
  }
  return runs;
}

/** Whether a word is in any of some runs. */
export function holds(runs: readonly WordRun[], word: number): boolean {
  return runs.some(({ first, end }) => word >= first && word < end);
}

/**
 * How many posts the words of some runs have, a post counting once for each of its words.
 * @param starts  by word: where its posts begin in the index
 */
export function postings({ starts }: { starts: Uint32Array }, runs: readonly WordRun[]): number {
  return runs.reduce((sum, { first, end }) => sum + starts[end]! - starts[first]!, 0);
}
