import { givenFiles } from '../test/given-files.js';
import type { GivenCase } from '../test/given/case.js';
import { readFile } from './read-file.js';

const today = '2026-06-30';
const utf8 = (text: string) => new TextEncoder().encode(text);

test('there are sixty of them, and more', () => {
  expect(Object.keys(givenFiles).length).toBeGreaterThanOrEqual(60);
});

test.each(Object.entries<GivenCase>(givenFiles))('%s', (_name, given) => {
  const { name, options, type, address } = given;
  const bytes = typeof given.bytes === 'string' ? utf8(given.bytes) : given.bytes;
  const reading = readFile(bytes, name, {
    ...{ today, ...(options && { options }), ...(type !== undefined && { type }) },
    ...(address !== undefined && { address }),
  });
  const records = [...reading.records];
  expect([reading.format, records.length, reading.records.length]).toEqual([
    given.format,
    given.records,
    given.records,
  ]);
  if (given.first) expect(records[0]).toMatchObject(given.first);
  if (given.last) expect(records.at(-1)).toMatchObject(given.last);
  expect((reading.rejected ?? []).map(({ line }) => line)).toEqual(given.rejected ?? []);
});

test('of several lists in JSON all are told, the likeliest first', () => {
  const text = JSON.stringify({
    authors: [{ id: 1 }],
    notes: [{ id: 1, title: 'A' }, { id: 2 }],
    none: [],
    plain: [1],
  });
  expect(readFile(utf8(text), 'a.json').lists).toEqual([
    { path: '/notes', records: 2, names: ['id', 'title'] },
    { path: '/authors', records: 1, names: ['id'] },
  ]);
});

test('how a table was read is told, so that it can be said otherwise', () => {
  expect(readFile(utf8('Title of it;;;\na;b;c;d\n1;2;3;4\n5;6;7;8'), 'a.csv').options).toEqual({
    ...{ encoding: 'utf-8', delimiter: ';', quote: '"', header: true, skip: 1 },
  });
});
