import { indexTexts, reweigh, type TextIndex } from '../words/text-index.js';
import { Lru } from '../base/lru.js';
import type { Steps } from '../base/steps.js';

/** A field to search in, and how much a hit in it weighs. */
export interface WeighedField {
  key: string;
  weight: number;
}

/** A word index, and what it is over. */
export interface KeptText {
  fields: readonly WeighedField[];
  text: TextIndex;
}

/** A word index that can be made out of another, once it is asked for. */
export interface PendingText {
  fields: readonly WeighedField[];
  make: () => Steps<TextIndex>;
}

/** Word indexes that are kept: each takes about as much room as all else. A lens may have as many searches. */
export const textsKept = 8;

/** The word indexes of a source, by the fields they are over and how those weigh. */
export class KeptTexts {
  readonly #texts = new Lru<string, KeptText>(textsKept);

  readonly #pending: Map<string, PendingText>;

  /**
   * @param ready    those that are there already
   * @param pending  those that are made out of others
   */
  constructor(ready: readonly KeptText[], pending: readonly PendingText[] = []) {
    for (const kept of ready) this.#texts.put(JSON.stringify(kept.fields), kept);
    this.#pending = new Map(pending.map((one) => [JSON.stringify(one.fields), one]));
  }

  get all(): readonly KeptText[] {
    return [...this.#texts.values()];
  }

  /**
   * The word index over some fields, made step by step where it is not kept. If another makes it meanwhile, theirs is taken.
   * @param textOf  a field of a post as text to search
   */
  *prepare(
    fields: readonly WeighedField[],
    size: number,
    textOf: (post: number, key: string) => string,
  ): Steps<TextIndex> {
    const name = JSON.stringify(fields);
    const weights = fields.map(({ weight }) => weight);
    const readers = fields.map(({ key, weight }) => ({ weight, read: (post: number) => textOf(post, key) }));
    // of the same fields weighed otherwise, the words and where they stand are the same
    const alike = this.all.find(
      (kept) => kept.fields.length === fields.length && kept.fields.every(({ key }, i) => key === fields[i]!.key),
    );
    const pending = this.#pending.get(name);
    const steps = alike ? reweigh(alike.text, weights) : (pending?.make() ?? indexTexts(size, readers));
    for (;;) {
      const kept = this.#texts.get(name);
      if (kept) return kept.text;
      const { done, value } = steps.next();
      if (!done) {
        yield;
        continue;
      }
      this.#texts.put(name, { fields, text: value });
      this.#pending.delete(name);
    }
  }
}
