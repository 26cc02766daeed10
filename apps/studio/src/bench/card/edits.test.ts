import { checkLens, makePart, readLens, type Lens, type PartName } from '@ivy/core';
import fc from 'fast-check';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { addPart, changePart, partsOf, placePart, removePart, showAs } from './edits.js';

const fields = [
  fieldOf('image', 'image', { role: 'image' }),
  fieldOf('title', 'text', { role: 'title' }),
  fieldOf('day', 'date'),
  fieldOf('kind', 'terms'),
  fieldOf('open', 'boolean'),
];
const names: PartName[] = ['title', 'text', 'value', 'terms'];

/** One thing done to a card, by numbers that are brought within what is there. */
const edit = fc.tuple(fc.constantFrom('add', 'remove', 'place', 'show', 'words'), fc.nat(9), fc.nat(9));
function done(lens: Lens, [what, a, b]: readonly [string, number, number]): Lens {
  const count = partsOf(lens, fields).length;
  switch (what) {
    case 'add':
      return addPart(lens, fields, a > 7 ? 'button' : fields[a % fields.length]!).lens;
    case 'remove':
      return removePart(lens, fields, a % count);
    case 'place':
      return placePart(lens, fields, a % count, b % count);
    case 'show':
      return showAs(lens, fields, a % count, names[b % names.length]!);
    default:
      return changePart(lens, fields, a % count, { words: `after ${b}` });
  }
}

test('whatever is done to a card, it keeps a part and can be saved', () => {
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 20 }), (edits) => {
      const lens = edits.reduce(done, lensOf({ facets: [] }));
      expect(partsOf(lens, fields).length).toBeGreaterThan(0);
      const read = readLens(JSON.parse(JSON.stringify(lens)));
      expect(read).toMatchObject({ ok: true });
      expect(checkLens(lens, fields)).toEqual([]);
    }),
  );
});

test('a part that is moved takes the place of another, and the others keep their order', () => {
  fc.assert(
    fc.property(fc.nat(4), fc.nat(4), (from, to) => {
      const parts = fields.map(({ key }) => makePart({ show: 'value', field: key }));
      const lens = lensOf({ facets: [], card: { parts } });
      const keys = partsOf(placePart(lens, fields, from, to), fields).map(({ field }) => field);
      const moved = fields[from]!.key;
      expect(keys[to]).toBe(moved);
      const rest = (all: string[]) => all.filter((key) => key !== moved);
      expect(rest(keys)).toEqual(rest(fields.map(({ key }) => key)));
    }),
  );
});
