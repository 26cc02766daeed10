import { fileFormats } from './format.js';
import { formatNamed, formatOf, labelOf } from './formats.js';

const of = (name: string, text: string, type?: string) => formatOf(name, text, type).name;

test.each([
  ['feed.json', '{"version":"https://jsonfeed.org/version/1.1","items":[]}', '', 'jsonfeed'],
  ['feed.csv', '<rss version="2.0"><channel/></rss>', 'text/csv', 'rss'],
  ['feed', '<?xml version="1.0"?>\n<!-- notes -->\n<feed xmlns="http://www.w3.org/2005/Atom"/>', 'text/html', 'atom'],
  ['calendar.txt', 'BEGIN:VCALENDAR\nEND:VCALENDAR', 'text/plain', 'ics'],
  ['notes.json', '{"a":1}\n{"a":2}', 'application/json', 'ndjson'],
  ['index.php', '<!doctype html><title>x</title>', '', 'html'],
  ['index', '<!-- made by hand -->\n<html>', '', 'html'],
])('%s that begins %j (%s) leaves no doubt: it is %s', (name, text, type, format) => {
  expect(of(name, text, type)).toBe(format);
});

test.each([
  ['a.csv', '[id],title\n1,A', '', 'csv'],
  ['a.tab', 'id\ttitle', '', 'tsv'],
  ['a', '{"a":1}', 'text/csv; charset=utf-8', 'csv'],
  ['a.md', '# A heading', '', 'markdown'],
  ['a.csv', '---\na: 1\n---\n', '', 'csv'],
  ['A.JSON', '{"a":[]}', '', 'json'],
])('%s that begins %j could be more than one thing: it is what it is called (%s), %s', (name, text, type, format) => {
  expect(of(name, text, type)).toBe(format);
});

test.each([
  ['a.txt', '[{"a":1}]', 'json'],
  ['notes', '---\ntitle: A\n---\nText', 'markdown'],
  ['a.txt', 'id,title\n1,A', 'csv'],
  ['a', 'plain words', 'csv'],
])('%s, of which nothing is known, is told by how it begins: %j is %s', (name, text, format) => {
  expect(of(name, text, 'application/octet-stream')).toBe(format);
});

test('a mark of byte order and blanks at the front hide nothing', () => {
  expect(of('a', '\ufeff\n  <rss version="2.0">')).toBe('rss');
});

test('every format has a name for people, and all but packed ones a reader of text', () => {
  for (const format of fileFormats) {
    expect(labelOf(format)).not.toBe('');
    expect(formatNamed(format) === undefined).toBe(format === 'xlsx');
  }
});
