import type { Lens } from '@ivy/core';
import { Logger } from '@nestjs/common';
import type { CachedIndex } from './index-cache.js';
import { WorkAhead } from './work-ahead.js';

/** Lenses that are asked of an index, as many as are got ready for the one that takes its place. */
const lensesKept = 16;
/** How long, in ms, after it was last asked a lens counts as asked. */
const asked = 60_000;

/** How long, in ms, after an index took the place of another its words are made, if nobody asked for them before. */
const restBeforeWords = 300;

/** What was worked out of an index for each lens, and which lenses were asked of it lately. */
interface OfIndex {
  byLens: WeakMap<Lens, WorkAhead>;
  /** When, the last asked last. Few, so that a lens that changes with every stroke is not kept for long. */
  askedAt: Map<Lens, number>;
}

/** What answers need that would hold everybody up, by index and lens: begun with the first who asks. */
export class WorksAhead {
  readonly #log = new Logger('WorksAhead');
  readonly #of = new WeakMap<CachedIndex, OfIndex>();

  /** @param onMade  called once there is nothing more to do, where somebody wants to know */
  of(posts: CachedIndex, lens: Lens, onMade?: () => void): WorkAhead {
    const { byLens, askedAt } = this.#ofIndex(posts);
    askedAt.delete(lens);
    askedAt.set(lens, performance.now());
    for (const oldest of askedAt.keys()) {
      if (askedAt.size <= lensesKept) break;
      askedAt.delete(oldest);
    }
    let ahead = byLens.get(lens);
    if (!ahead) byLens.set(lens, (ahead = new WorkAhead(posts.index, lens)));
    if (onMade && !ahead.isAllWanted) {
      ahead.isAllWanted = true;
      ahead
        .counts()
        .then(onMade)
        .catch((error: unknown) => this.#log.error(`Work ahead failed: ${String(error)}`));
    }
    return ahead;
  }

  /** What has begun, if anything has. */
  begun(posts: CachedIndex, lens: Lens): WorkAhead | undefined {
    return this.#of.get(posts)?.byLens.get(lens);
  }

  /** What failed must not be remembered: the next request tries again. */
  async orForget(posts: CachedIndex, lens: Lens, work: Promise<void>): Promise<void> {
    try {
      await work;
    } catch (error) {
      this.#of.get(posts)?.byLens.delete(lens);
      throw error;
    }
  }

  /** Gets an index ready for whoever asks the one before, so that none of them waits once it takes its place. */
  async readyInstead(before: CachedIndex, now: CachedIndex): Promise<void> {
    for (const [lens, at] of [...(this.#of.get(before)?.askedAt ?? [])].reverse()) {
      if (performance.now() - at > asked) continue;
      const ahead = new WorkAhead(now.index, lens);
      this.#ofIndex(now).byLens.set(lens, ahead);
      try {
        await this.orForget(now, lens, ahead.columns);
      } catch {
        // whoever asks this lens is told why; the others must have their change nevertheless
        continue;
      }
      // words that terms read by now may take a while, and who searches nothing need not be held up by them
      setTimeout(() => void this.orForget(now, lens, ahead.words()).catch(() => undefined), restBeforeWords).unref();
    }
  }

  #ofIndex(posts: CachedIndex): OfIndex {
    let of = this.#of.get(posts);
    if (!of) this.#of.set(posts, (of = { byLens: new WeakMap<Lens, WorkAhead>(), askedAt: new Map<Lens, number>() }));
    return of;
  }
}
