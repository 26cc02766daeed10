import type { ItemKind, PaletteItem } from './palette-items.js';
import { rankItems } from './rank-items.js';

const item = (id: string, kind: ItemKind, label: string, also?: string): PaletteItem => ({
  id,
  kind,
  label,
  ...(also !== undefined && { also }),
  run: () => undefined,
});
const items = [
  item('t1', 'Terms', 'Mudflat'),
  item('t2', 'Terms', 'Upper mudflat'),
  item('p1', 'Posts', 'What lives under the mudflat'),
  item('a1', 'Actions', 'Publish', 'release'),
  item('s1', 'Places', 'Sources'),
  item('s2', 'Places', 'Field notes'),
];
const shown = (text: string, recent: string[] = []) =>
  rankItems(items, text, recent).map(({ items: own }) => own.map(({ id }) => id));

test('what begins with the text stands before what holds it, and its kind on top', () => {
  expect(shown('mudf')).toEqual([['t1', 't2'], ['p1']]);
  expect(shown('MUD flat')).toEqual([['t1', 't2'], ['p1']]);
  expect(shown('pub')).toEqual([['a1']]);
  expect(shown('release')).toEqual([['a1']]);
  expect(shown('zzz')).toEqual([]);
});

test('without a text, what was used last stands first of its kind', () => {
  expect(shown('', ['s2'])).toEqual([['t1', 't2'], ['p1'], ['a1'], ['s2', 's1']]);
});
