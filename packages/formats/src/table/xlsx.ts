import { FileProblem } from '../file-problem.js';
import type { GivenFile, Reading, ReadOptions } from '../format.js';
import { limits } from '../limits.js';
import { child, eachElement, type Element } from '../feed/xml.js';
import { decodeText } from '../decode.js';
import { tableOfRows } from './table-of-rows.js';

/** Parts of a workbook (ECMA-376) that are looked at. */
export function isPartOfWorkbook(name: string): boolean {
  return /^(?:xl\/(?:workbook|styles|sharedStrings)\.xml|xl\/_rels\/workbook\.xml\.rels|xl\/worksheets\/[^/]+\.xml)$/i.test(
    name,
  );
}

/** Reads the first sheet of a workbook that is shown, as a table. */
export function readXlsx(parts: readonly GivenFile[], said: ReadOptions): Reading {
  const text = (name: string) => {
    const part = parts.find((one) => one.name.toLowerCase() === name.toLowerCase());
    return part && decodeText(part.bytes);
  };
  const book = text('xl/workbook.xml');
  if (book === undefined) throw new FileProblem('broken-file', 'This is no workbook: it has no list of sheets.');
  const sheet = text(firstSheet(book, text('xl/_rels/workbook.xml.rels') ?? ''));
  if (sheet === undefined) throw new FileProblem('broken-file', 'The first sheet of the workbook is not in it.');
  const strings = readStrings(text('xl/sharedStrings.xml') ?? '');
  const { days, since1904 } = {
    days: readDayStyles(text('xl/styles.xml') ?? ''),
    since1904: /date1904="(?:1|true)"/.test(book),
  };
  const all = readRows(sheet, strings, days, since1904).filter((row) => row.some((cell) => cell.trim() !== ''));
  if (all.length === 0) throw new FileProblem('empty-file', 'The first sheet is empty. Put the table of posts there.');
  return tableOfRows(all, said, 'first sheet');
}

const relations = '{http://schemas.openxmlformats.org/officeDocument/2006/relationships}id';

/** Where the first sheet stands that is not hidden. */
function firstSheet(book: string, rels: string): string {
  const sheets: Element[] = [];
  eachElement(
    book,
    (_uri, local) => local === 'sheet',
    (sheet) => sheets.push(sheet),
  );
  const shown = sheets.find(({ attributes }) => (attributes.state ?? 'visible') === 'visible') ?? sheets[0];
  const id = shown?.attributes[relations];
  let target = '';
  if (rels !== '' && id !== undefined) {
    eachElement(
      rels,
      (_uri, local) => local === 'Relationship',
      ({ attributes }) => {
        if (attributes.Id === id) target = attributes.Target ?? '';
      },
    );
  }
  if (target === '') return 'xl/worksheets/sheet1.xml';
  return target.startsWith('/') ? target.slice(1) : `xl/${target}`;
}

function readStrings(text: string): string[] {
  const strings: string[] = [];
  if (text === '') return strings;
  eachElement(
    text,
    (_uri, local) => local === 'si',
    (item) => strings.push(wordsOf(item)),
  );
  return strings;
}

/** The text of a cell, whatever letters of it look like; how it is spoken (in `rPh`) is no part of it. */
function wordsOf(element: Element): string {
  return element.children
    .map((one) => (one.local === 't' ? one.text : one.local === 'rPh' ? '' : wordsOf(one)))
    .join('');
}

/** Numbers of the built-in formats that show a day or a time. */
const dayFormats = new Set([14, 15, 16, 17, 18, 19, 20, 21, 22, 27, 30, 36, 45, 46, 47, 50, 57]);

/** Which styles show a number as a day or a moment. */
function readDayStyles(text: string): ReadonlySet<number> {
  const found = new Set<number>();
  if (text === '') return found;
  const own = new Set<number>();
  let styles: Element[] = [];
  eachElement(
    text,
    (_uri, local) => local === 'numFmts' || local === 'cellXfs',
    (element) => {
      if (element.local === 'cellXfs') styles = element.children;
      else {
        for (const { attributes } of element.children) {
          const code = (attributes.formatCode ?? '').replace(/"[^"]*"|\[[^\]]*\]|\\./g, '');
          if (/[dy]|m.*[dy]|h.*m/i.test(code)) own.add(Number(attributes.numFmtId));
        }
      }
    },
  );
  styles.forEach(({ attributes }, i) => {
    const format = Number(attributes.numFmtId);
    if (dayFormats.has(format) || own.has(format)) found.add(i);
  });
  return found;
}

function readRows(
  sheet: string,
  strings: readonly string[],
  days: ReadonlySet<number>,
  since1904: boolean,
): string[][] {
  const rows: string[][] = [];
  eachElement(
    sheet,
    (_uri, local) => local === 'row',
    (row) => {
      if (rows.length > limits.records) {
        throw new FileProblem(
          'too-many',
          `The sheet has more than ${limits.records} rows. Bring it in as smaller ones.`,
        );
      }
      const cells: string[] = [];
      for (const cell of row.children) {
        const at = columnOf(cell.attributes.r ?? '') ?? cells.length;
        if (at > limits.fields + 100) continue;
        while (cells.length < at) cells.push('');
        cells[at] = valueOf(cell, strings, days, since1904);
      }
      rows.push(cells);
    },
  );
  return rows;
}

/** `AB12` stands in the 28th column: 27, from 0. */
function columnOf(place: string): number | null {
  const letters = /^[A-Z]+/i.exec(place)?.[0].toUpperCase();
  if (letters === undefined) return null;
  return [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0) - 1;
}

function valueOf(cell: Element, strings: readonly string[], days: ReadonlySet<number>, since1904: boolean): string {
  const { t: type = 'n', s: style } = cell.attributes;
  if (type === 'inlineStr') return wordsOf(child(cell, 'is') ?? cell);
  const text = child(cell, 'v')?.text ?? '';
  if (type === 's') return strings[Number(text)] ?? '';
  if (type === 'b') return text === '1' ? 'true' : 'false';
  if (type === 'e') return '';
  if (type !== 'n' || text === '') return text;
  if (style !== undefined && days.has(Number(style))) return momentOf(Number(text), since1904);
  // figures come as computers hold them: 0.1 + 0.2 is meant to be 0.3
  return String(Number(Number(text).toPrecision(15)));
}

/** Days since the end of 1899 (or the beginning of 1904) as ISO 8601 writes them. */
function momentOf(days: number, since1904: boolean): string {
  if (!Number.isFinite(days)) return '';
  const start = since1904 ? Date.UTC(1904, 0, 1) : Date.UTC(1899, 11, 30);
  const moment = new Date(start + Math.round(days * 86_400) * 1000);
  if (Number.isNaN(moment.getTime())) return '';
  const text = moment.toISOString();
  if (days < 1 && days > 0) return text.slice(11, 16);
  return Number.isInteger(days) ? text.slice(0, 10) : text.slice(0, 16);
}
