import { act, useState } from 'react';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { moveFlag } from './edits.js';
import { Ruler } from './ruler.js';

const page = new OnPage();
beforeEach(() => {
  page.open();
  // the browser of these tests captures no pointers
  Element.prototype.setPointerCapture = () => {};
});
afterEach(() => page.close());

function Measured({ width, room, look }: { width: number; room: number; look: object }) {
  const [lens, setLens] = useState(() => lensOf({ look }));
  const onFlag = (flag: 'tabletFrom' | 'desktopFrom', at: number) => setLens(moveFlag(lens, flag, at));
  return <Ruler {...{ lens, width, room, onFlag }} scale={0.5} start={20} />;
}
const draw = (width = 1280, room = 700, look: object = {}) => page.draw(<Measured {...{ width, room, look }} />);
const flag = (span: string) => page.element.querySelector<HTMLElement>(`[aria-label="${span} from"]`)!;
const at = (span: string) => Number(flag(span).getAttribute('aria-valuenow'));
const press = (span: string, key: string) =>
  act(() => void flag(span).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })));
const pull = (span: string, ...xs: number[]) =>
  xs.forEach((clientX, i) =>
    act(() => {
      const type = i === 0 ? 'pointerdown' : 'pointermove';
      flag(span).dispatchEvent(new MouseEvent(type, { clientX, bubbles: true }));
    }),
  );

test('flags stand where the spans begin, drawn as small as the page is', () => {
  draw();
  expect([at('tablet'), at('desktop')]).toEqual([640, 1000]);
  expect(flag('tablet').style.insetInlineStart).toBe('339px');
  expect(flag('tablet').getAttribute('aria-valuetext')).toBe('640 pixels');
});

test('a flag out of sight waits at the edge', () => {
  draw(390, 400);
  expect([flag('tablet').style.insetInlineStart, flag('desktop').style.insetInlineStart]).toEqual(['339px', '381px']);
});

test('by keys a flag goes ten or a hundred, and stops before its neighbour', () => {
  draw();
  press('tablet', 'ArrowRight');
  press('tablet', 'ArrowUp');
  press('tablet', 'PageDown');
  expect(at('tablet')).toBe(560);
  for (let n = 0; n < 8; n++) press('tablet', 'PageUp');
  expect(at('tablet')).toBe(960);
  press('tablet', 'Home');
  expect(at('tablet')).toBe(960);
});

test('by pointer a flag goes as far as it is pulled, at the scale of the page', () => {
  draw();
  pull('desktop', 520, 540, 545);
  expect(at('desktop')).toBe(1050);
  act(() => void flag('desktop').dispatchEvent(new MouseEvent('pointerup', { bubbles: true })));
  pull('tablet', 300);
  act(() => void flag('desktop').dispatchEvent(new MouseEvent('pointermove', { clientX: 900, bubbles: true })));
  expect(at('desktop')).toBe(1050);
});

test('each span says how the listing lies there, and the one that is seen is set off', () => {
  draw(834, 760, { phone: { arrangement: 'list', folded: {} }, tablet: { columns: 2, facets: 'top', folded: {} } });
  const words = page.texts('.remark');
  expect(words[0]).toBe('phone: facets in a sheet, list');
  expect(words[1]).toBe('tablet: facets above, 2 across');
  expect(page.texts('.text-ivy.remark')).toEqual([words[1]]);
});
