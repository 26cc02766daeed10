import { readFile } from '@ivy/formats';
import type { RawRecord } from '@ivy/core';
import fc from 'fast-check';
import type { Source } from '../../database/source.entity.js';
import { writers } from './post-writers.js';

const keys = ['id', 'title', 'kind', 'seen on'];
const source = {
  ...{ slug: 'notes', name: 'Notes & <more>', site: 'https://a.example', updatedAt: new Date('2026-06-01T00:00:00Z') },
  fields: keys.map((key) => ({ key, role: key === 'id' || key === 'title' ? key : null })),
} as unknown as Source;

/** Text without what no text may hold: nulls, and halves of letters. */
const text = fc.string({ unit: 'grapheme', maxLength: 30 }).map((one) => one.replaceAll('\u0000', ''));
const odd = fc.constantFrom(
  'a,b',
  '"',
  'one\ntwo',
  'x\r\ny',
  ' lead',
  ']]>',
  '<b>&amp;</b>',
  '=1+1',
  '\u0007',
  '\u2028',
  '😀',
  "'",
);
const cell = fc.oneof(text, odd);
const value = fc.oneof(cell, fc.integer(), fc.boolean(), fc.array(cell, { minLength: 1, maxLength: 3 }));
const records = (of: fc.Arbitrary<unknown>) =>
  fc
    .array(fc.tuple(of, of, of), { minLength: 1, maxLength: 8 })
    .map((all) => all.map(([title, kind, seen], i): RawRecord => ({ id: `n-${i}`, title, kind, 'seen on': seen })));

function written(as: string, all: readonly RawRecord[]): Uint8Array {
  const { head, line, between = '', foot = '' } = writers[as]!;
  return new TextEncoder().encode(head(source, keys) + all.map((one) => line(one, keys, source)).join(between) + foot);
}
const again = (as: string, name: string, all: readonly RawRecord[]) =>
  [...readFile(written(as, all), name, { format: as as 'csv' }).records].map((record) => ({ ...record }));

test.each([
  ['ndjson', 'a.ndjson'],
  ['jsonfeed', 'a.json'],
  ['atom', 'a.atom'],
])('whatever records hold, they come in from %s as they went out', (as, name) => {
  fc.assert(fc.property(records(value), (all) => expect(again(as, name, all)).toEqual(all)));
});

test('whatever texts cells hold, they come in from CSV as they went out', () => {
  fc.assert(fc.property(records(cell), (all) => expect(again('csv', 'a.csv', all)).toEqual(all)));
});
