/*
 * What a visitor's device keeps: which groups are folded, and which posts are marked. Where nothing may be kept, all
 * works as at the first visit.
 */

const nameOf = (listing: string) => `ivy-lens:${listing}`;

const marksOf = (source: string) => `ivy-lens-marked:${source}`;

/** Ids of the posts of a source that were marked. */
export function readMarks(source: string): Set<string> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(marksOf(source)) ?? '[]');
    return new Set(Array.isArray(kept) ? kept.filter((id): id is string => typeof id === 'string') : []);
  } catch {
    return new Set();
  }
}

export function keepMarks(source: string, marks: ReadonlySet<string>): void {
  try {
    localStorage.setItem(marksOf(source), JSON.stringify([...marks]));
  } catch {
    // a full or forbidden store only forgets
  }
}

/** Whether a change of the device's store, made in another tab, is about a source's marks. */
export function isMarksChange(event: StorageEvent, source: string): boolean {
  return event.key === marksOf(source);
}

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
