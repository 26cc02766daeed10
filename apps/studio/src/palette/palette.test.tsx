import { act } from 'react';
import { openDialogs } from '../../test/dialogs.js';
import { OnPage } from '../../test/on-page.js';
import { usePaletteItems, type PaletteItem } from './palette-items.js';
import { Palette } from './palette.js';

const page = new OnPage();
let done: string[];
let pointed: string[];
beforeEach(() => {
  openDialogs();
  localStorage.clear();
  Element.prototype.scrollIntoView = () => undefined;
  [done, pointed] = [[], []];
  page.open();
});
afterEach(() => page.close());

const item = (kind: PaletteItem['kind'], label: string, more: Partial<PaletteItem> = {}): PaletteItem => ({
  id: `${kind} ${label}`,
  kind,
  label,
  run: () => done.push(label),
  ...more,
});
const items = [
  item('Terms', 'Mudflat', {
    does: 'choose it',
    shift: { does: 'only this', run: () => done.push('only Mudflat') },
    point: (is) => pointed.push(is ? 'on' : 'off'),
  }),
  item('Terms', 'Upper mudflat'),
  item('Actions', 'Mud the paths'),
  item('Places', 'Sources'),
];
function Here() {
  usePaletteItems(
    () => items,
    (text) => Promise.resolve([item('Posts', `A note on ${text}`)]),
  );
  return null;
}
let shut = 0;
const opened = () => {
  page.draw(<Here />);
  page.draw(
    <>
      <Here />
      <Palette onClose={() => shut++} />
    </>,
  );
};
const box = 'Find anything';
const at = () => page.texts('[role=option][aria-selected=true] > span:first-child')[0];
const press = (key: string, held: object = {}) =>
  act(() => {
    page.named(box).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...held }));
  });

test('what is typed is found among all there is, and Enter does the first', () => {
  opened();
  page.type(box, 'mud');
  expect(page.texts('[role=option] > span:first-child')).toEqual(['Mudflat', 'Upper mudflat', 'Mud the paths']);
  expect(page.texts('[role=group]').map((group) => group.slice(0, 5))).toEqual(['Terms', 'Actio']);
  const before = shut;
  press('Enter');
  expect([done, shut - before]).toEqual([['Mudflat'], 1]);
});

test('arrows walk, Tab goes to the next kind, and Shift with Enter does the other thing', () => {
  opened();
  page.type(box, 'mud');
  press('ArrowDown');
  expect(at()).toBe('Upper mudflat');
  press('Tab');
  expect(at()).toBe('Mud the paths');
  press('ArrowDown');
  expect(at()).toBe('Mudflat');
  press('ArrowUp');
  expect(at()).toBe('Mud the paths');
  press('Tab', { shiftKey: true });
  expect(at()).toBe('Mudflat');
  press('Enter', { shiftKey: true });
  expect(done).toEqual(['only Mudflat']);
});

test('what one stands on shows what it would change, and no more once one goes on', () => {
  opened();
  page.type(box, 'mudflat');
  expect(pointed.at(-1)).toBe('on');
  press('ArrowDown');
  expect(pointed.at(-1)).toBe('off');
});

test('what must be looked for comes once typing rests; what is called nothing is said', async () => {
  opened();
  page.type(box, 'lantern');
  expect(page.texts('[role=status]')).toEqual(['none']);
  expect(page.element.textContent).toContain('Nothing here is called that.');
  await act(() => new Promise((rest) => setTimeout(rest, 180)));
  expect(page.texts('[role=option]')).toEqual(['A note on lantern']);
});

test('what was used last stands first the next time', () => {
  opened();
  page.type(box, 'upper');
  press('Enter');
  page.close();
  page.open();
  opened();
  expect(page.texts('[aria-label=Terms] [role=option] > span:first-child')).toEqual(['Upper mudflat', 'Mudflat']);
  localStorage.setItem('ivy-palette', '{broken');
  page.close();
  page.open();
  opened();
  expect(page.texts('[role=option]').length).toBe(items.length);
});
