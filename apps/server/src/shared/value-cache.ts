import { isOutage } from '../database/outage.js';

interface Entry<V> {
  value: V | undefined;
  /** A value that is no longer given. */
  before: V | undefined;
  /** Loading the value, or looking whether it is still the one. */
  loading: Promise<V> | undefined;
  /** The newest of what is loaded while this value is given. */
  renewing: Promise<void> | undefined;
  /** Whether the value may have changed without this process hearing of it. */
  inDoubt: boolean;
  /** When, in ms, a check in vain was over. */
  failedAt: number;
  /** Whether a check is taking longer than anyone waits for. */
  isLate: boolean;
  /** Goes up when the value comes into doubt: what began to load before that settles nothing. */
  doubts: number;
}

/** How long a check of a value in doubt may keep whoever asks waiting. */
const patience = 300;
/** How long after a check in vain none is made. */
const rest = 2_000;

/**
 * Values that are read from the database once and held until they change. When the line to the database was lost, each is
 * looked at anew before it is used again; but while the database does not answer, what is held goes on being used.
 */
export class ValueCache<V> {
  readonly #entries = new Map<string, Entry<V>>();

  /**
   * @param load  reads a value; given the one before, it may find that it is still the same and return it. `isGiven`: whether
   *   that one is given meanwhile, so that nobody waits for the one that is read
   */
  constructor(private readonly load: (key: string, before: V | undefined, isGiven: boolean) => Promise<V>) {}

  get(key: string): Promise<V> {
    let entry = this.#entries.get(key);
    if (!entry) this.#entries.set(key, (entry = fresh()));
    const { value } = entry;
    if (value !== undefined && (!entry.inDoubt || entry.isLate || performance.now() - entry.failedAt < rest))
      return Promise.resolve(value);
    const loading = (entry.loading ??= this.#reload(key, entry));
    return value === undefined ? loading : soonOr(loading, value, () => (entry.isLate = entry.loading === loading));
  }

  /** The value has changed. */
  forget(key: string): void {
    this.#entries.delete(key);
  }

  /** The value has changed, and is not given again; what is loaded next may be made out of it. */
  expire(key: string): void {
    const entry = this.#entries.get(key);
    if (!entry) return;
    const before = entry.value ?? entry.before;
    this.#entries.set(key, { ...fresh(), before });
  }

  /**
   * The value has changed a little: the one before is given until what comes after it is loaded, which may be made out of it.
   * @returns once that is so
   */
  async renew(key: string): Promise<void> {
    const entry = this.#entries.get(key);
    if (!entry) return;
    if (entry.value === undefined || entry.inDoubt) {
      this.expire(key);
      await this.get(key);
      return;
    }
    const others = entry.renewing;
    const renewing = (async () => {
      // what is on its way may have been read before this change
      await others?.catch(() => undefined);
      if (this.#entries.get(key) !== entry || entry.value === undefined) return;
      try {
        entry.value = await this.load(key, entry.value, true);
      } catch (error) {
        if (this.#entries.get(key) === entry) this.expire(key);
        throw error;
      }
    })();
    entry.renewing = renewing;
    await renewing;
  }

  /** Every value has changed, or may have. */
  forgetAll(): void {
    this.#entries.clear();
  }

  /** Any value may have changed. */
  doubtAll(): void {
    for (const [key, entry] of this.#entries) {
      // what is being loaded may have been read before the change
      if (entry.value === undefined) this.#entries.delete(key);
      else
        Object.assign(entry, {
          inDoubt: true,
          loading: undefined,
          isLate: false,
          failedAt: -rest,
          doubts: entry.doubts + 1,
        });
    }
  }

  async #reload(key: string, entry: Entry<V>): Promise<V> {
    const { value: before, doubts } = entry;
    try {
      const value = await this.load(key, before ?? entry.before, false);
      if (entry.doubts === doubts) {
        entry.value = value;
        entry.before = undefined;
        entry.inDoubt = false;
      }
      return value;
    } catch (error) {
      if (before !== undefined && isOutage(error)) {
        entry.failedAt = performance.now();
        return before;
      }
      // a failed load must not be remembered: the next one who asks tries again
      if (this.#entries.get(key) === entry) this.#entries.delete(key);
      throw error;
    } finally {
      if (entry.doubts === doubts) Object.assign(entry, { loading: undefined, isLate: false });
    }
  }
}

function fresh<V>(): Entry<V> {
  const nothing = { value: undefined, before: undefined, loading: undefined, renewing: undefined };
  return { ...nothing, inDoubt: true, failedAt: -rest, isLate: false, doubts: 0 };
}

/** What a promise brings, or another value when that takes too long. */
async function soonOr<V>(promise: Promise<V>, value: V, onLate: () => void): Promise<V> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<V>((done) => (timer = setTimeout(() => done(value), patience))).then((late) => {
    onLate();
    return late;
  });
  return Promise.race([promise, late]).finally(() => clearTimeout(timer));
}
