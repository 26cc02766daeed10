import type { FoundTerms } from '@ivy/core';

/** Milliseconds after a letter in which the next is waited for. */
const typingPause = 150;

/** Finds terms that an answer leaves out for being too many, by what is typed in the boxes of their facets. */
export class TermFinder {
  /** What stands in the boxes, by facet. */
  readonly texts = new Map<string, string>();
  readonly found = new Map<string, FoundTerms>();
  readonly #running = new Map<string, AbortController>();

  /**
   * @param ask    terms of a facet that hold a text; null where the answer holds them all
   * @param onTold called when more is found
   */
  constructor(
    private readonly ask: (key: string, text: string, signal: AbortSignal) => Promise<FoundTerms> | null,
    private readonly onTold: () => void,
  ) {}

  /** Takes what stands in a box. */
  find(key: string, text: string): void {
    this.texts.set(key, text);
    if (text.trim() === '') this.found.delete(key);
    else void this.#lookFor(key);
    this.onTold();
  }

  /** Finds anew what was found: counts are those of another answer. */
  again(): void {
    for (const [key, text] of this.texts) if (text.trim() !== '') void this.#lookFor(key);
  }

  /** Asks once nothing more is typed for a moment. */
  async #lookFor(key: string): Promise<void> {
    this.#running.get(key)?.abort();
    const running = new AbortController();
    this.#running.set(key, running);
    await new Promise((done) => setTimeout(done, typingPause));
    const text = this.texts.get(key)?.trim() ?? '';
    if (running.signal.aborted || text === '') return;
    try {
      const found = await this.ask(key, text, running.signal);
      if (!found || running.signal.aborted) return;
      this.found.set(key, found);
      this.onTold();
    } catch {
      // what the answer holds is still looked through
    }
  }
}
