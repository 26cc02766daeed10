import fc from 'fast-check';
import { fieldTypes, plainField, type Field } from '../model/post.js';
import { changedField, readableAs, rereadFields, writtenValue } from './change-field.js';
import type { RawRecord } from './read/cell.js';
import { discoverFields } from './discover.js';

const records = (...values: unknown[]) => values.map((value) => ({ x: value }));
const field = (more: Partial<Field> = {}): Field => ({ ...plainField('x', 'X'), ...more });
/** The one field of some records, read anew. */
function rereadField(one: Field, all: RawRecord[]) {
  const { descriptions, values, terms, findings } = rereadFields(all, {
    fields: [one],
    keys: ['x'],
    today: '2026-06-01',
  });
  const { sureness: _sureness, because: _because, ...description } = descriptions[0]!;
  return { description, values: values.map((each) => each.x), terms: terms.x ?? [], findings };
}
const reads = (one: Field, ...values: unknown[]) => {
  const { values: read, terms } = rereadField(one, records(...values));
  return read.map((value) => writtenValue(one, value, terms));
};

test('what only some types have goes with the type', () => {
  const terms = field({ type: 'terms', multiple: true, separator: '|', tree: true, pathSeparator: '>' });
  expect(changedField(terms, { type: 'text' })).toEqual(field());
  expect(changedField(field(), { type: 'terms', separator: ',' })).toEqual(
    field({ type: 'terms', multiple: true, separator: ',' }),
  );
  expect(changedField(field(), { dateOrder: 'month-day' })).toEqual(field());
  expect(changedField(field({ type: 'date', dateOrder: 'day-month' }), { dateOrder: null })).toEqual(
    field({ type: 'date' }),
  );
});

test('several terms are told by their values: by a list, or by a sign between them', () => {
  const multiple = (more: Partial<Field>, ...values: unknown[]) =>
    rereadField(field({ type: 'terms', ...more }), records(...values)).description.multiple;
  expect([multiple({}, ['a'], 'b'), multiple({ multiple: true }, 'a', 'b'), multiple({ separator: '|' }, 'a')]).toEqual(
    [true, false, true],
  );
});

test('what comes twice counts twice, but for ids', () => {
  expect(reads(field({ role: 'id' }), 'a', 'a', 'b')).toEqual(['a', null, 'b']);
  for (const role of ['link', 'title'] as const) {
    expect(reads(field({ type: role === 'link' ? 'link' : 'text', role }), '/join', '/join', '/x')).toEqual([
      '/join',
      '/join',
      '/x',
    ]);
  }
});

test('several that came as a list stay several', () => {
  const list = field({ type: 'terms', multiple: true });
  expect(reads(changedField(list, { label: 'Y' }), ['a', 'b'], ['b'])).toEqual(['a · b', 'b']);
});

test('days go by what was said, and by how they look where nothing was', () => {
  const days = ['03/04/2026', '05/04/2026'];
  expect(reads(field({ type: 'date', dateOrder: 'month-day' }), ...days)).toEqual(['2026-03-04', '2026-05-04']);
  expect(reads(field({ type: 'date', dateOrder: 'day-month' }), ...days)).toEqual(['2026-04-03', '2026-04-05']);
  expect(reads(field({ type: 'date' }), '12/25/2026', ...days)).toEqual(['2026-12-25', '2026-03-04', '2026-05-04']);
});

test('what can’t be read is left out and told, and so is what is not there', () => {
  const { description, findings } = rereadField(field({ type: 'number' }), records('1', '', 'x', '2', null));
  expect([description.filled, description.spread?.low, description.spread?.high]).toEqual([2, 1, 2]);
  expect(findings.map(({ code, posts, values }) => [code, posts, values])).toEqual([
    ['unreadable-values', 1, ['x']],
    ['gaps', 2, []],
  ]);
});

test('a field that is left out has no values, and nothing to be told of', () => {
  const { description, values, findings } = rereadField(field({ left: true }), records('a', 'b'));
  expect([description.filled, values, findings]).toEqual([0, [undefined, undefined], []]);
});

test('each type says how many values it can read', () => {
  const found = readableAs(field(), records('2026-05-01', '12', 'yes', '/a.png', ''));
  expect(found).toEqual({ text: 4, html: 4, terms: 4, date: 1, datetime: 1, number: 1, boolean: 1, link: 1, image: 1 });
});

test('there and back, by any way, the values are as they were', () => {
  const raw = fc.oneof(
    fc.constantFrom(
      '',
      '03/04/2026',
      '2026-05-01',
      '12',
      '1,250',
      'yes',
      'no',
      'a | b',
      'b',
      'Shore > Mud',
      '/a.png',
      '<b>x</b>',
    ),
    fc.string({ maxLength: 12 }),
    fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 }),
  );
  const change = fc.record(
    {
      type: fc.constantFrom(...fieldTypes),
      separator: fc.constantFrom(null, ',', '|'),
      pathSeparator: fc.constantFrom(null, '>'),
      dateOrder: fc.constantFrom(null, 'day-month' as const, 'month-day' as const),
      left: fc.boolean(),
    },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(
      fc.array(raw, { minLength: 1, maxLength: 20 }),
      fc.array(change, { maxLength: 4 }),
      (values, changes) => {
        const all = records(...values);
        const first = discoverFields(all)[0] ?? field();
        const before = rereadField(first, all);
        const other = changes.reduce(changedField, first);
        rereadField(other, all);
        const { type, separator, pathSeparator } = first;
        const { unit = null, by = null } = first;
        const back = changedField(other, { type, separator, pathSeparator, unit, by, dateOrder: null, left: false });
        const after = rereadField(back, all);
        expect([after.values, after.terms, after.description]).toEqual([
          before.values,
          before.terms,
          before.description,
        ]);
      },
    ),
    { numRuns: 300 },
  );
});
