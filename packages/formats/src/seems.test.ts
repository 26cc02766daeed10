import { FileProblem } from './file-problem.js';
import { readFile } from './read-file.js';

const latin = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const utf8 = (text: string) => new TextEncoder().encode(text);

function refusal(bytes: Uint8Array, name = 'posts.csv'): string {
  try {
    readFile(bytes, name);
  } catch (error) {
    if (error instanceof FileProblem) return error.message;
    throw error;
  }
  return 'read';
}

test.each([
  ['\u0089PNG\r\n\u001a\n and more', 'a picture (PNG)'],
  ['\u00ff\u00d8\u00ff\u00e0..JFIF', 'a picture (JPEG)'],
  ['RIFF\u0000\u0000\u0000\u0000WEBPVP8 ', 'a picture (WebP)'],
  ['\u0000\u0000\u0000\u0020ftypheic', 'a picture (AVIF or HEIC)'],
  ['%PDF-1.7', 'a PDF'],
  ['PK\u0003\u0004......word/document.xml', 'a text document (DOCX)'],
  ['\u001f\u008b\u0008', 'a packed file (gzip)'],
  ['SQLite format 3\u0000', 'a database (SQLite)'],
])('a file that begins with %j is said to be %s, whatever it is called', (start, what) => {
  expect(refusal(latin(start), 'posts.csv')).toContain(`This seems to be ${what}, and no table of posts.`);
});

test.each([
  ['<svg xmlns="http://www.w3.org/2000/svg"><path d=""/></svg>', 'a picture (SVG)'],
  ['<?xml version="1.0"?><urlset><url><loc>https://a.example/</loc></url></urlset>', 'a sitemap'],
  ['<rdf:RDF xmlns:skos="http://www.w3.org/2004/02/skos/core#"></rdf:RDF>', 'a list of terms (SKOS)'],
  ['<?xml version="1.0"?><notes><note/></notes>', 'XML'],
  [
    'It was a dark night. The tide was low.\nWe walked along the wall, and counted.\n\nThen we went home.',
    'running text',
  ],
  ['A sentence about terns.\nAnother sentence about waders.\nA third one of them.\n', 'a list of sentences'],
  ['Es war eine dunkle Nacht.\nWir gingen am Deich entlang, und zählten.\nDann gingen wir heim.', 'running text'],
  [
    'Liebe Freunde,\n\nwir laden zu unserem Fest am Samstag. Es gibt Kuchen, Musik und Gespräche.\n\nMit besten Grüßen\nDer Vorstand',
    'running text',
  ],
  ['夜は暗く、潮は引いていた。\n私たちは堤防に沿って歩いた。', 'running text'],
])('%j is said to be %s', (text, what) => {
  expect(refusal(utf8(text), 'notes.txt')).toContain(`This seems to be ${what}`);
});

test.each([
  'id,title\n1,We walked along the wall.\n2,Then we went home again.',
  'note\nWe walked along the wall.\nThen we went home again.',
  'What was seen?,Where it was seen?,When?\nterns,wall,May',
  'What did you see on your walk?,What should be mended there?\nI saw terns and a seal.,The steps to the hide are loose.\nI saw nothing at all.,The gate does not shut any more.',
  'id\n1\n2\n3',
  'title;text\nOne;"It was dark, and the tide was low."',
])('a table of texts is read: %j', (text) => {
  expect(refusal(utf8(text))).toBe('read');
});
