/**
 * Work that may stop after each step and let others in, or stop for good. Each step takes some milliseconds at most
 * unless it says otherwise.
 *
 * What takes long is written once, as steps. What is made of it and kept is prepared (`prepareOrder`) and then asked for
 * (`order`); asked for unprepared, it is made at once and the answer is the same.
 */
export type Steps<T> = Generator<void, T, void>;

/** Does all steps at once. */
export function finished<T>(steps: Steps<T>): T {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** Calls `work` for runs of `0 … size - 1`, each of `most` at most, a step a run. */
export function* inParts(size: number, most: number, work: (from: number, to: number) => void): Steps<void> {
  for (let from = 0; from < size; from += most) {
    work(from, Math.min(size, from + most));
    yield;
  }
}
