import { workbookOf } from '../sheet.js';
import { encode, wide, type GivenCase } from './case.js';

const csvOf = (...lines: string[]) => lines.join('\n');

export const tables: Record<string, GivenCase> = {
  'cells parted by pipes': {
    ...{ name: 'a.csv', bytes: 'id|title|kind\n1|A, and more|x\n2|B, too|y', format: 'csv', records: 2 },
    first: { id: '1', title: 'A, and more', kind: 'x' },
  },
  'semicolons with more commas than semicolons': {
    ...{ name: 'a.csv', bytes: 'id;preis;text\n1;1,50;a, b, c\n2;2,00;d, e\n3;3,10;f', format: 'csv', records: 3 },
    first: { preis: '1,50', text: 'a, b, c' },
  },
  'single quotes around cells': {
    ...{ name: 'a.csv', bytes: "id,title\n'1','Walk, long'\n'2','It''s here'", format: 'csv', records: 2 },
    first: { id: '1', title: 'Walk, long' },
    last: { title: "It's here" },
  },
  'a title line above': {
    name: 'a.csv',
    bytes: csvOf('Notes of May 2026,,,', '', 'id,title,kind,place', '1,A,x,Mudflat', '2,B,y,Lagoon'),
    ...{ format: 'csv', records: 2, first: { id: '1', place: 'Mudflat' } },
  },
  'no line of names': {
    name: 'a.csv',
    bytes: csvOf('1,Walk,2026-05-01', '2,Talk,2026-05-02', '3,Count,2026-05-03'),
    ...{ format: 'csv', records: 3, first: { 'column 1': '1', 'column 3': '2026-05-01' } },
  },
  'no line of names, said by hand': {
    ...{ name: 'a.csv', bytes: 'Mudflat,Walk\nLagoon,Talk', options: { header: false }, format: 'csv', records: 2 },
    first: { 'column 1': 'Mudflat' },
  },
  'lines above that are skipped by hand': {
    ...{ name: 'a.csv', bytes: 'x,y\nid,title\n1,A', options: { skip: 1 }, format: 'csv', records: 1 },
    first: { id: '1', title: 'A' },
  },
  'a delimiter said by hand': {
    ...{ name: 'a.csv', bytes: 'a,b;c\n1,2;3', options: { delimiter: ';' }, format: 'csv', records: 1 },
    first: { 'a,b': '1,2', c: '3' },
  },
  'UTF-16 with a mark': {
    ...{
      name: 'a.csv',
      bytes: wide('id,title\n1,Möwe', false, true),
      format: 'csv',
      records: 1,
      first: { title: 'Möwe' },
    },
  },
  'UTF-16, the other way round, without a mark': {
    ...{ name: 'a.csv', bytes: wide('id,title\n1,Möwe\n2,Watt', true, false), format: 'csv', records: 2 },
    first: { id: '1', title: 'Möwe' },
  },
  'Windows-1250, as Polish spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id;nazwa\n1;Żółte łąki nad brzegiem\n2;Gęś i ślad na śniegu\n3;Świt nad rzeką', {
      ...{ Ż: 0xaf, ó: 0xf3, ł: 0xb3, ą: 0xb9, ę: 0xea, ś: 0x9c, Ś: 0x8c, G: 0x47 },
    }),
    ...{ format: 'csv', records: 3, first: { nazwa: 'Żółte łąki nad brzegiem' }, last: { nazwa: 'Świt nad rzeką' } },
  },
  'Windows-1251, as Russian spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id;имя\n1;Чайка над водой\n2;Тростник', {
      ...Object.fromEntries([...'абвгдежзийклмнопрстуфхцчшщъыьэюя'].map((letter, i) => [letter, 0xe0 + i])),
      ...Object.fromEntries([...'АБВГДЕЖЗИЙКЛМНОПРСТУФХЦЧШЩЪЫЬЭЮЯ'].map((letter, i) => [letter, 0xc0 + i])),
    }),
    ...{ format: 'csv', records: 2, first: { имя: 'Чайка над водой' } },
  },
  'MacRoman, as old spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id,title\n1,Möwen über der Küste\n2,Caf\u00e9 am Fluß\n3,Größe der Flächen', {
      ...{ ö: 0x9a, ü: 0x9f, é: 0x8e, ß: 0xa7, ä: 0x8a },
    }),
    ...{ format: 'csv', records: 3, first: { title: 'Möwen über der Küste' }, last: { title: 'Größe der Flächen' } },
  },
  'Windows-1252 with its signs': {
    ...{
      name: 'a.csv',
      bytes: encode('id,title\n1,“Terns” – at dawn\n2,Café', { '“': 0x93, '”': 0x94, '–': 0x96, é: 0xe9 }),
    },
    ...{ format: 'csv', records: 2, first: { title: '“Terns” – at dawn' } },
  },
  'an encoding said by hand': {
    ...{
      name: 'a.csv',
      bytes: Uint8Array.from([0x61, 0x0a, 0xe4]),
      options: { encoding: 'windows-1251' },
      format: 'csv',
    },
    ...{ records: 1, first: { a: 'д' } },
  },
  'a quote in the middle of a cell': {
    ...{
      name: 'a.csv',
      bytes: csvOf('id,title,kind', '1,A,x', '2,B "old" wall,y', '3,D,x'),
      format: 'csv',
      records: 3,
    },
    last: { id: '3' },
  },
  'a quote that is never closed, in one row': {
    ...{ name: 'a.csv', bytes: csvOf('id,title,kind', '1,A,x', '2,"B,y', '3,C,z', '4,D,x') },
    ...{ format: 'csv', records: 3, rejected: [3], last: { id: '4', kind: 'x' } },
  },
  'TSV with quotes that are no quotes for rows': {
    ...{ name: 'a.tsv', bytes: 'id\ttitle\n1\tA\n2\tB', format: 'tsv', records: 2, first: { id: '1', title: 'A' } },
  },
  'a table that came as text': {
    ...{ name: 'download', type: 'text/csv; charset=utf-8', bytes: 'id,title\n1,A', format: 'csv', records: 1 },
  },
  'a table whose first cell is a bracket': {
    ...{ name: 'a.csv', bytes: '[id],title\n1,A\n2,B', format: 'csv', records: 2, first: { '[id]': '1' } },
  },
  'a workbook': {
    name: 'a.xlsx',
    bytes: workbookOf([
      ['id', 'title', 'seen', 'minutes'],
      [1, 'Walk & talk', { day: 46143 }, 12.5],
      [2, 'Count', { day: 46144.5 }, 0.30000000000000004],
    ]),
    ...{ format: 'xlsx', records: 2, first: { id: '1', title: 'Walk & talk', seen: '2026-05-01', minutes: '12.5' } },
    last: { seen: '2026-05-02T12:00', minutes: '0.3' },
  },
  'a workbook whose first sheet is hidden, with a title above': {
    name: 'a.xlsx',
    bytes: workbookOf([['Notes', null, null], [null], ['id', 'title', 'kind'], [1, 'A', 'x'], [2, 'B', 'y']], true),
    ...{ format: 'xlsx', records: 2, first: { id: '1', kind: 'x' } },
  },
};
