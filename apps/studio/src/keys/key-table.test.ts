import { keyCaps, keyNamed, keysOf, keyTable, type KeyEntry } from './key-table.js';
import { placesAt } from './keys-sheet.js';

const press = (key: string, more: Partial<KeyboardEvent> = {}) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...more,
});

test('a press is written as the table has it, on every keyboard', () => {
  expect(keysOf(press('Z', { ctrlKey: true, shiftKey: true }))).toBe('Ctrl+Shift+z');
  expect(keysOf(press('k', { metaKey: true }))).toBe('Ctrl+k');
  expect(keysOf(press('?', { shiftKey: true }))).toBe('?');
  expect(keysOf(press('ArrowUp', { altKey: true }))).toBe('Alt+ArrowUp');
});

test('no two keys of a place are the same, and each is found where it does something', () => {
  const all: KeyEntry[] = Object.values(keyTable);
  const together = [
    ['everywhere', 'bench', 'outline', 'steps'],
    ['everywhere', 'tray'],
  ] as const;
  for (const places of together) {
    const keys = all.filter(({ place }) => (places as readonly string[]).includes(place)).map(({ keys: one }) => one);
    expect(new Set(keys).size).toBe(keys.length);
  }
  expect(keyNamed(press('h'), ['bench'])).toBe('hide');
  expect(keyNamed(press('h'), ['tray'])).toBeNull();
  expect(keyCaps(keyTable.redo)).toEqual(['Ctrl', 'Shift', 'Z']);
  expect(keyCaps(keyTable.up)).toEqual(['Alt', '↑']);
});

test('every key stands in the help of some place', () => {
  const shown = new Set(['/lenses/notes', '/sources/notes', '/lenses/notes/addresses', '/sources'].flatMap(placesAt));
  for (const { place } of Object.values(keyTable)) expect(shown.has(place)).toBe(true);
  expect(placesAt('/sources')).toEqual(['everywhere']);
});
