import fc from 'fast-check';
import { field } from '../../../test/arbitrary.js';
import type { FieldType, Post, Value } from '../../model/post.js';
import { packValues } from './pack-values.js';
import { termList } from './term-list.js';
import { valueAt } from './values.js';

const terms = termList(['mud', 'reed', 'sand'].map((slug) => ({ slug, label: slug, parent: null })));
const day = fc.integer({ min: 0, max: 20_000 }).map((n) => new Date(n * 86_400_000).toISOString().slice(0, 10));

/** Values of a kind of field, and now and then none. */
const valuesOf: [FieldType, fc.Arbitrary<Value>][] = [
  ['terms', fc.uniqueArray(fc.constantFrom('mud', 'reed', 'sand'), { minLength: 1 })],
  ['boolean', fc.boolean()],
  ['number', fc.oneof(fc.integer(), fc.constantFrom(-0, 0.1, -0x80000000, 1e300))],
  ['date', day],
  ['date', fc.oneof(day, fc.constantFrom('spring', '2026-1-1'))],
  ['text', fc.string({ unit: 'grapheme', minLength: 1 })],
];

test.each(valuesOf)('every value of a field of %s comes back as it was', (type, value) => {
  const one = fc.array(fc.option(value, { nil: undefined, freq: 4 }), { maxLength: 40 });
  fc.assert(
    fc.property(one, (values) => {
      const posts = values.map((v, i): Post => ({ id: `p${i}`, values: v === undefined ? {} : { x: v } }));
      const packed = packValues(field('x', type), posts, type === 'terms' ? terms : null);
      expect(values.map((_, p) => valueAt(packed, p, terms))).toEqual(values);
    }),
  );
});

test('days are kept as numbers until one is none, and then all as text', () => {
  const packed = (...values: Value[]) =>
    packValues(
      field('x', 'date'),
      values.map((value, i) => ({ id: `p${i}`, values: { x: value } })),
      null,
    ).form;
  expect(packed('2026-03-01', '', '2026-03-02')).toBe('days');
  expect(packed('2026-03-01', 'spring', '2026-03-02')).toBe('texts');
});

test('terms that are not in the list are left out', () => {
  const packed = packValues(field('x', 'terms'), [{ id: 'a', values: { x: ['mud', 'moss', 'sand'] } }], terms);
  expect(valueAt(packed, 0, terms)).toEqual(['mud', 'sand']);
});
