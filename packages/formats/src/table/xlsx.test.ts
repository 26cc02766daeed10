import { workbookOf, zipOf } from '../../test/sheet.js';
import { readFile } from '../read-file.js';

const read = (bytes: Uint8Array, options = {}) => [...readFile(bytes, 'a.xlsx', { options }).records];
const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const sheetOf = (rows: string, more: Record<string, string> = {}) =>
  zipOf({
    'xl/workbook.xml': `<workbook xmlns="${main}"><sheets><sheet name="A"/></sheets></workbook>`,
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${rows}</sheetData></worksheet>`,
    ...more,
  });

test('cells that are left out stay empty, wherever they stand', () => {
  const rows =
    '<row><c r="A1" t="str"><v>id</v></c><c r="C1" t="str"><v>kind</v></c></row><row><c r="A2"><v>1</v></c><c r="C2" t="str"><v>x</v></c></row>';
  expect(read(sheetOf(rows))).toEqual([{ id: '1', 'column 2': '', kind: 'x' }]);
});

test('yes and no, faults and texts of several pieces are read as what they are', () => {
  const rows = `<row><c t="str"><v>id</v></c><c t="str"><v>open</v></c><c t="str"><v>bad</v></c><c t="str"><v>text</v></c></row>
<row><c><v>1</v></c><c t="b"><v>1</v></c><c t="e"><v>#N/A</v></c><c t="inlineStr"><is><r><t>A </t></r><r><t>walk</t></r><rPh><t>no</t></rPh></is></c></row>`;
  expect(read(sheetOf(rows))).toEqual([{ id: '1', open: 'true', bad: '', text: 'A walk' }]);
});

test('days are days by their styles, times alone are times, and a workbook from 1904 is read by that', () => {
  const styles = `<styleSheet xmlns="${main}"><numFmts><numFmt numFmtId="170" formatCode="[$-409]d mmm yyyy"/><numFmt numFmtId="171" formatCode="0.00 &quot;day&quot;"/></numFmts>
<cellXfs><xf numFmtId="0"/><xf numFmtId="170"/><xf numFmtId="20"/><xf numFmtId="171"/></cellXfs></styleSheet>`;
  const rows =
    '<row><c t="str"><v>a</v></c><c t="str"><v>b</v></c><c t="str"><v>c</v></c></row><row><c s="1"><v>46143</v></c><c s="2"><v>0.5</v></c><c s="3"><v>46143</v></c></row>';
  expect(read(sheetOf(rows, { 'xl/styles.xml': styles }))).toEqual([{ a: '2026-05-01', b: '12:00', c: '46143' }]);
  const book = `<workbook xmlns="${main}"><workbookPr date1904="1"/><sheets><sheet name="A"/></sheets></workbook>`;
  expect(read(sheetOf(rows, { 'xl/styles.xml': styles, 'xl/workbook.xml': book }))[0]!.a).toBe('2030-05-02');
});

test('names in no row, and titles above, can be said', () => {
  const bytes = workbookOf([
    ['x', 'y'],
    ['id', 'title'],
    [1, 'A'],
  ]);
  expect(read(bytes, { header: false })).toHaveLength(3);
  expect(read(bytes, { skip: 1 })).toEqual([{ id: '1', title: 'A' }]);
});

test('one without rows, or with names alone, is refused', () => {
  expect(() => read(sheetOf(''))).toThrow('first sheet is empty');
  expect(() => read(workbookOf([['id', 'title']]))).toThrow('no posts under it');
});
