import type { Lens } from '@ivy/core';
import { act } from 'react';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import type { LensView } from '@ivy/client';
import { useSaving } from './use-saving.js';

const page = new OnPage();
/** What the server is asked, and what it will answer, in turn. */
let asked: { revision: string; label: string }[];
let answers: (() => Response | Promise<Response>)[];

beforeEach(() => {
  jest.useFakeTimers();
  page.open();
  asked = [];
  answers = [];
  globalThis.fetch = ((_url: string, init: RequestInit) => {
    const { config } = JSON.parse(init.body as string) as { config: Lens };
    asked.push({ revision: new Headers(init.headers).get('if-match')!, label: config.facets[0]!.label });
    return Promise.resolve().then(answers.shift() ?? (() => saved(2)));
  }) as typeof fetch;
});
afterEach(() => {
  page.close();
  jest.useRealTimers();
});

const lensCalled = (label: string) => lensOf({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind', label }] });
const answer = (status: number, body: object) =>
  ({
    ok: status < 400,
    status,
    headers: new Headers({ 'content-type': 'application/json' }),
    text: () => Promise.resolve(JSON.stringify(body)),
    json: () => Promise.resolve(body),
  }) as Response;
const saved = (draftRevision: number) => answer(200, { draftRevision });

const first = lensCalled('Kind');
const loaded = { draft: first, draftRevision: 1 } as LensView;

function Bench({ lens }: { lens: Lens }) {
  const { saving, saver } = useSaving('notes', lens, loaded, () => {});
  return (
    <>
      <p>{saving.at}</p>
      <button aria-label="Keep mine" onClick={() => saver.keepMine({ draftRevision: 8 } as LensView)} />
    </>
  );
}
const draw = (lens: Lens) => page.draw(<Bench lens={lens} />);
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const state = () => page.element.textContent;

test('what is changed in one go is saved once, a moment after', async () => {
  draw(first);
  for (const label of ['N', 'No', 'Note']) {
    draw(lensCalled(label));
    await pass(100);
  }
  expect([state(), asked]).toEqual(['saving', []]);
  await pass(400);
  expect([state(), asked]).toEqual(['saved', [{ revision: '"1"', label: 'Note' }]]);
});

test('what is undone before it was saved leaves nothing to save', async () => {
  draw(first);
  draw(lensCalled('Note'));
  draw(first);
  expect(state()).toBe('saved');
  await pass(1000);
  expect(asked).toEqual([]);
});

test('what is undone while it is being saved is saved back', async () => {
  let finish!: (response: Response) => void;
  answers = [() => new Promise((done) => (finish = done)), () => saved(3)];
  draw(first);
  draw(lensCalled('Note'));
  await pass(400);
  draw(first);
  expect(state()).toBe('saving');
  await act(async () => {
    finish(saved(2));
    await jest.advanceTimersByTimeAsync(10);
  });
  expect(state()).toBe('saved');
  expect(asked).toEqual([
    { revision: '"1"', label: 'Note' },
    { revision: '"2"', label: 'Kind' },
  ]);
});

test('a server that does not answer is asked again', async () => {
  answers = [() => Promise.reject(new TypeError('Failed to fetch')), () => saved(2)];
  draw(first);
  draw(lensCalled('Note'));
  await pass(400);
  expect(state()).toBe('offline');
  await pass(2600);
  expect([state(), asked.length]).toEqual(['saved', 2]);
});

test('when someone else saved first nothing is lost: one chooses, and then saves over theirs', async () => {
  answers = [() => answer(412, { code: 'overtaken', title: 'Someone else saved first.' }), () => saved(9)];
  draw(first);
  draw(lensCalled('Note'));
  await pass(400);
  expect(state()).toBe('overtaken');
  draw(lensCalled('Notes'));
  expect(state()).toBe('overtaken');
  await act(async () => {
    page.named('Keep mine').click();
    await jest.advanceTimersByTimeAsync(400);
  });
  expect(state()).toBe('saved');
  expect(asked[asked.length - 1]).toEqual({ revision: '"8"', label: 'Notes' });
});

test('a draft that is refused says so until it is put right', async () => {
  answers = [() => answer(422, { code: 'invalid', title: 'Not so.', errors: [] })];
  draw(first);
  draw(lensCalled('Note'));
  await pass(400);
  expect(state()).toBe('refused');
  draw(first);
  expect(state()).toBe('saved');
});
