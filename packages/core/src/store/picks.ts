/**
 * Where each of some rows comes from: a row of an old list by its number, or a row of a list of added ones by the
 * complement of its number (`~n`, always below zero).
 */
export type Picks = Int32Array;

/** The number of an added row that a pick below zero stands for. */
export function fresh(pick: number): number {
  return ~pick;
}

export type Numbers = Uint8Array | Int16Array | Uint16Array | Uint32Array | Int32Array | Float32Array | Float64Array;

/** Where a run of rows that stand in a row in an old list ends: of most picks most rows do, and are copied in one go. */
export function endOfRun(picks: Picks, start: number): number {
  let end = start + 1;
  if (picks[start]! >= 0) while (end < picks.length && picks[end] === picks[end - 1]! + 1) end++;
  return end;
}

/** Numbers picked from two lists, one a row. All three are of one kind. */
export function pickNumbers<N extends Numbers>(into: N, old: N, added: N, picks: Picks): N {
  const [to, from, fresh] = [asWide(into), asWide(old), asWide(added)];
  for (let p = 0; p < picks.length;) {
    const end = endOfRun(picks, p);
    const pick = picks[p]!;
    if (end - p > fewNumbers) to.set(from.subarray(pick, pick + end - p), p);
    else if (pick < 0) to[p] = fresh[~pick]!;
    else for (let i = p; i < end; i++) to[i] = from[pick + i - p]!;
    p = end;
  }
  return into;
}

/** Numbers as one of four kinds by how wide they are: a loop over more kinds is compiled for none of them. */
export function asWide(numbers: Numbers): Uint8Array | Uint16Array | Int32Array | Float64Array {
  const { buffer, byteOffset, length, BYTES_PER_ELEMENT } = numbers;
  if (BYTES_PER_ELEMENT === 1) return new Uint8Array(buffer, byteOffset, length);
  if (BYTES_PER_ELEMENT === 2) return new Uint16Array(buffer, byteOffset, length);
  if (BYTES_PER_ELEMENT === 4) return new Int32Array(buffer, byteOffset, length);
  return new Float64Array(buffer, byteOffset, length);
}

/** Where the rows of several numbers each begin, picked from two lists, and where the last one ends. */
export function pickStarts(old: Uint32Array, added: Uint32Array, picks: Picks): Uint32Array {
  const starts = new Uint32Array(picks.length + 1);
  let end = 0;
  for (let p = 0; p < picks.length; p++) {
    const pick = picks[p]!;
    end += pick >= 0 ? old[pick + 1]! - old[pick]! : added[~pick + 1]! - added[~pick]!;
    starts[p + 1] = end;
  }
  return starts;
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

export function newNumbers(old: number, added: number, picks: Picks): NewNumbers {
  const [ofOld, ofAdded] = [new Int32Array(old).fill(-1), new Int32Array(added).fill(-1)];
  let [isOrderKept, last] = [true, -1];
  for (let p = 0; p < picks.length; p++) {
    const pick = picks[p]!;
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
