import type { Lens, DryRun } from '@ivy/core';
import type { PageState, ToPreview } from '@ivy/runtime';
import { act, useRef } from 'react';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import { ApiProblem } from '@ivy/client';
import type { DryRuns } from '../dry-run/dry-runs.js';
import { usePreview } from './use-preview.js';

const page = new OnPage();
/** What the page in the frame was told, in turn. */
let posted: ToPreview[];
/** Where the Bench went for a visitor. */
let went: [address: string, how: string, from: string][];
/** What was tried, with what became of it. */
let tried: { lens: Lens; address: string; signal: AbortSignal; done: (t: DryRun) => void; fail: (e: Error) => void }[];

beforeEach(() => {
  page.open();
  [posted, went, tried] = [[], [], []];
});
afterEach(() => page.close());

const dryRuns: DryRuns = {
  run: (lens, address, signal) =>
    new Promise((done, fail) => {
      tried.push({ lens, address, signal, done, fail });
    }),
  see: () => Promise.reject(new Error('Nothing is looked at here.')),
  stop: () => {},
};
const onWent = (address: string, how: string, from: string) => went.push([address, how, from]);
const dryRunOf = (total: number) => ({ answer: { total }, settings: { card: [], facets: [] } }) as unknown as DryRun;
const lensCalled = (label: string) => lensOf({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind', label }] });
const first = lensCalled('Kind');

function Bench({ lens, address, state }: { lens: Lens; address: string; state: PageState }) {
  const frame = useRef<HTMLIFrameElement>(null);
  const { dryRun, problem, retry } = usePreview(dryRuns, 'notes', lens, address, frame, state, onWent);
  return (
    <>
      <iframe
        title="page"
        ref={(element) => {
          frame.current = element;
          if (element?.contentWindow) element.contentWindow.postMessage = (message: ToPreview) => posted.push(message);
        }}
      />
      <p>{dryRun ? String(dryRun.answer.total) : 'nothing yet'}</p>
      <p>{problem?.message ?? 'no problem'}</p>
      <button type="button" onClick={retry}>
        Try again
      </button>
    </>
  );
}

function draw({ lens = first, address = '', state = 'live' }: Partial<Parameters<typeof Bench>[0]> = {}): void {
  page.draw(<Bench lens={lens} address={address} state={state} />);
}
const words = () => page.texts('p');

/** The page in the frame, or another, says something. */
async function say(data: object, from: { origin?: string; source?: Window | null } = {}): Promise<void> {
  const source = from.source === undefined ? page.element.querySelector('iframe')!.contentWindow : from.source;
  await act(async () => {
    dispatchEvent(new MessageEvent('message', { data, origin: from.origin ?? location.origin, source }));
    await Promise.resolve();
  });
}
const settle = (work: () => void) =>
  act(async () => {
    work();
    await Promise.resolve();
  });

test('the page is answered with the lens as it stands', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' });
  expect(tried[0]).toMatchObject({ lens: first, address: '' });
  await settle(() => tried[0]!.done(dryRunOf(480)));
  const sheet = expect.stringContaining("[name='notes']") as string;
  expect(posted).toEqual([{ ivy: 'reply', id: 1, reply: { ...dryRunOf(480), sheet } }]);
  expect(words()).toEqual(['480', 'no problem']);
});

test('a page that has just loaded is told where the Bench is, before it is answered', async () => {
  draw({ address: 'kind=walk' });
  await say({ ivy: 'ask', id: 1, address: '' });
  expect(posted).toEqual([{ ivy: 'go', address: 'kind=walk' }]);
  expect(tried).toEqual([]);
  await say({ ivy: 'ask', id: 2, address: 'kind=walk' });
  expect(tried.map((one) => one.address)).toEqual(['kind=walk']);
});

test('what other windows and other sites say is not heard', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' }, { origin: 'https://elsewhere.example' });
  await say({ ivy: 'ask', id: 1, address: '' }, { source: window });
  expect(tried).toEqual([]);
});

test('where a visitor goes the Bench goes, and the page is not sent there again', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' });
  await say({ ivy: 'went', address: 'kind=walk', how: 'push', from: '' });
  expect(went).toEqual([['kind=walk', 'push', '']]);
  draw({ address: 'kind=walk' });
  expect(posted).toEqual([]);
  // back on the Bench leads the page back
  draw({ address: '' });
  expect(posted).toEqual([{ ivy: 'go', address: '' }]);
});

test('a lens that changes is drawn anew; until the page has asked, it has nothing to draw', async () => {
  draw();
  draw({ lens: lensCalled('Sort of note') });
  expect(posted).toEqual([]);
  await say({ ivy: 'ask', id: 1, address: '' });
  const changed = lensCalled('Kind of note');
  draw({ lens: changed });
  expect(posted).toEqual([{ ivy: 'go', address: '' }]);
  await say({ ivy: 'ask', id: 2, address: '' });
  expect(tried[1]!.lens).toBe(changed);
});

test('a question that was overtaken is given up, and what comes of it is not shown', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' });
  await say({ ivy: 'ask', id: 2, address: 'kind=walk' });
  expect(tried.map((one) => one.signal.aborted)).toEqual([true, false]);
  await settle(() => tried[0]!.fail(new DOMException('Overtaken', 'AbortError')));
  expect(posted).toEqual([]);
  await settle(() => tried[1]!.done(dryRunOf(107)));
  expect(words()).toEqual(['107', 'no problem']);
});

test('a failure is told to the page and on the Bench, which keeps the last answer; to try again heals it', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' });
  await settle(() => tried[0]!.done(dryRunOf(480)));
  await say({ ivy: 'ask', id: 2, address: '' });
  await settle(() => tried[1]!.fail(new Error('The server does not answer.')));
  expect(posted.at(-1)).toEqual({ ivy: 'failed', id: 2 });
  expect(words()).toEqual(['480', 'The server does not answer.']);
  page.press('Try again');
  expect(posted.at(-1)).toEqual({ ivy: 'go', address: '' });
  await say({ ivy: 'ask', id: 3, address: '' });
  await settle(() => tried[2]!.done(dryRunOf(480)));
  expect(words()).toEqual(['480', 'no problem']);
});

test('settings that can’t work leave the page as it is: they are reported beside the settings', async () => {
  draw();
  await say({ ivy: 'ask', id: 1, address: '' });
  await settle(() => tried[0]!.fail(new ApiProblem(422, 'bad-config', 'It can’t work.', [])));
  expect(posted).toEqual([]);
  expect(words()).toEqual(['nothing yet', 'It can’t work.']);
});

test('the page is shown in another state once it is there', async () => {
  draw();
  draw({ state: 'loading' });
  expect(posted).toEqual([]);
  await say({ ivy: 'ask', id: 1, address: '' });
  draw({ state: 'empty' });
  expect(posted).toEqual([{ ivy: 'show', state: 'empty' }]);
});
