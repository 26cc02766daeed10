import fc from 'fast-check';
import { field } from '../../../test/arbitrary.js';
import type { FieldType, Post, Value } from '../../model/post.js';
import { packValues } from './pack-values.js';
import { reorderValues } from './reorder.js';
import { termList } from './term-list.js';
import { valueAt, type Values } from './values.js';

const terms = termList(['mud', 'reed', 'sand'].map((slug) => ({ slug, label: slug, parent: null })));
const slug = fc.constantFrom('mud', 'reed', 'sand');

/** One kind of values for each way that values are kept. */
const kinds: [Values['form'], FieldType, fc.Arbitrary<Value>][] = [
  ['term', 'terms', slug.map((one) => [one])],
  ['terms', 'terms', fc.uniqueArray(slug, { minLength: 1 })],
  ['flags', 'boolean', fc.boolean()],
  ['wholes', 'number', fc.integer({ min: -9, max: 9 })],
  ['wholes', 'number', fc.integer()],
  ['numbers', 'number', fc.double({ noNaN: true, min: 0.1, max: 0.9 })],
  ['days', 'date', fc.constantFrom('2026-03-01', '1850-01-01')],
  ['texts', 'text', fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 })],
];

test.each(kinds)('%s of %s fields are put in another order', (form, type, value) => {
  const forms = new Set<string>();
  const values = fc.array(fc.option(value, { nil: undefined, freq: 5 }), { minLength: 1, maxLength: 60 });
  fc.assert(
    fc.property(
      values.chain((all) =>
        fc.tuple(fc.constant(all), fc.shuffledSubarray([...all.keys()], { minLength: all.length })),
      ),
      ([all, order]) => {
        const posts = all.map((one, i): Post => ({ id: `p${i}`, values: one === undefined ? {} : { x: one } }));
        const packed = packValues(field('x', type), posts, type === 'terms' ? terms : null);
        const moved = reorderValues(packed, Uint32Array.from(order), terms.terms.length);
        forms.add(packed.form);
        expect(moved.form).toBe(packed.form);
        expect(order.map((_, p) => valueAt(moved, p, terms))).toEqual(order.map((post) => all[post]));
      },
    ),
  );
  expect(forms).toContain(form);
});
