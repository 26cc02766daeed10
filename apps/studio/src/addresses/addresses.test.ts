import { changesBetween, readLens, type Lens } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { changePrefix, letGo, renameParameter } from './edits.js';
import { expectationWords } from './expectation-words.js';
import { nameProblem, nameRows } from './names.js';

const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] },
    { key: 'day', kind: 'date-range', field: 'day' },
  ],
  sort: { options: [{ key: 'newest', field: 'day' }] },
});
const old = (one: Lens) => Object.fromEntries(nameRows(one, [], undefined).map((row) => [row.name, row.old]));
const breaks = (after: Lens) => changesBetween(lens, after).filter((change) => change.breaks).length;

test('a parameter is renamed, and every name it had is still read, under another prefix too', () => {
  const named = renameParameter(renameParameter(lens, 'habitat', 'where'), 'sort', 'order');
  expect(old(named)).toEqual({ where: ['zone', 'habitat'], day: [], order: ['sort'], page: [] });
  const prefixed = changePrefix(named, 'n-');
  expect(old(prefixed).where).toEqual(['n-zone', 'n-habitat', 'where', 'zone', 'habitat']);
  expect(old(renameParameter(prefixed, 'sort', 'by')).by).toEqual(['sort', 'order', 'n-order']);
  expect([named, prefixed].map(breaks)).toEqual([0, 0]);
  expect(readLens(prefixed).ok).toBe(true);
  // back to what it was: nothing is left over that could be taken for another
  expect(old(changePrefix(prefixed, '')).where).toEqual(['zone', 'habitat', 'n-where', 'n-zone', 'n-habitat']);
});

test('a name that is let go is read no more', () => {
  const gone = letGo(lens, 'habitat', 'zone');
  expect([old(gone).habitat, gone.address.gone, breaks(gone)]).toEqual([[], ['zone'], 1]);
  const named = renameParameter(gone, 'day', 'zone');
  expect(named.address.gone).toEqual([]);
});

test('a name that is taken or can’t be one is refused with the reason', () => {
  expect(nameProblem(lens, 'habitat', 'day')).toMatch(/taken/);
  expect(nameProblem(lens, 'day', 'zone')).toMatch(/taken/);
  expect(nameProblem(lens, 'habitat', 'zone')).toBeNull();
  expect(nameProblem(lens, 'habitat', 'Big One')).toMatch(/Lower-case/);
  expect(nameProblem(lens, 'habitat', 'habitat')).toBeNull();
});

test('what an address must find is said in words', () => {
  expect(expectationWords({ matched: 1234 })).toBe('exactly 1,234');
  expect(expectationWords({ min: 10, has: ['n-1'], lacks: ['n-2', 'n-3'] })).toBe(
    'at least 10, with n-1, never n-2, n-3',
  );
  expect(expectationWords({ min: 1, max: 9 })).toBe('1 to 9');
});
