/*
 * What a visitor's device keeps of how they like a listing: which groups are folded. Where nothing may be kept, all
 * works as at the first visit.
 */

const nameOf = (listing: string) => `ivy-lens:${listing}`;

/** Reads what is kept: whether a facet is folded, by its key. */
export function readFolds(listing: string): Map<string, boolean> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(nameOf(listing)) ?? '{}');
    const folds = kept !== null && typeof kept === 'object' && 'folds' in kept ? kept.folds : {};
    return new Map(
      Object.entries(folds as object).filter((entry): entry is [string, boolean] => typeof entry[1] === 'boolean'),
    );
  } catch {
    return new Map();
  }
}

export function keepFolds(listing: string, folds: ReadonlyMap<string, boolean>): void {
  try {
    localStorage.setItem(nameOf(listing), JSON.stringify({ folds: Object.fromEntries(folds) }));
  } catch {
    // a full or forbidden store only forgets
  }
}
