import { act, useState, type RefObject } from 'react';
import { OnPage } from '../../../test/on-page.js';
import { useCardClicks } from './use-card-clicks.js';

const page = new OnPage();
let sheet: Document;
let frame: RefObject<HTMLIFrameElement>;
let taken: number[];
beforeEach(() => {
  page.open();
  taken = [];
  sheet = document.implementation.createHTMLDocument();
  sheet.body.innerHTML = `<ul><li class="ivy-card"><a href="/a">All of it</a><p data-at="0"></p><p data-at="1,2"></p>
    <ul class="ivy-terms" data-at="3"><li><a href="?x">x</a></li></ul><button class="ivy-ribbon"></button></li></ul><p>elsewhere</p>`;
  // rows of ten pixels, one under the other
  sheet.querySelectorAll('[data-at]').forEach((one, i) => {
    one.getBoundingClientRect = () => ({ left: 0, right: 100, top: i * 10, bottom: i * 10 + 9 }) as DOMRect;
  });
  frame = { current: { contentDocument: sheet } } as unknown as RefObject<HTMLIFrameElement>;
  page.draw(<Holder />);
});
afterEach(() => page.close());

function Holder() {
  const [part, setPart] = useState<number | null>(null);
  useCardClicks(frame, true, part, (at) => {
    taken.push(at);
    setPart(at);
  });
  return <output>{part}</output>;
}

/** Presses something, and says whether the page was kept from doing what it does for visitors. */
function press(selector: string, clientY: number, more: MouseEventInit = {}): boolean {
  const event = new MouseEvent('click', { bubbles: true, cancelable: true, clientX: 50, clientY, ...more });
  act(() => void sheet.querySelector(selector)!.dispatchEvent(event));
  return event.defaultPrevented;
}
const rules = () => sheet.getElementById('ivy-card-in-hand')!.textContent;

test('the part under the pointer is taken, though the link of the card lies over it, and outlined on every card', () => {
  expect(press('.ivy-card > a', 5)).toBe(true);
  expect(taken).toEqual([0]);
  expect(rules()).toContain('.ivy-card [data-at="0"]');
});

test('parts that share a row are taken one after the other', () => {
  for (let i = 0; i < 3; i++) press('.ivy-card > a', 15);
  expect(taken).toEqual([1, 2, 1]);
});

test('between the parts nothing is taken, and the page stays where it is', () => {
  expect([press('.ivy-card', 99), taken]).toEqual([true, []]);
});

test('what is for visitors to press stays so: a ribbon, a term, all with Ctrl, and what is no card', () => {
  const stays = [
    press('.ivy-ribbon', 5),
    press('.ivy-terms a', 25),
    press('.ivy-card > a', 5, { ctrlKey: true }),
    press('body > p', 5),
  ];
  expect([stays, taken]).toEqual([[false, false, false, false], []]);
});
