import type { DryRun, Specimen } from '@ivy/core';
import { makeLook, pageLook } from '@ivy/core';
import type { ToPreview } from '@ivy/runtime';
import { act } from 'react';
import { OnPage } from '../../../test/on-page.js';
import { Specimens } from './specimens.js';

const page = new OnPage();
let posted: ToPreview[];
beforeEach(() => {
  page.open();
  posted = [];
  // the browser of these tests goes nowhere, and says so each time a page is to be loaded
  const report = console.error;
  jest.spyOn(console, 'error').mockImplementation((...words: unknown[]) => {
    if (!String(words[0]).includes('navigation')) report(...words);
  });
});
afterEach(() => {
  page.close();
  jest.restoreAllMocks();
});

const look = makeLook({ arrangement: 'table' });
const specimen = (kind: Specimen['kind'], title: string): Specimen => ({
  kind,
  item: { id: title, title, link: null, fields: {} },
});
const dryRunOf = (specimens: Specimen[]) =>
  ({
    specimens,
    settings: { card: [], facets: [], look: pageLook(look) },
    answer: { total: 9, matched: 4, page: 2, pages: 3, items: [] },
  }) as unknown as DryRun;
const draw = (dryRun: DryRun | null) =>
  page.draw(<Specimens slug="notes" name="Field notes" look={look} dryRun={dryRun} cardWidth={200} />);
const frame = () => page.element.querySelector('iframe');

test('without a post that strains the card there is no tray', () => {
  draw(null);
  expect(page.element.textContent).toBe('');
  draw(dryRunOf([]));
  expect(page.element.textContent).toBe('');
});

test('each post is named by what it does; the tray can be folded away', () => {
  draw(dryRunOf([specimen('longest-title', 'Long'), specimen('title-only', 'Otter')]));
  expect(page.texts('li > .remark')).toEqual(['longest title', 'title only']);
  expect(page.element.textContent).toContain('2 of your posts');
  act(() => page.element.querySelector<HTMLElement>('[aria-expanded]')!.click());
  expect([frame(), page.texts('li')]).toEqual([null, []]);
});

test('the cards are drawn by the page script: it is answered with those posts, side by side as cards', () => {
  draw(dryRunOf([specimen('no-picture', 'Slipway')]));
  const shown = frame()!.contentWindow!;
  shown.postMessage = (message: ToPreview) => posted.push(message);
  const ask = (source: Window) =>
    act(
      () =>
        void window.dispatchEvent(
          new MessageEvent('message', { data: { ivy: 'ask', id: 7, address: '' }, origin: location.origin, source }),
        ),
    );
  // what asks is the tray's own page, and no other
  ask(window);
  expect(posted).toEqual([]);
  ask(shown);
  const [reply] = posted as Extract<ToPreview, { ivy: 'reply' }>[];
  expect([reply!.id, reply!.reply.answer.items.map(({ title }) => title), reply!.reply.answer.page]).toEqual([
    7,
    ['Slipway'],
    1,
  ]);
  expect(reply!.reply.settings.look.phone.arrangement).toBe('grid');
  expect(reply!.reply.sheet).toContain('repeat(1, minmax(0, 1fr))');
});
