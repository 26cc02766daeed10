/**
 * Where each of some rows comes from: a row of an old list by its number, or a row of a list of added ones by the
 * complement of its number (`~n`, always below zero).
 */
export type Picks = Int32Array;

/** The number of an added row that a pick below zero stands for. */
export function fresh(pick: number): number {
  return ~pick;
}

type Numbers = Uint8Array | Uint16Array | Uint32Array | Int32Array | Float64Array;

/** Numbers picked from two lists, one a row. */
export function pickNumbers<N extends Numbers>(
  into: N,
  old: ArrayLike<number>,
  added: ArrayLike<number>,
  picks: Picks,
): N {
  for (let p = 0; p < picks.length; p++) {
    const from = picks[p]!;
    into[p] = from >= 0 ? old[from]! : added[~from]!;
  }
  return into;
}
