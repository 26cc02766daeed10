import { fieldTypes } from '../model/post.js';
import { plainField } from '../model/post.js';
import type { FieldDescription } from '../fields/describe.js';
import { readLens } from '../lens/lens.js';
import { proposeLens, suitingKind } from '../lens/propose.js';
import { facetKinds, kindOf, kinds } from './kinds.js';

const described = (type: FieldDescription['type'], tree: boolean, distinct: number): FieldDescription => ({
  ...plainField('one', 'One'),
  type,
  tree,
  filled: 100,
  distinct,
  samples: [],
  spread: type === 'number' ? { low: 1, high: 90, counts: [] } : null,
});

test('one kind and no more says that it suits a field, and it can show it', () => {
  for (const type of fieldTypes)
    for (const tree of type === 'terms' ? [false, true] : [false])
      for (const distinct of [2, 40, 41, 5000]) {
        const field = described(type, tree, distinct);
        const suiting = facetKinds.filter((kind) => kinds[kind].suits(field) !== null);
        expect([type, tree, distinct, suiting.length]).toEqual([type, tree, distinct, 1]);
        expect(suitingKind(field).kind).toBe(suiting[0]);
        expect(kinds[suiting[0]!].canShow(field)).toBe(true);
      }
});

test('every kind reads back what its own defaults are, and names itself', () => {
  for (const kind of facetKinds) {
    const read = readLens({ facets: [{ key: 'one', kind, field: 'one', fields: ['one'] }] });
    // a kind takes `field` or `fields` or neither; what it does not know is all that is wrong
    const own = read.ok ? [] : read.problems.map(({ pointer }) => pointer.split('/').at(-1)!);
    expect(own.every((name) => name === 'field' || name === 'fields')).toBe(true);
    const bare = {
      key: 'one',
      kind,
      ...(!own.includes('field') && { field: 'one' }),
      ...(!own.includes('fields') && { fields: ['one'] }),
    };
    const again = readLens({ facets: [bare] });
    const [facet] = again.ok ? again.value.facets : [];
    expect([kind, facet?.kind]).toEqual([kind, kind]);
    expect(kindOf(facet!)).toBe(kinds[kind]);
    expect(kinds[kind].noun).toMatch(/\p{L}/u);
  }
});

test('a lens proposed for text alone has a search and its letters are there for the asking', () => {
  const read = readLens(proposeLens([{ ...described('text', false, 90), role: 'title' }]));
  expect(read.ok && read.value.facets.map((facet) => facet.kind)).toEqual(['search']);
});
