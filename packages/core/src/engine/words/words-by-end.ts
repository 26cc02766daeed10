import { sortInSteps } from '../base/sorting.js';
import { finished, type Steps } from '../base/steps.js';

const known = new WeakMap<readonly string[], Uint32Array>();

/** The words of a vocabulary in the order of their ends: as if each were written backwards. Made once a vocabulary. */
export function wordsByEnd(vocabulary: readonly string[]): Uint32Array {
  return finished(prepareWordsByEnd(vocabulary));
}

/** Prepares what `wordsByEnd` asks for. */
export function* prepareWordsByEnd(vocabulary: readonly string[]): Steps<Uint32Array> {
  let order = known.get(vocabulary);
  if (order) return order;
  order = new Uint32Array(vocabulary.length);
  for (let w = 0; w < order.length; w++) order[w] = w;
  yield* sortInSteps(order, (a, b) => compareEnds(vocabulary[a]!, vocabulary[b]!));
  known.set(vocabulary, order);
  return order;
}

function compareEnds(a: string, b: string): number {
  const shorter = Math.min(a.length, b.length);
  for (let d = 1; d <= shorter; d++) {
    const order = a.charCodeAt(a.length - d) - b.charCodeAt(b.length - d);
    if (order !== 0) return order;
  }
  return a.length - b.length;
}
