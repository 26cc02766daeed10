import type { Match } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { useState } from 'react';
import { BesideServer } from '../../../test/beside-server.js';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { LookWiring } from './look-wiring.js';

const page = new BesideServer();
let lens: Lens;
beforeEach(() => {
  page.open();
  // the browser of these tests has no dialogs
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});
afterEach(() => page.close());

function Setting({ look }: { look: object }) {
  const [now, setLens] = useState(() => lensOf({ look }));
  const edit = (next: Lens) => {
    lens = next;
    setLens(next);
  };
  const fields = [fieldOf('title', 'text', { role: 'title' })];
  return <LookWiring lens={now} slug="mine" source="notes" fields={fields} onEdit={edit} />;
}
const draw = (look: object = {}) => page.draw(<Setting look={look} />);
const hasReset = (of: string) => page.element.querySelector(`[aria-label="Reset ${of}"]`) !== null;

test('a preset is taken as it is meant to be seen, and goes back', () => {
  draw();
  expect(hasReset('preset')).toBe(false);
  const [, , , lantern] = page.element.querySelectorAll<HTMLElement>('[aria-label=Preset] button');
  page.press(lantern!.textContent);
  expect([lens.look.preset, lens.look.scheme]).toEqual(['lantern', 'dark']);
  page.press('Reset preset');
  expect([lens.look.preset, lens.look.scheme, hasReset('preset')]).toEqual(['plain', 'light', false]);
});

test('a colour is typed short or long; what is none goes back to what it was', () => {
  draw();
  const box = 'what is chosen as #rrggbb';
  for (const [typed, kept] of [
    ['#08f', '#0088ff'],
    ['123456', '#123456'],
    ['blue', '#123456'],
  ] as const) {
    page.type(box, typed);
    page.leave(box);
    expect(lens.look.light.accent).toBe(kept);
  }
  page.press('Reset what is chosen');
  expect(lens.look.light).toEqual({});
});

test('contrast under AA is said at once, and in which scheme', () => {
  draw({ scheme: 'system', dark: { 'ink-2': '#333333' } });
  expect(page.words).toContain('Fainter text in the dark has 1.5 of contrast; AA asks for 4.5.');
});

test('type is set level by level, and a font that is none is refused', () => {
  draw();
  page.type('Text to set', 'title');
  page.type('Size', '120');
  page.type('Font', 'Georgia; color: red');
  page.leave('Font');
  expect([lens.look.type, page.words.includes('Names of fonts')]).toEqual([{ title: { size: 120 } }, true]);
  page.type('Font', 'Georgia, serif');
  page.leave('Font');
  expect(lens.look.type).toEqual({ title: { size: 120, family: 'Georgia, serif' } });
  page.press('Reset size');
  page.press('Reset font');
  expect(lens.look.type).toEqual({});
});

test('the sheet that comes of it is shown as it stands', () => {
  draw({ light: { accent: '#123456' } });
  expect(page.element.querySelector('pre')!.textContent).toContain('--i-accent: var(--ivy-accent, #123456);');
});

const match: Match = {
  page: 'https://example.org/news',
  title: 'News',
  sheets: 2,
  missed: [{ address: 'https://example.org/gone.css', why: 'example.org answered 404.' }],
  found: [
    { part: 'accent', scheme: 'light', value: '#8a2b0f', where: '.btn' },
    { part: 'ink', scheme: 'light', value: '#1d2b2e', where: 'body' },
    { part: 'title-weight', scheme: 'light', value: '700', where: 'h2' },
    { part: 'radius', scheme: 'light', value: '12', where: '.card' },
    { part: 'gap', scheme: 'light', value: '32', where: '.grid' },
  ],
};

test('what a page has that the lens has not is proposed, and taken one by one or all at once', async () => {
  draw();
  page.answer('POST /matches', match);
  page.press('Match a page…from its address or its CSS');
  page.type('Address of the page', 'example.org/news');
  await page.pressAndSettle('Read its look');
  expect(page.sent).toEqual([['POST /matches', { page: 'https://example.org/news' }]]);
  // its text is as ours already
  expect(page.texts('dialog li > :first-child')).toEqual([
    'What is chosen.btn',
    'Weight of titlesh2',
    'Corners.card',
    'Room between cards.grid',
  ]);
  expect(page.words).toContain('One sheet of it could not be read: example.org answered 404.');
  page.press('Take corners');
  expect([lens.look.radius, page.texts('dialog li')]).toEqual([12, expect.any(Array)]);
  page.press('Take all 3');
  expect([lens.look.light, lens.look.type, lens.look.gap]).toEqual([
    { accent: '#8a2b0f', focus: '#8a2b0f' },
    { title: { weight: 700 } },
    32,
  ]);
  expect(page.words).toContain('The listing looks like News already.');
});

test('a page that can’t be read is told with what to do, and pasted rules serve', async () => {
  draw();
  const detail = 'intranet.example is in a private network.';
  page.answer('POST /matches', { code: 'page-private', detail }, 422);
  page.press('Match a page…from its address or its CSS');
  await page.pressAndSettle('Read its look');
  expect(page.texts('dialog [role=alert]')).toEqual(['Give the address of a page.']);
  page.type('Address of the page', 'http://intranet.example');
  await page.pressAndSettle('Read its look');
  expect(page.texts('dialog [role=alert]')).toEqual([detail]);
  page.answer('POST /matches', { ...match, page: null, title: '', found: [] });
  page.press('pasted CSS');
  page.type('Rules of the page', 'p {}');
  await page.pressAndSettle('Read its look');
  expect(page.sent.at(-1)).toEqual(['POST /matches', { css: 'p {}' }]);
  expect(page.words).toContain('Nothing of a look was found in the pasted rules.');
});
