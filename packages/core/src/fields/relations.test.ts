import type { Field } from '../model/post.js';
import { discoverFields } from './discover.js';
import { privateWords } from './private.js';
import { keyOfObjects } from './relations.js';
import { unitOf, withoutUnit } from './values/units.js';

/** Fields of a table: its head, and its rows. */
function fieldsOf(head: string, ...rows: string[]): Record<string, Field> {
  const keys = head.split(',');
  const records = rows.map((row) => Object.fromEntries(row.split(',').map((cell, i) => [keys[i]!, cell])));
  return Object.fromEntries(discoverFields(records).map((field) => [field.key, field]));
}

test.each([
  ['topic,parent_topic', 'topic', 'parent_topic'],
  ['topic,topic_parent', 'topic', 'topic_parent'],
  ['topic,parent', 'topic', 'parent'],
  ['topics,broader topic', 'topics', 'broader topic'],
])('in %s, %s stands under %s', (head, child, parent) => {
  const fields = fieldsOf(
    `id,title,${head}`,
    '1,A,Mud,Shore',
    '2,B,Shingle,Shore',
    '3,C,Mud,Shore',
    '4,D,Reed,Fen',
    '5,E,Reed,Fen',
  );
  expect(fields[child]).toMatchObject({ type: 'terms', tree: true, parent });
  expect(fields[parent]).toMatchObject({ left: true, because: `It names what stands above each “${child}”.` });
});

test('a column of parents of which each term has several makes no tree', () => {
  const rows = ['1,A,Mud,Shore', '2,B,Mud,Fen', '3,C,Mud,Wall', '4,D,Reed,Shore', '5,E,Reed,Wall', '6,F,Reed,Fen'];
  const fields = fieldsOf('id,title,topic,topic_parent', ...rows);
  expect([fields.topic!.parent, fields.topic_parent!.left]).toEqual([undefined, undefined]);
});

test.each([
  ['start', 'end'],
  ['starts_on', 'ends_on'],
  ['begin', 'end'],
  ['begins', 'ends'],
  ['from', 'to'],
  ['from', 'until'],
  ['first_seen', 'last_seen'],
  ['Start Date', 'End Date'],
  ['opening', 'closing'],
])('%s lasts until %s', (start, end) => {
  const fields = fieldsOf(`id,title,${start},${end}`, '1,A,2026-03-01,2026-03-04', '2,B,2026-04-01,2026-04-02');
  expect(fields[start]!.end).toBe(end === 'closing' ? undefined : end);
});

test('two days that have nothing to do with each other are no span', () => {
  const fields = fieldsOf('id,title,seen,published', '1,A,2026-03-01,2026-03-04', '2,B,2026-04-01,2026-04-02');
  expect([fields.seen!.end, fields.published!.end]).toEqual([undefined, undefined]);
});

test.each([
  ['mail', ['ann@example.org', 'bo@example.org'], true],
  ['x', ['mailto:ann@example.org'], true],
  ['phone', ['040 123 4567', '040/765 43 21'], true],
  ['x', ['+49 40 1234567', '+44 20 7946 0000'], true],
  ['code', ['040 123 4567', '040 765 4321'], false],
  ['note', ['write to ann@example.org', 'or not'], false],
  ['phone', ['ask at the hide', 'none'], false],
])('%s of %j is left out: %s', (key, texts, isPrivate) => {
  expect(privateWords(key, texts) !== null).toBe(isPrivate);
});

test('a field one is known by is shown, whatever it looks like', () => {
  const fields = fieldsOf('id,title', 'ann@example.org,A', 'bo@example.org,B');
  expect(fields.id).toMatchObject({ role: 'id' });
  expect(fields.id!.left).toBeUndefined();
});

test.each([
  [['12 min', '3 min'], 'min'],
  [['3.5km', '12km'], 'km'],
  [['EUR 12', 'EUR 3.50'], 'EUR'],
  [['12 m²', '3 m²'], 'm²'],
  [['12 min', '3 h'], undefined],
  [['1st', '1st'], undefined],
  [['12 May', '14 May'], undefined],
  [['10 am', '11 am'], undefined],
  [['Room 1', 'Room 2'], undefined],
  [['12 min'], undefined],
])('%j has the unit %s', (texts, unit) => {
  expect(unitOf(texts)).toBe(unit);
});

test.each([
  ['12 min', 'min', '12'],
  ['12 Min.', 'min', '12 Min.'],
  ['12 MIN', 'min', '12'],
  ['EUR 12', 'EUR', ' 12'],
  ['12', 'min', '12'],
])('%s without %s is %s', (text, unit, bare) => {
  expect(withoutUnit(text, unit)).toBe(bare);
});

test('objects go by what is called a name, or by the text that differs most', () => {
  expect(keyOfObjects([{ code: 'w', de_name: 'Watt' }])).toBe('de_name');
  expect(
    keyOfObjects([
      { n: 1, de: 'Watt' },
      { n: 2, de: 'Ried' },
    ]),
  ).toBe('de');
  expect(keyOfObjects([{ n: 1 }, { n: 2 }])).toBe('n');
  expect(keyOfObjects([{}, { list: [1] }])).toBeUndefined();
});
