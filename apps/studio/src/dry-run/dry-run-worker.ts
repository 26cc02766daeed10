import { checkLens, readLens, readSnapshot, dryRun, type Lens, type PostIndex, type DryRun, finished } from '@ivy/core';

/** What the Bench asks of its worker. */
export type ToWorker =
  | { ask: 'load'; bytes: ArrayBuffer; source: string }
  | { ask: 'try'; id: number; lens: Lens; address: string; from?: number };

/** What the worker says. */
export type FromWorker =
  | { said: 'loaded' }
  | { said: 'not-loaded' }
  | { said: 'dry-run'; id: number; dryRun: DryRun }
  | { said: 'refused'; id: number; problem: string; errors: { pointer: string; message: string }[] };

let index: PostIndex | null = null;
let source = '';
/** The lens as it was last asked for: what is worked out of it serves as long as only the address changes. */
let last: { config: string; lens: Lens } | null = null;

/** Answers one message. Kept apart from the worker's own plumbing, so that it can be called without one. */
export function answerMessage(message: ToWorker): FromWorker {
  if (message.ask === 'load') {
    try {
      last = null;
      source = message.source;
      index = finished(readSnapshot(new Uint8Array(message.bytes)));
      return { said: 'loaded' };
    } catch {
      return { said: 'not-loaded' };
    }
  }
  const { id, address, from } = message;
  if (!index) return { said: 'not-loaded' };
  const config = JSON.stringify(message.lens);
  if (last?.config === config)
    return { said: 'dry-run', id, dryRun: dryRun(index, last.lens, source, address, Date.now(), from) };
  const read = readLens(message.lens);
  const problems = read.ok ? checkLens(read.value, index.fields) : read.problems;
  if (!read.ok || problems.length > 0) {
    const errors = problems.map(({ pointer, message: text }) => ({ pointer: `/config${pointer}`, message: text }));
    return { said: 'refused', id, problem: 'The lens has settings that can’t work. See errors.', errors };
  }
  last = { config, lens: read.value };
  return { said: 'dry-run', id, dryRun: dryRun(index, read.value, source, address, Date.now(), from) };
}

// a test that imports this is in no worker
if ('WorkerGlobalScope' in globalThis) {
  addEventListener('message', (event: MessageEvent<ToWorker>) => postMessage(answerMessage(event.data)));
}
