/** Milliseconds before what failed is tried again, and the most it grows to. */
const [first, longest] = [2_000, 60_000];

/** Tries again what failed, after pauses that grow, and at once when there is a connection again. */
export class Retry {
  #pause = first;
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #onLine = () => this.#again();

  constructor(private readonly work: () => void) {
    addEventListener('online', this.#onLine);
  }

  /** It failed: it is tried again after a pause. */
  later(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.#again(), this.#pause);
    this.#pause = Math.min(longest, this.#pause * 2);
  }

  /** All is well: nothing is to be tried again. */
  done(): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    this.#pause = first;
  }

  stop(): void {
    this.done();
    removeEventListener('online', this.#onLine);
  }

  #again(): void {
    if (this.#timer === undefined) return;
    clearTimeout(this.#timer);
    this.#timer = undefined;
    this.work();
  }
}
