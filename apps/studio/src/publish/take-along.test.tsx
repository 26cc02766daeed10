import { act } from 'react';
import { BesideServer } from '../../test/beside-server.js';
import { TakeAlong } from './take-along.js';

const page = new BesideServer();
let kept: string[];

beforeEach(() => {
  page.open();
  kept = [];
  URL.createObjectURL = () => 'blob:zip';
  URL.revokeObjectURL = () => {};
  HTMLAnchorElement.prototype.click = function (this: HTMLAnchorElement) {
    kept.push(this.download);
  };
});
afterEach(() => page.close());

const asked = 'GET /lenses/notes/bundle.zip';
const drawn = () => page.visit(<TakeAlong slug="notes" release={4} />, '/lenses/notes/publish');

test('a release is packed and kept under its name', async () => {
  let pack: () => void = () => {};
  page.says.set(asked, () => {
    const reply = { ok: true, status: 200, blob: () => Promise.resolve(new Blob(['zip'])) } as Response;
    return new Promise((done) => (pack = () => done(reply)));
  });
  await drawn();
  expect(page.words).toContain('Release 4 with its posts');
  await page.pressAndSettle('Take it along');
  expect(page.texts('[aria-live]')).toEqual(['Packing…']);
  await act(async () => {
    pack();
    await Promise.resolve();
  });
  await page.settle();
  expect(kept).toEqual(['notes.zip']);
  expect(page.texts('[aria-live]')).toEqual(['notes.zip is yours.']);
});

test('packing is called off by the same button', async () => {
  page.says.set(
    asked,
    (init) =>
      new Promise((_, fail) =>
        init!.signal!.addEventListener('abort', () => fail(new DOMException('Called off', 'AbortError'))),
      ),
  );
  await drawn();
  await page.pressAndSettle('Take it along');
  await page.pressAndSettle('Cancel');
  expect(kept).toEqual([]);
  expect(page.texts('button')).toEqual(['Take it along']);
});

test('what can’t be taken along says why', async () => {
  const detail = 'A lens brings up to 20000 along, and this one has 20001 posts.';
  page.answer(asked, { code: 'too-much-to-bring', detail }, 409);
  await drawn();
  await page.pressAndSettle('Take it along');
  expect(page.texts('[aria-live]')).toEqual([detail]);
  expect(kept).toEqual([]);
});
