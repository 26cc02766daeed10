import { nothing } from 'lit-html';
import { addRules } from '../styles.js';

/** What the first paint does not need. */
export type Later = typeof import('../later/later.js');

let later: Later | undefined;
let loading: Promise<void> | undefined;

/** Fetches what the first paint does not need; what failed is tried again with the next need. */
export function fetchLater(): Promise<void> {
  loading ??= import('../later/later.js').then(
    (found) => {
      addRules(found.sheet);
      later = found;
    },
    () => {
      loading = undefined;
    },
  );
  return loading;
}

/** Draws by what comes later; until it is there nothing, and then `redraw` is called. */
export function withLater<T>(redraw: () => void, draw: (later: Later) => T): T | typeof nothing {
  if (later) return draw(later);
  void fetchLater().then(() => {
    if (later) redraw();
  });
  return nothing;
}
