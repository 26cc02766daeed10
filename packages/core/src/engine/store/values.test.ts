import fc from 'fast-check';
import { field } from '../../../test/arbitrary.js';
import type { Post } from '../../model/post.js';
import { packValues } from './pack-values.js';
import { gatherMapOf } from './gather-map.js';
import { pickValues, valueAt } from './values.js';

const whole = fc.option(fc.oneof(fc.integer({ min: -32_768, max: 32_768 }), fc.integer()), { nil: undefined });

const packed = (values: readonly (number | string | undefined)[], type: 'number' | 'date') =>
  packValues(
    field('x', type),
    values.map((value, i): Post => ({ id: `p${i}`, values: value === undefined ? {} : { x: value } })),
    null,
  );

test('whole numbers of two widths are picked from both', () => {
  const lists = fc.tuple(
    fc.array(whole, { minLength: 1, maxLength: 20 }),
    fc.array(whole, { minLength: 1, maxLength: 20 }),
  );
  fc.assert(
    fc.property(lists, fc.array(fc.integer({ min: -20, max: 19 })), ([old, added], any) => {
      const gatherMap = Int32Array.from(any.filter((pick) => (pick < 0 ? ~pick < added.length : pick < old.length)));
      const found = pickValues(packed(old, 'number'), packed(added, 'number'), gatherMapOf(gatherMap), 0);
      expect(Array.from(gatherMap, (_, p) => valueAt(found, p, null))).toEqual(
        Array.from(gatherMap, (pick) => (pick < 0 ? added[~pick] : old[pick])),
      );
    }),
  );
});

test.each([
  ['number', [32_767, -32_767, undefined], 2],
  ['number', [32_768, 0], 4],
  ['number', [-32_768, 0], 4],
  ['date', ['2026-03-01', undefined], 2],
  ['date', ['2060-03-01', '2026-03-01'], 4],
] as ['number' | 'date', (number | string | undefined)[], number][])(
  '%s values %j take %d bytes each',
  (type, values, bytes) => {
    const found = packed(values, type);
    expect('numbers' in found && found.numbers.BYTES_PER_ELEMENT).toBe(bytes);
    expect(values.map((_, p) => valueAt(found, p, null))).toEqual(values);
  },
);
