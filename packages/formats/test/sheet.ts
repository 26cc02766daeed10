import { strToU8, zipSync } from 'fflate';

/** A zip of some files. */
export function zipOf(files: Readonly<Record<string, string | Uint8Array>>): Uint8Array {
  return zipSync(
    Object.fromEntries(
      Object.entries(files).map(([name, text]) => [name, typeof text === 'string' ? strToU8(text) : text]),
    ),
  );
}

/** A workbook of one sheet: texts in a list of their own, figures as they are, days as a style shows them. */
export function workbookOf(
  rows: readonly (readonly (string | number | { day: number } | null)[])[],
  hidden = false,
): Uint8Array {
  const strings: string[] = [];
  const cell = (value: string | number | { day: number } | null, at: string) => {
    if (value === null) return '';
    if (typeof value === 'object') return `<c r="${at}" s="1"><v>${value.day}</v></c>`;
    if (typeof value === 'number') return `<c r="${at}"><v>${value}</v></c>`;
    if (!strings.includes(value)) strings.push(value);
    return `<c r="${at}" t="s"><v>${strings.indexOf(value)}</v></c>`;
  };
  const sheet = rows.map(
    (row, y) =>
      `<row r="${y + 1}">${row.map((value, x) => cell(value, `${String.fromCharCode(65 + x)}${y + 1}`)).join('')}</row>`,
  );
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const text = (words: string) => words.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return zipOf({
    '[Content_Types].xml': '<Types/>',
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${rel}"><sheets>${hidden ? '<sheet name="Old" sheetId="1" state="hidden" r:id="rId1"/>' : ''}<sheet name="Posts" sheetId="2" r:id="rId2"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels':
      '<Relationships><Relationship Id="rId1" Target="worksheets/old.xml"/><Relationship Id="rId2" Target="worksheets/posts.xml"/></Relationships>',
    'xl/styles.xml': `<styleSheet xmlns="${main}"><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs></styleSheet>`,
    'xl/worksheets/old.xml': `<worksheet xmlns="${main}"><sheetData/></worksheet>`,
    'xl/worksheets/posts.xml': `<worksheet xmlns="${main}"><sheetData>${sheet.join('')}</sheetData></worksheet>`,
    'xl/sharedStrings.xml': `<sst xmlns="${main}">${strings.map((one) => `<si><t>${text(one)}</t></si>`).join('')}</sst>`,
  });
}
