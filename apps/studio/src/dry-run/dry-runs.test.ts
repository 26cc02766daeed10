/** @jest-environment node */
import { buildIndex, readLens, writeSnapshot, type Lens, type DryRun, finished } from '@ivy/core';
import { ApiProblem } from '@ivy/client';
import { answerMessage, type ToWorker } from './dry-run-worker.js';
import { WorkerDryRuns, type DryRuns } from './dry-runs.js';

const field = { label: '', role: null, multiple: false, tree: false, separator: null, pathSeparator: null };
const bytes = () =>
  finished(
    writeSnapshot(
      buildIndex({
        fields: [{ ...field, key: 'habitat', type: 'terms' }],
        taxonomies: { habitat: [{ slug: 'mudflat', label: 'Mudflat', parent: null }] },
        posts: [
          { id: 'a', values: { habitat: ['mudflat'] } },
          { id: 'b', values: {} },
        ],
      }),
    ),
  );
const lens = (config: object): Lens => {
  const read = readLens(config);
  if (!read.ok) throw new Error('The lens of this test is wrong.');
  return read.value;
};
const habitats = lens({ facets: [{ key: 'habitat', kind: 'checkboxes', field: 'habitat' }] });

/** A worker that runs in the test's own thread, a turn later. */
class NearWorker {
  onmessage: ((event: MessageEvent) => void) | null = null;
  onerror: (() => void) | null = null;
  postMessage(message: ToWorker): void {
    queueMicrotask(() => answerMessage(message, (data) => this.onmessage?.({ data } as MessageEvent)));
  }
  terminate(): void {
    this.onmessage = null;
  }
}

const fromServer = {} as DryRun;
const server: DryRuns = {
  run: () => Promise.resolve(fromServer),
  see: () => Promise.reject(new Error('The server was asked.')),
  stop: () => undefined,
};
const never = new AbortController().signal;

function serve(reply: () => Response): void {
  globalThis.fetch = jest.fn(() => Promise.resolve(reply()));
}

function indexReply(body: Uint8Array): Response {
  return { ok: true, status: 200, arrayBuffer: () => Promise.resolve(body.buffer) } as unknown as Response;
}

async function loaded(): Promise<WorkerDryRuns> {
  const dryRuns = new WorkerDryRuns(
    server,
    { name: 'Notes', slug: 'notes', updatedAt: '' },
    () => new NearWorker() as unknown as Worker,
  );
  for (let turn = 0; turn < 20; turn++) await Promise.resolve();
  return dryRuns;
}

test('the server answers until the worker has the posts, the worker from then on', async () => {
  serve(() => indexReply(bytes()));
  const dryRuns = new WorkerDryRuns(
    server,
    { name: 'Notes', slug: 'notes', updatedAt: '' },
    () => new NearWorker() as unknown as Worker,
  );
  expect(await dryRuns.run(habitats, '', never)).toBe(fromServer);
  await loaded();
  const dryRun = await dryRuns.run(habitats, 'habitat=mudflat', never);
  expect(dryRun.answer).toMatchObject({ matched: 1, total: 2, address: 'habitat=mudflat' });
  expect(dryRun.effects.habitat).toEqual({ any: 1, all: 1 });
  expect(dryRun.settings.facets[0]).toMatchObject({ key: 'habitat', kind: 'checkboxes' });
});

test('settings that can’t work are reported as the server tells them', async () => {
  serve(() => indexReply(bytes()));
  const dryRuns = await loaded();
  const wrong = lens({ facets: [{ key: 'x', kind: 'checkboxes', field: 'gone' }] });
  const error: unknown = await dryRuns.run(wrong, '', never).catch((one: unknown) => one);
  expect(error).toBeInstanceOf(ApiProblem);
  expect(error).toMatchObject({ status: 422, errors: [{ pointer: '/config/facets/0/field' }] });
});

test('an overtaken question is let go', async () => {
  serve(() => indexReply(bytes()));
  const dryRuns = await loaded();
  const overtaken = new AbortController();
  const answer = dryRuns.run(habitats, '', overtaken.signal);
  overtaken.abort();
  await expect(answer).rejects.toMatchObject({ name: 'AbortError' });
});

test('a Bench that is left before the index has come starts no worker', async () => {
  serve(() => indexReply(bytes()));
  const make = jest.fn(() => new NearWorker() as unknown as Worker);
  const dryRuns = new WorkerDryRuns(server, { name: 'Notes', slug: 'notes', updatedAt: '' }, make);
  dryRuns.stop();
  for (let turn = 0; turn < 20; turn++) await Promise.resolve();
  expect(make).not.toHaveBeenCalled();
});

test('without an index, or with a damaged one, the server goes on answering', async () => {
  serve(() => ({ ok: false, status: 409, json: () => Promise.resolve({}) }) as unknown as Response);
  expect((await loaded()).isReady).toBe(false);
  const damaged = bytes();
  damaged[40]! ^= 1;
  serve(() => indexReply(damaged));
  const dryRuns = await loaded();
  expect(dryRuns.isReady).toBe(false);
  expect(await dryRuns.run(habitats, '', never)).toBe(fromServer);
});

test('the worker looks at a lens too, and lets go of what nobody waits for', async () => {
  serve(() => indexReply(bytes()));
  const dryRuns = await loaded();
  const see = (signal: AbortSignal, shares: number[] = []) =>
    dryRuns.see({ name: 'dead-ends', lens: habitats, address: '', wanted: {} }, signal, (share) => shares.push(share));
  const shares: number[] = [];
  expect(await see(never, shares)).toMatchObject({ pairs: 0, dead: 0 });
  expect(shares).toEqual([1]);
  const near = await dryRuns.see(
    { name: 'nearest', lens: habitats, address: 'habitat=mudflat', wanted: { of: { failing: 1 } } },
    never,
  );
  expect([near.failing, near.posts.map(({ id }) => id)]).toEqual([[1, 1], ['b']]);
  const gone = new AbortController();
  const seen = see(gone.signal);
  gone.abort();
  await expect(seen).rejects.toMatchObject({ name: 'AbortError' });
});
