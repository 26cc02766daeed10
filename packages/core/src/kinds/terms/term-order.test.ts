import { type TermFacet } from '../../../test/facets.js';
import { field, lensOf } from '../../../test/arbitrary.js';
import { readAddress } from '../../address/read.js';
import { buildIndex } from '../../engine/index/build.js';

import { answer } from '../../answer/answer.js';
import { arrangeTerms } from './term-order.js';

const places = [
  { slug: 'shore', label: 'Shore', parent: null, count: 3 },
  { slug: 'mud', label: 'Mudflat', parent: 'shore', count: 2 },
  { slug: 'plot-10', label: 'Plot 10', parent: 'shore', count: 1 },
  { slug: 'plot-9', label: 'Plot 9', parent: 'shore', count: 1 },
  { slug: 'inland', label: 'Inland', parent: null, count: 4 },
];
const collection = {
  fields: [field('place', 'terms', { tree: true, multiple: true })],
  taxonomies: { place: places },
  posts: [
    { id: 'a', values: { place: ['mud', 'inland'] } },
    { id: 'b', values: { place: ['mud', 'plot-9', 'inland'] } },
    { id: 'c', values: { place: ['plot-10', 'inland'] } },
    { id: 'd', values: { place: ['inland'] } },
  ],
};

test.each([
  ['as given', {}, 'shore mud plot-10 plot-9 inland'],
  ['by label, figures by their value', { order: 'label' }, 'inland shore mud plot-9 plot-10'],
  ['by own label', { order: 'label', labels: { inland: 'Zone' } }, 'shore mud plot-9 plot-10 inland'],
  ['most posts first, ties by label', { order: 'count' }, 'inland shore mud plot-9 plot-10'],
  ['in an order of its own', { sequence: ['inland', 'plot-9'] }, 'inland shore plot-9 mud plot-10'],
  ['in an order that names a term that is gone', { sequence: ['gone', 'plot-10'] }, 'shore plot-10 mud plot-9 inland'],
  ['by label, whatever order it had', { order: 'label', sequence: ['shore'] }, 'inland shore mud plot-9 plot-10'],
])('terms stand %s, for visitors and on the Bench alike', (_, settings, expected) => {
  const lens = lensOf({ facets: [{ key: 'place', kind: 'tree', field: 'place', ...settings }] });
  const index = buildIndex(collection);
  const [facet] = answer(index, readAddress('', lens, index, 0).query).facets;
  expect('options' in facet! && facet.options.map((option) => option.value).join(' ')).toBe(expected);
  const arranged = arrangeTerms(lens.facets[0] as TermFacet, places);
  expect(arranged.map((term) => term.slug).join(' ')).toBe(expected);
});
