import { Visit } from '../../test/visit.js';

/** Options that were brought into view; the browser of these tests has no views. */
const shown: string[] = [];
Element.prototype.scrollIntoView = function (this: Element) {
  shown.push(this.textContent.trim().split(/\s/)[0]!);
};

let visit: Visit;
afterEach(() => visit.leave());

const one = { key: 'kind', kind: 'dropdown', field: 'kind', label: 'Kind', single: true };
const several = { key: 'tags', kind: 'dropdown', field: 'tags', label: 'Tags', single: false };
const list = () => visit.words('[role=option] .ivy-label');
const active = () => visit.words('[role=option][data-active=true] .ivy-label')[0];
const box = () => visit.box('Tags');
const key = (name: string) => visit.key(box(), name);

test('of one, the browser’s own list tells every choice with its count, and “All” takes it back', async () => {
  visit = await Visit.to([one]);
  expect(visit.words('select[aria-label=Kind] option')).toEqual([
    'All',
    'Walk (10)',
    'Count (10)',
    'Talk (10)',
    'Boat (10)',
  ]);
  await visit.set('Kind', 'talk');
  expect([visit.address, visit.count]).toEqual(['kind=talk', '10 posts of 40']);
  await visit.set('Kind', '');
  expect(visit.address).toBe('');
});

test('of several, the list opens by a press or by an arrow, and closes by Escape', async () => {
  visit = await Visit.to([several]);
  expect([box().getAttribute('aria-expanded'), list()]).toEqual(['false', []]);
  box().click();
  await visit.settle();
  expect([box().getAttribute('aria-expanded'), list()]).toEqual(['true', ['Mud', 'Reed', 'Dune', 'Tern']]);
  await key('Escape');
  expect(list()).toEqual([]);
  await key('ArrowUp');
  expect(active()).toBe('Tern');
  await new Promise(requestAnimationFrame);
  expect(shown.at(-1)).toBe('Tern');
});

test('the arrows go along the list and stop at its ends; Enter chooses, and the list stays open', async () => {
  visit = await Visit.to([several]);
  for (const one of ['ArrowDown', 'ArrowDown', 'ArrowDown']) await key(one);
  expect(active()).toBe('Dune');
  expect(box().getAttribute('aria-activedescendant')).toBe(visit.all('[data-active=true]')[0]!.id);
  await key('Enter');
  expect([visit.address, list().length]).toEqual(['tags=dune', 4]);
  for (let i = 0; i < 9; i++) await key('ArrowUp');
  expect(active()).toBe('Mud');
  await key('Enter');
  expect(visit.address).toBe('tags=dune,mud');
  expect(visit.words('.ivy-picked .ivy-chip')).toEqual(['Mud', 'Dune']);
});

test('typing narrows the list, without marks and capitals; what is not there is said', async () => {
  visit = await Visit.to([several]);
  await visit.set('Tags', 'ERN', 'input');
  expect([list(), active()]).toEqual([['Tern'], 'Tern']);
  await visit.set('Tags', 'whale', 'input');
  expect([list(), visit.words('.ivy-find-none')]).toEqual([[], ['Nothing here is called that.']]);
  await key('Enter');
  expect(visit.address).toBe('');
});

test('a press on an option chooses it without the box losing the focus', async () => {
  visit = await Visit.to([several]);
  box().click();
  await visit.settle();
  const press = new MouseEvent('mousedown', { bubbles: true, cancelable: true });
  visit.all('[role=option]')[1]!.dispatchEvent(press);
  await visit.settle();
  expect([press.defaultPrevented, visit.address]).toEqual([true, 'tags=reed']);
  expect(visit.all('[role=option]').map((option) => option.getAttribute('aria-selected'))).toEqual([
    'false',
    'true',
    'false',
    'false',
  ]);
});

test('what was picked is taken away by its chip, or by Backspace in the empty box', async () => {
  visit = await Visit.to([several]);
  for (const one of ['ArrowDown', 'Enter', 'ArrowDown', 'Enter']) await key(one);
  expect(visit.address).toBe('tags=mud,reed');
  await key('Backspace');
  expect(visit.address).toBe('tags=mud');
  await visit.press('Remove Tags: Mud');
  expect(visit.address).toBe('');
});

test('in a box with letters in it Backspace is the browser’s', async () => {
  visit = await Visit.to([several]);
  for (const one of ['ArrowDown', 'Enter']) await key(one);
  await visit.set('Tags', 're', 'input');
  await key('Backspace');
  expect(visit.address).toBe('tags=mud');
});

test('left, the box is empty again and its list is closed', async () => {
  visit = await Visit.to([several]);
  await visit.set('Tags', 're', 'input');
  box().dispatchEvent(new FocusEvent('blur'));
  await visit.settle();
  expect([box().value, list()]).toEqual(['', []]);
});
