import { FileProblem } from './file-problem.js';
import { readFile } from './read-file.js';

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (text: string, name = 'posts.csv') => [...readFile(bytes(text), name).records];
const refusal = (text: string, name: string) => {
  try {
    readFile(bytes(text), name);
  } catch (error) {
    if (error instanceof FileProblem) return `${error.code}: ${error.message}`;
    throw error;
  }
  return 'read';
};

test.each([
  ['a,b\n1,"x, y"\n', [{ a: '1', b: 'x, y' }]],
  ['a;b\r\n1;2', [{ a: '1', b: '2' }]],
  ['a\tb\n1\t2', [{ a: '1', b: '2' }]],
  ['\ufeffa,a,\n1,2,3', [{ a: '1', 'a 2': '2', 'column 3': '3' }]],
  ['a,b\n1\n', [{ a: '1', b: '' }]],
])('reads the table %j', (text, records) => {
  expect(read(text)).toEqual(records);
});

test('reads JSON, a list within JSON, and JSON by the line', () => {
  expect(read('[{"a":1,"b":{"c":[1]}}]', 'x.json')).toEqual([{ a: 1, 'b.c': [1] }]);
  expect(read('{"meta":[1],"items":[{"a":1}]}', 'x')).toEqual([{ a: 1 }]);
  expect(read('{"a":1}\n\n{"a":2}', 'x.ndjson')).toEqual([{ a: 1 }, { a: 2 }]);
});

test('reads what spreadsheets write when it is not UTF-8', () => {
  expect([...readFile(Uint8Array.from([0x61, 0x0a, 0xe4]), 'x.csv').records]).toEqual([{ a: 'ä' }]);
});

test.each([
  ['', 'x.csv', /^empty-file/],
  ['a,b\n', 'x.csv', /^no-posts/],
  ['a,b\n1,"open', 'x.csv', /^broken-file: .*quote/],
  ['[{"a":1},\n{"a":]', 'x.json', /^broken-file: .*near line 2/],
  ['[{"a":1}', 'x.json', /^broken-file/],
  ['{"a":1}', 'x.json', /^no-posts/],
  ['[1,2]', 'x.json', /^no-posts/],
  ['nope\n{"a":', 'x.ndjson', /^broken-file: Line 1/],
  ['PNG\u0000\u0001', 'x.csv', /^unknown-format/],
  ['PK\u0003\u0004 and more of a zip', 'x.csv', /^broken-file: The zip/],
  ['<!DOCTYPE html><html><body>Hi</body></html>', 'x.html', /^no-posts: Nothing on this page repeats/],
  ['<?xml version="1.0"?>\n<rss version="2.0"><channel/></rss>', 'x.xml', /^no-posts: The feed has no items/],
  [`${'['.repeat(100_000)}${']'.repeat(100_000)}`, 'x.json', /^too-large: .*deeper/],
  [`[${'{"a":'.repeat(60)}1${'}'.repeat(60)}]`, 'x.json', /^too-large: .*deeper/],
])('refuses what no file should hold, %#', (text, name, words) => {
  expect(refusal(text, name)).toMatch(words);
});

test('a bracket between quotes does not nest, and neither does one after a quote that stands escaped', () => {
  expect(read(`[{"a":"${'['.repeat(100)}","b":"\\"${'{'.repeat(100)}"}]`, 'x.json')).toHaveLength(1);
});

test('a stray null character does not make a table a picture', () => {
  expect(read('a,b\nx\u0000y and more words in a cell,2')).toEqual([
    { a: 'x\u0000y and more words in a cell', b: '2' },
  ]);
});

test('columns with names that every object has are read like any other', () => {
  const [record] = read('id,constructor,__proto__,toString\n1,Smith,x,y');
  expect(Object.entries(record!)).toEqual([
    ['id', '1'],
    ['constructor', 'Smith'],
    ['proto', 'x'],
    ['toString', 'y'],
  ]);
  expect(Object.keys(read('[{"__proto__":{"a":1},"constructor":2}]', 'x.json')[0]!)).toEqual([
    '__proto__.a',
    'constructor',
  ]);
});
