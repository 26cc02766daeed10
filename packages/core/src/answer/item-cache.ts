/**
 * Items by post number, those that were asked for of late: of as many as are put in or asked for, none is let go, and at
 * most twice as many are kept. What was not asked for while so many others were goes all at once, which costs nothing.
 */
export class ItemCache<I> {
  #late = new Map<number, I>();
  #before = new Map<number, I>();

  /** @param many  how many are kept at least, once there are so many */
  constructor(readonly many: number) {}

  get(post: number): I | undefined {
    const late = this.#late.get(post);
    if (late) return late;
    const item = this.#before.get(post);
    if (item) this.put(post, item);
    return item;
  }

  put(post: number, item: I): void {
    if (this.#late.size >= this.many) {
      this.#before = this.#late;
      this.#late = new Map<number, I>();
    }
    this.#late.set(post, item);
  }
}
