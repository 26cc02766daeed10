/**
 * Where each of some rows comes from: a row of an old list, by its number, or a row of a list of added ones, by the
 * complement of its number (`~n`, always below zero).
 */
export interface GatherMap {
  rows: Int32Array;
  /**
   * The same by rows that stand in a row in their list, as most do, so that they are copied in one go: the pick of the
   * first, and how many there are, two numbers a run.
   */
  runs: Int32Array;
}

/** The number that a row has in the list it comes from. */
export function numberPicked(pick: number): number {
  return pick < 0 ? ~pick : pick;
}

export function gatherMapOf(rows: Int32Array): GatherMap {
  let runs = 0;
  for (let p = 0; p < rows.length; runs++) p = endOfRun(rows, p);
  const all = new Int32Array(runs * 2);
  for (let p = 0, r = 0; p < rows.length;) {
    const end = endOfRun(rows, p);
    all[r++] = rows[p]!;
    all[r++] = end - p;
    p = end;
  }
  return { rows, runs: all };
}

function endOfRun(rows: Int32Array, start: number): number {
  const step = rows[start]! < 0 ? -1 : 1;
  let end = start + 1;
  // of a row of added ones, the complements go down
  while (end < rows.length && rows[end] === rows[end - 1]! + step && rows[end]! < 0 === step < 0) end++;
  return end;
}

export type Numbers = Uint8Array | Int16Array | Uint16Array | Uint32Array | Int32Array | Float32Array | Float64Array;

/** Numbers picked from two lists, one a row. All three are of one kind. */
export function gatherNumbers<N extends Numbers>(into: N, old: N, added: N, { runs }: GatherMap): N {
  const [to, before, after] = [asWide(into), asWide(old), asWide(added)];
  for (let r = 0, p = 0; r < runs.length; r += 2) {
    const [pick, count] = [runs[r]!, runs[r + 1]!];
    const start = numberPicked(pick);
    copyNumbers<Wide>(pick < 0 ? after : before, start, start + count, to, p);
    p += count;
  }
  return into;
}

type Wide = Uint8Array | Uint16Array | Int32Array | Float64Array;

/** Numbers as one of four kinds by how wide they are: a loop over more kinds is compiled for none of them. */
export function asWide(numbers: Numbers): Wide {
  const { buffer, byteOffset, length, BYTES_PER_ELEMENT } = numbers;
  if (BYTES_PER_ELEMENT === 1) return new Uint8Array(buffer, byteOffset, length);
  if (BYTES_PER_ELEMENT === 2) return new Uint16Array(buffer, byteOffset, length);
  if (BYTES_PER_ELEMENT === 4) return new Int32Array(buffer, byteOffset, length);
  return new Float64Array(buffer, byteOffset, length);
}

/** Where the rows of several numbers each begin, picked from two lists, and where the last one ends. */
export function gatherStarts(old: Uint32Array, added: Uint32Array, { rows, runs }: GatherMap): Uint32Array {
  const starts = new Uint32Array(rows.length + 1);
  for (let r = 0, p = 0; r < runs.length; r += 2) {
    const [pick, count] = [runs[r]!, runs[r + 1]!];
    moveStarts(pick < 0 ? added : old, numberPicked(pick), count, starts, p);
    p += count;
  }
  return starts;
}

function moveStarts(from: Uint32Array, first: number, count: number, to: Uint32Array, p: number): void {
  const shift = to[p]! - from[first]!;
  for (let i = 1; i <= count; i++) to[p + i] = from[first + i]! + shift;
}

/**
 * Rows of several numbers picked from two lists, into `to`: those of old row `p` are `old[oldStarts[p] …
 * oldStarts[p + 1])`, and likewise those of added ones.
 * @param starts  where the rows begin in `to`, from `gatherStarts`
 */
export function gatherRuns<N extends Numbers>(
  to: N,
  starts: Uint32Array,
  [old, oldStarts]: readonly [N, Uint32Array],
  [added, addedStarts]: readonly [N, Uint32Array],
  { runs }: GatherMap,
): N {
  for (let r = 0, p = 0; r < runs.length; r += 2) {
    const [pick, count] = [runs[r]!, runs[r + 1]!];
    const first = numberPicked(pick);
    if (pick < 0) copyNumbers(added, addedStarts[first]!, addedStarts[first + count]!, to, starts[p]!);
    else copyNumbers(old, oldStarts[first]!, oldStarts[first + count]!, to, starts[p]!);
    p += count;
  }
  return to;
}

/** Few numbers are copied sooner one by one than they are asked to be. */
const fewNumbers = 48;

/** Copies `from[start … end)` to `to`, from `at` on. */
export function copyNumbers<N extends Numbers>(from: N, start: number, end: number, to: N, at: number): void {
  if (end - start > fewNumbers) to.set(from.subarray(start, end), at);
  else for (let i = start; i < end; i++) to[at++] = from[i]!;
}

/** The numbers that old and added posts have now; -1 for one that is gone. */
export interface NewNumbers {
  ofOld: Int32Array;
  ofAdded: Int32Array;
  /** Whether the old ones that stay keep their order. */
  isOrderKept: boolean;
}

export function newNumbers(old: number, added: number, { rows }: GatherMap): NewNumbers {
  const [ofOld, ofAdded] = [new Int32Array(old).fill(-1), new Int32Array(added).fill(-1)];
  let [isOrderKept, last] = [true, -1];
  for (let p = 0; p < rows.length; p++) {
    const pick = rows[p]!;
    if (pick < 0) {
      ofAdded[~pick] = p;
      continue;
    }
    ofOld[pick] = p;
    if (pick < last) isOrderKept = false;
    last = pick;
  }
  return { ofOld, ofAdded, isOrderKept };
}

/** The gather map with the added rows numbered in the order they stand in; which those are, and where they stand. */
export interface InOrder {
  gatherMap: GatherMap;
  added: GatherMap;
  addedAt: Uint32Array;
}

export function inOrder({ rows: from }: GatherMap): InOrder {
  const rows = from.slice();
  const [added, addedAt]: [number[], number[]] = [[], []];
  for (let p = 0; p < rows.length; p++) {
    if (rows[p]! >= 0) continue;
    added.push(rows[p]!);
    rows[p] = ~(addedAt.push(p) - 1);
  }
  return {
    gatherMap: gatherMapOf(rows),
    added: gatherMapOf(Int32Array.from(added)),
    addedAt: Uint32Array.from(addedAt),
  };
}
