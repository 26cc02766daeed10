import {
  checkLens,
  readLens,
  readSnapshot,
  dryRun,
  finished,
  look,
  type About,
  type DryRun,
  type Lens,
  type PostIndex,
  type SightName,
  type Sights,
} from '@ivy/core';

/** What the Bench asks of its worker. */
export type ToWorker =
  | { ask: 'load'; bytes: ArrayBuffer; about: About }
  | { ask: 'try'; id: number; lens: Lens; address: string; from?: number }
  | { ask: 'see'; id: number; name: SightName; lens: Lens; address: string; wanted: Sights[SightName]['wanted'] }
  /** Nobody waits for what was asked under this number any more. */
  | { ask: 'leave'; id: number };

/** What the worker says. */
export type FromWorker =
  | { said: 'loaded' }
  | { said: 'not-loaded' }
  | { said: 'dry-run'; id: number; dryRun: DryRun }
  | { said: 'share'; id: number; share: number }
  | { said: 'seen'; id: number; seen: Sights[SightName]['seen'] }
  | { said: 'refused'; id: number; problem: string; errors: { pointer: string; message: string }[] };

let index: PostIndex | null = null;
let about: About = { name: '', source: '' };
/** The lens as it was last asked for: what is worked out of it serves as long as only the address changes. */
let last: { config: string; lens: Lens } | null = null;
/** What is asked and not answered yet. */
const open = new Set<number>();

/** How long, in ms, one look goes on before others get their turn. */
const slice = 12;

/**
 * Answers one message. Kept apart from the worker's own plumbing, so that it can be called without one.
 * @param say  what there is to say, now or later
 */
export function answerMessage(message: ToWorker, say: (what: FromWorker) => void): void {
  if (message.ask === 'load') return say(load(message));
  if (message.ask === 'leave') return void open.delete(message.id);
  const { id, address } = message;
  if (!index) return say({ said: 'not-loaded' });
  const read = lensOf(message.lens);
  if ('errors' in read) {
    return say({ said: 'refused', id, problem: 'The lens has settings that can’t work. See errors.', ...read });
  }
  if (message.ask === 'try') {
    const answer = dryRun(index, read.lens, about, address, Date.now(), message.from);
    return say({ said: 'dry-run', id, dryRun: answer });
  }
  open.add(id);
  let reported = 0;
  const tell = (share: number) => {
    if (share - reported < 0.01) return;
    say({ said: 'share', id, share: (reported = share) });
  };
  const steps = look(message.name, index, read.lens, address, message.wanted, Date.now(), tell);
  const goOn = () => {
    for (const since = performance.now(); performance.now() - since < slice;) {
      if (!open.has(id)) return;
      const { done, value } = steps.next();
      if (!done) continue;
      open.delete(id);
      return say({ said: 'seen', id, seen: value });
    }
    setTimeout(goOn);
  };
  goOn();
}

function load({ bytes, about: known }: Extract<ToWorker, { ask: 'load' }>): FromWorker {
  try {
    last = null;
    about = known;
    index = finished(readSnapshot(new Uint8Array(bytes)));
    return { said: 'loaded' };
  } catch {
    return { said: 'not-loaded' };
  }
}

/** The lens a config is, or what can't work in it. */
function lensOf(config: Lens): { lens: Lens } | { errors: { pointer: string; message: string }[] } {
  const written = JSON.stringify(config);
  if (last?.config === written) return { lens: last.lens };
  const read = readLens(config);
  const problems = read.ok ? checkLens(read.value, index!.fields) : read.problems;
  if (!read.ok || problems.length > 0) {
    return { errors: problems.map(({ pointer, message }) => ({ pointer: `/config${pointer}`, message })) };
  }
  last = { config: written, lens: read.value };
  return { lens: read.value };
}

// a test that imports this is in no worker
if ('WorkerGlobalScope' in globalThis) {
  addEventListener('message', (event: MessageEvent<ToWorker>) =>
    answerMessage(event.data, (what) => postMessage(what)),
  );
}
