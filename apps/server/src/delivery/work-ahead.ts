import { prewarmCounts, prewarmColumns, prewarmText, type Lens, type PostIndex } from '@ivy/core';
import { inTurns } from '../shared/turns.js';

/**
 * What the first answers of a lens on an index would hold everybody up with, done ahead and in turns with others. Who
 * needs a part of it waits for that part.
 */
export class WorkAhead {
  /** Done when every answer that searches nothing has what it needs. */
  readonly columns: Promise<void>;
  /** Whether someone waits for all of it. */
  isAllWanted = false;
  #words: Promise<void> | undefined;
  #counts: Promise<void> | undefined;

  constructor(
    private readonly index: PostIndex,
    private readonly lens: Lens,
  ) {
    this.columns = inTurns(prewarmColumns(index, lens));
  }

  /** Done when searches have what they need. */
  words(): Promise<void> {
    return (this.#words ??= this.columns.then(() => inTurns(prewarmText(this.index, this.lens))));
  }

  /** Done when there is nothing more to do ahead. */
  counts(): Promise<void> {
    return (this.#counts ??= this.words().then(() => inTurns(prewarmCounts(this.index, this.lens))));
  }
}
