import fc from 'fast-check';
import { dialectOf, isHeader, titleLines } from './dialect.js';

const rows = (...lines: string[]) => lines.map((line) => line.split(','));

test.each([
  ['a,b\n1,2', ',', '"'],
  ['a;b;c\n1,5;2,5;x\n2,5;1,0;y', ';', '"'],
  ['a\tb, c\n1\t2, 3', '\t', '"'],
  ['a|b\n1|2, and more, and more', '|', '"'],
  ["'a','b'\n'1;2','3'", ',', "'"],
  ['"a;x";"b"\n"1,2,3";"2"', ';', '"'],
  ["it's,that's\n1,2", ',', '"'],
  ['one column\nof words', ',', '"'],
])('%j has cells parted by %j in quotes %j', (text, delimiter, quote) => {
  expect(dialectOf(text, {})).toEqual({ delimiter, quote });
});

test('what is said counts, whatever is found', () => {
  expect(dialectOf('a,b\n1,2', { delimiter: ';', quote: "'" })).toEqual({ delimiter: ';', quote: "'" });
});

test('any sign is found again in a table that was written with it', () => {
  const cell = fc.stringMatching(/^[a-z]{1,8}$/);
  const table = fc
    .integer({ min: 2, max: 6 })
    .chain((width) =>
      fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 2, maxLength: 10 }),
    );
  fc.assert(
    fc.property(table, fc.constantFrom(',', ';', '\t', '|'), (cells, sign) => {
      expect(dialectOf(cells.map((row) => row.join(sign)).join('\n'), {}).delimiter).toBe(sign);
    }),
  );
});

test.each([
  [rows('Notes of May,,,', 'id,title,kind,place', '1,A,x,y', '2,B,x,y'), 1],
  [rows('Notes,,,', 'made by hand,,,', 'id,title,kind,place', '1,A,x,y', '2,B,x,y', '3,C,x,y'), 2],
  [rows('id,title,kind,place', '1,A,x,y'), 0],
  [rows('id,title', '1,A'), 0],
])('above %j stand %i titles', (table, count) => {
  expect(titleLines(table)).toBe(count);
});

test.each([
  [rows('id,title,seen', '1,A,2026-05-01', '2,B,2026-05-02', '3,C,2026-05-03'), true],
  [rows('1,A,2026-05-01', '2,B,2026-05-02', '3,C,2026-05-03'), false],
  [rows('2024,2025,2026', '1,2,3', '4,5,6', '7,8,9'), false],
  [rows('Mudflat,Walk', 'Lagoon,Talk', 'Reedbed,Count'), true],
  [rows('link', 'https://a.example/1', 'https://a.example/2'), true],
  [rows('only a line'), true],
])('the first of %j names columns: %s', (table, is) => {
  expect(isHeader(table)).toBe(is);
});
