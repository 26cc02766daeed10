import { putAmong } from '../base/put-among.js';
import { sortInSteps } from '../base/sorting.js';
import { finished, type Steps } from '../base/steps.js';
import { markedNumbers } from './text-index.js';

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

/**
 * Takes the order over to a vocabulary that was made out of another one, where that has it: words that stay are in the order
 * they were in, and each that is new is put between them.
 * @param ofOld  by number in the old vocabulary: the number of the word in the new one; -1 for one that is gone
 */
export function* carryWordsByEnd(
  old: readonly string[],
  vocabulary: readonly string[],
  ofOld: Int32Array,
): Steps<void> {
  const before = known.get(old);
  if (!before) return;
  const isNew = new Uint8Array(vocabulary.length).fill(1);
  const kept = new Uint32Array(vocabulary.length);
  let count = 0;
  for (let i = 0; i < before.length; i++) {
    const word = ofOld[before[i]!]!;
    if (word < 0) continue;
    isNew[word] = 0;
    kept[count++] = word;
  }
  yield;
  const added = markedNumbers(isNew).sort((a, b) => compareEnds(vocabulary[a]!, vocabulary[b]!));
  const order = yield* putAmong(
    kept.subarray(0, count),
    added,
    (one, other) => compareEnds(vocabulary[one]!, vocabulary[other]!) < 0,
  );
  known.set(vocabulary, Uint32Array.from(order));
}

function compareEnds(a: string, b: string): number {
  const shorter = Math.min(a.length, b.length);
  for (let d = 1; d <= shorter; d++) {
    const order = a.charCodeAt(a.length - d) - b.charCodeAt(b.length - d);
    if (order !== 0) return order;
  }
  return a.length - b.length;
}
