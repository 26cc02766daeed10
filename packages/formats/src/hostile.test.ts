import { zipSync } from 'fflate';
import { zipOf } from '../test/sheet.js';
import { FileProblem } from './file-problem.js';
import { limits } from './limits.js';
import { readFile } from './read-file.js';

const utf8 = (text: string) => new TextEncoder().encode(text);
const laughs = [
  '<!DOCTYPE rss [<!ENTITY a "ha">',
  ...Array.from({ length: 12 }, (_, i) => {
    const [own, before] = [String.fromCharCode(98 + i), String.fromCharCode(97 + i)];
    return `<!ENTITY ${own} "${`&${before};`.repeat(10)}">`;
  }),
  ']><rss version="2.0"><channel><item><title>&m;</title></item></channel></rss>',
].join('\n');
const outside =
  '<!DOCTYPE rss [<!ENTITY x SYSTEM "file:///etc/passwd">]><rss version="2.0"><channel><item><title>&x;</title></item></channel></rss>';
const nested = (times: number) => `${'<b>'.repeat(times)}${'</b>'.repeat(times)}`;
const bomb = zipSync({ 'a.csv': new Uint8Array(60 * 1024 * 1024) }, { level: 9 });
/** A zip in a zip is no file of posts, and is not unpacked. */
const matryoshka = zipOf({ 'inner.zip': bomb });
const aliases = [
  '---',
  'a: &a [x,x,x,x,x,x,x,x,x]',
  ...'bcdefghij'.split('').map((name, i) => `${name}: &${name} [${Array(9).fill(`*${'abcdefghi'[i]}`).join(',')}]`),
  '---',
  'Text',
].join('\n');

/** What would take all memory, all time, or what is none of its business. */
const hostile: Record<string, [name: string, bytes: Uint8Array, words: RegExp]> = {
  'entities that grow': ['a.xml', utf8(laughs), /entities of its own/],
  'entities that name a file': ['a.xml', utf8(outside), /entities of its own/],
  'XML without end of depth': [
    'a.xml',
    utf8(`<rss version="2.0"><channel><item>${nested(100_000)}</item></channel></rss>`),
    /nests deeper than 32/,
  ],
  'a page without end of depth': ['a.html', utf8(`<html><body>${'<div>'.repeat(100_000)}`), /nests deeper/],
  'JSON without end of depth': ['a.json', utf8(`${'{"a":['.repeat(100_000)}`), /nests deeper than 32/],
  'a zip that fills all memory': ['a.zip', bomb, /larger than \d+ MB unpacked/],
  'a zip of such a zip': ['a.zip', matryoshka, /no file of posts/],
  'a zip of too many files': [
    'a.zip',
    zipOf(Object.fromEntries(Array.from({ length: limits.packedFiles + 1 }, (_, i) => [`${i}.md`, '']))),
    /more than 20000 files/,
  ],
  'YAML whose aliases grow': ['a.md', utf8(aliases), /names a part of itself/],
  'YAML with tags': ['a.md', utf8('---\na: !!js/function "x"\nb: !own y\n---\nText'), /tags of its own/],
  'too many columns': [
    'a.csv',
    utf8(`${Array.from({ length: 600 }, (_, i) => `c${i}`).join(',')}\n${'1,'.repeat(599)}1`),
    /600 columns/,
  ],
  'too many fields': [
    'a.json',
    utf8(JSON.stringify([Object.fromEntries(Array.from({ length: 600 }, (_, i) => [`c${i}`, 1]))])),
    /600 fields/,
  ],
  'a sheet with strings that are not there': [
    'a.xlsx',
    zipOf({
      'xl/workbook.xml': '<workbook><sheets><sheet name="A"/></sheets></workbook>',
      'xl/worksheets/sheet1.xml': '<x/>',
    }),
    /sheet is empty/,
  ],
};

test.each(Object.entries(hostile))('%s: it is refused, soon and in little memory', (_name, [name, bytes, words]) => {
  const began = performance.now();
  const before = process.memoryUsage().rss;
  let said = 'read';
  try {
    readFile(bytes, name);
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    said = error.message;
  }
  expect(said).toMatch(words);
  expect(performance.now() - began).toBeLessThan(8000);
  expect(process.memoryUsage().rss - before).toBeLessThan(700 * 1024 * 1024);
});

test('an event that recurs each second is listed no more than so often', () => {
  const text =
    'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:1\nSUMMARY:A\nDTSTART:20260101T000000Z\nRRULE:FREQ=SECONDLY\nEND:VEVENT\nEND:VCALENDAR';
  const began = performance.now();
  expect(readFile(utf8(text), 'a.ics', { today: '2026-06-30' }).records.length).toBeLessThanOrEqual(1000);
  expect(performance.now() - began).toBeLessThan(8000);
});
