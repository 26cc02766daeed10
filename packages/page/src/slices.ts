import type { Steps } from '@ivy/core';

/** Milliseconds of a slice: less than a frame. */
const slice = 10;

/**
 * Does steps a slice at a time; between slices whatever else a page has to do is done.
 * @param goesOn  asked before each slice
 * @returns whether all of them were done
 */
export async function inSlices(steps: Steps<unknown>, goesOn: () => boolean): Promise<boolean> {
  for (;;) {
    const until = performance.now() + slice;
    do if (steps.next().done) return true;
    while (performance.now() < until);
    await breath();
    if (!goesOn()) return false;
  }
}

/** Lets others in: a message comes sooner than the shortest timer, and after what is waiting. */
function breath(): Promise<void> {
  return new Promise((done) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      done();
    };
    port2.postMessage(null);
  });
}
