import { readLens } from '@ivy/core';
import { lensOf } from '../../../test/lens-of.js';
import * as edits from './edits.js';

const lens = lensOf({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }] });
const isWhole = (one: typeof lens) => readLens(JSON.parse(JSON.stringify(one))).ok;

test('a setting is for all widths or for one span, and goes back the way it came', () => {
  const all = edits.place(lens, 'desktop', 'columns', 5);
  const phone = edits.place(all, 'phone', 'columns', 1);
  expect([phone.look.columns, phone.look.phone.columns]).toEqual([5, 1]);
  expect(edits.isPlaced(phone, 'phone', 'columns')).toBe(true);
  expect(edits.isPlaced(phone, 'tablet', 'columns')).toBe(false);
  expect(edits.unplace(phone, 'phone', 'columns')).toEqual(all);
  expect(edits.unplace(all, 'desktop', 'columns')).toEqual(lens);
  expect(isWhole(phone)).toBe(true);
});

test('a flag stays between its neighbour and the ends of what is allowed', () => {
  const { look } = lens;
  expect(edits.moveFlag(lens, 'tabletFrom', 480.4).look.tabletFrom).toBe(480);
  expect(edits.moveFlag(lens, 'tabletFrom', 5000).look.tabletFrom).toBe(look.desktopFrom - 40);
  expect(edits.moveFlag(lens, 'desktopFrom', 0).look.desktopFrom).toBe(look.tabletFrom + 40);
  expect(edits.moveFlag(lens, 'tabletFrom', -9).look.tabletFrom).toBe(240);
});

test('folds follow a facet that gets another name, and go with one that is deleted', () => {
  const folded = edits.foldIn(lens, 'phone', 'kind', true);
  expect(edits.renameFolds(folded, 'kind', 'sort').look.phone.folded).toEqual({ sort: true });
  expect(edits.renameFolds(folded, 'kind', null).look.phone.folded).toEqual({});
  expect(edits.foldIn(folded, 'phone', 'kind', null)).toEqual(lens);
});

test('a preset takes the place of colours and shape, and keeps type and widths', () => {
  let made = edits.setColour(lens, 'light', 'accent', '#123456');
  made = edits.setShape(made, 'radius', 20);
  made = edits.setType(made, 'title', 'weight', 700);
  made = edits.place(made, 'phone', 'columns', 1);
  const { look } = edits.choosePreset(made, 'lantern');
  expect([look.preset, look.scheme, look.light, look.radius]).toEqual(['lantern', 'dark', {}, undefined]);
  expect([look.type.title?.weight, look.phone.columns]).toEqual([700, 1]);
});

test('a colour, a type and a shape go back without a trace', () => {
  expect(edits.setColour(edits.setColour(lens, 'dark', 'ink', '#ffffff'), 'dark', 'ink', null)).toEqual(lens);
  expect(edits.setType(edits.setType(lens, 'all', 'size', 120), 'all', 'size', undefined)).toEqual(lens);
  expect(edits.setShape(edits.setShape(lens, 'border', 3), 'border', null)).toEqual(lens);
});
