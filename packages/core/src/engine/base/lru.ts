/** How a cache is doing. */
export interface CacheFigures {
  entries: number;
  /** Of all entries together, in the cache's own unit. */
  weight: number;
  hits: number;
  misses: number;
  /** Entries that had to go for others. */
  evicted: number;
}

/**
 * A cache of what was used of late: what was not used for longest goes first, once all together weighs more than it may.
 * What weighs more than that alone is not kept.
 */
export class Lru<K, V extends NonNullable<unknown>> {
  readonly #entries = new Map<K, V>();
  #weight = 0;
  #hits = 0;
  #misses = 0;
  #evicted = 0;

  /**
   * @param most      how much all entries may weigh together
   * @param weightOf  what one weighs; where it is not told, `most` is how many there may be. It must never change.
   */
  constructor(
    readonly most: number,
    private readonly weightOf?: (key: K, value: V) => number,
  ) {}

  get(key: K): V | undefined {
    const value = this.#entries.get(key);
    if (value === undefined) {
      this.#misses++;
      return undefined;
    }
    this.#hits++;
    // a Map keeps the order things were put in, so what is put in again stands last
    this.#entries.delete(key);
    this.#entries.set(key, value);
    return value;
  }

  put(key: K, value: V): V {
    this.delete(key);
    this.#entries.set(key, value);
    this.#weight += this.#weightOf(key, value);
    for (const oldest of this.#entries.keys()) {
      if (this.#weight <= this.most) break;
      this.delete(oldest);
      this.#evicted++;
    }
    return value;
  }

  /** What is there, or what `make` makes, which is then kept. */
  getOr(key: K, make: () => V): V {
    return this.get(key) ?? this.put(key, make());
  }

  delete(key: K): void {
    const value = this.#entries.get(key);
    if (value === undefined) return;
    this.#entries.delete(key);
    this.#weight -= this.#weightOf(key, value);
  }

  /** From what was not used for longest to what was used last. */
  values(): IterableIterator<V> {
    return this.#entries.values();
  }

  get figures(): CacheFigures {
    return {
      entries: this.#entries.size,
      weight: this.#weight,
      hits: this.#hits,
      misses: this.#misses,
      evicted: this.#evicted,
    };
  }

  #weightOf(key: K, value: V): number {
    return this.weightOf ? this.weightOf(key, value) : 1;
  }
}
