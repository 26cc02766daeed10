import type { Steps } from '@ivy/core';

/** How long, in ms, work may keep others waiting; one step of it may take longer. */
const slice = 1;

/** Does work step by step, and lets whoever else has something to do in between. */
export async function inTurns<T>(steps: Steps<T>): Promise<T> {
  for (let since = performance.now(); ;) {
    const { done, value } = steps.next();
    if (done) return value;
    if (performance.now() - since < slice) continue;
    await new Promise((next) => setImmediate(next));
    since = performance.now();
  }
}
