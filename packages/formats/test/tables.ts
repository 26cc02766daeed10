import { column, csv, type Case } from './case.js';

/** How tables come, and what posts are known by. */
export const tables: Record<string, Case> = {
  // how tables come
  'semicolons, as spreadsheets of many countries save': {
    file: 'id;titel;preis\n1;Watt;1,50\n2;Ried;12,00\n3;Strand;3,20',
    is: { id: 'number as id', preis: 'number decimal comma' },
    read: ['preis', [1.5, 12, 3.2]],
  },
  tabs: { file: ['a.tsv', 'id\ttitle\tkind\n1\tA\tx\n2\tB\ty\n3\tC\tx'], is: { kind: 'terms' } },
  'a mark of byte order at the front': { file: '\ufeffid,title\n1,A\n2,B', is: { id: 'number as id' } },
  'line ends of all sorts': {
    file: 'id,title,kind\r\n1,A,x\r\n2,B,y\r\n3,C,x\r\n',
    is: { kind: 'terms' },
    read: ['kind', [['x'], ['y'], ['x']]],
  },
  'lines within cells': {
    file: csv('id,title,text', '1,A,"one\ntwo"', '2,B,three'),
    read: ['text', ['one\ntwo', 'three']],
  },
  'quotes within cells': {
    file: csv('id,title', '1,"The ""old"" wall"', '2,B'),
    read: ['title', ['The "old" wall', 'B']],
  },
  'empty lines between': { file: csv('id,title', '', '1,A', '', '2,B', ''), read: ['title', ['A', 'B']] },
  'a column without a name': { file: csv('id,title,', '1,A,x', '2,B,y'), is: { 'column 3': 'text' } },
  'two columns of one name': {
    file: csv('id,title,kind,kind', '1,A,x,p', '2,B,x,p', '3,C,y,q', '4,D,y,q'),
    is: { kind: 'terms', 'kind 2': 'terms' },
  },
  'rows that end early': { file: csv('id,title,kind', '1,A', '2,B,x', '3,C,x'), found: ['gaps in kind'] },
  'a comma too many': {
    file: csv('id,title,summary', '1,A,plain words', '2,B,words, and more', '3,C,plain words again'),
    is: { 'column 4': 'left out' },
    found: ['extra-cells in summary'],
  },
  'commas at the ends of all rows': {
    file: csv('id,title,kind', '1,A,x,', '2,B,x,', '3,C,y,'),
    not: ['extra-cells in kind'],
  },
  'names with blanks around': {
    file: csv(' id , title ', '1,A', '2,B'),
    is: { id: 'number as id', title: 'text as title' },
  },
  'names in capitals': {
    file: csv('ID,TITLE,KIND', '1,A,x', '2,B,x', '3,C,y'),
    is: { TITLE: 'text as title', KIND: 'terms' },
  },
  'null characters': { file: column('kind', ['a\u0000', 'a', 'b', 'b']), found: ['lost-characters in kind'] },
  'Latin letters of another encoding': {
    file: ['alt.csv', Uint8Array.from([...'id,title\n1,Caf'].map((c) => c.charCodeAt(0)).concat(0xe9, 10, 50, 44, 66))],
    read: ['title', ['Café', 'B']],
  },
  // ids, titles and what posts are known by
  'ids with one that comes twice': {
    file: csv('id,title', ...Array.from({ length: 20 }, (_, i) => `n${i === 7 ? 3 : i},Post ${i}`)),
    is: { id: 'text as id' },
    found: ['duplicate-ids in id'],
  },
  'numbers that come often are no ids': {
    file: csv('id,title', '1,A', '1,B', '1,C', '2,D', '2,E'),
    is: { id: 'number' },
  },
  'ids with noughts in front': {
    file: csv('id,title', '001,A', '002,B', '010,C'),
    is: { id: 'text as id' },
    read: ['id', ['001', '002', '010']],
  },
  'a key of letters and figures': {
    file: csv('note_key,headline', 'a-1,One', 'b-2,Two'),
    is: { headline: 'text as title' },
  },
  'two of one title': { file: csv('id,title', '1,Walk', '2,Count', '3,walk '), found: ['duplicate-titles in title'] },
  'two of one link': {
    file: csv('id,title,url', '1,A,https://example.org/a', '2,B,https://example.org/b', '3,C,https://example.org/a/'),
    found: ['duplicate-links in url'],
  },
  'a slug as the key': {
    file: csv('slug,name', 'first-walk,First walk', 'second-walk,Second walk'),
    is: { slug: 'text as id', name: 'text as title' },
  },
};
