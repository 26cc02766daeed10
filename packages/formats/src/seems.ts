import { FileProblem } from './file-problem.js';

/** What files begin with that are no text, and what such a file is. Bytes as characters of Latin-1, `~` for each below 32. */
const beginnings: readonly [start: string | RegExp, what: string, advice: string][] = [
  ['\u0089PNG', 'a picture (PNG)', 'picture'],
  ['\u00ff\u00d8\u00ff', 'a picture (JPEG)', 'picture'],
  ['GIF8', 'a picture (GIF)', 'picture'],
  [/^RIFF[^]{4}WEBP/, 'a picture (WebP)', 'picture'],
  [/^[^]{4}ftyp(?:avif|heic|mif1)/, 'a picture (AVIF or HEIC)', 'picture'],
  [/^[^]{4}ftyp/, 'a film or a sound', 'picture'],
  [/^(?:OggS|ID3|RIFF[^]{4}(?:AVI |WAVE))/, 'a film or a sound', 'picture'],
  ['%PDF-', 'a PDF', 'document'],
  ['{\\rtf', 'a text document (RTF)', 'document'],
  [/^PK~~[^]*?word\//, 'a text document (DOCX)', 'document'],
  [/^PK~~[^]*?mimetypeapplication\/vnd\.oasis\.opendocument\.spreadsheet/, 'a spreadsheet (ODS)', 'spreadsheet'],
  ['~\u008b', 'a packed file (gzip)', 'packed'],
  ['7z\u00bc\u00af', 'a packed file (7z)', 'packed'],
  ['\u00d0\u00cf~\u00e0', 'a document of an office program', 'spreadsheet'],
  ['SQLite format 3', 'a database (SQLite)', 'spreadsheet'],
];

const advices: Record<string, string> = {
  picture: 'Bring in the table of posts that names it.',
  document: 'Save the posts in it as CSV or JSON.',
  spreadsheet: 'Save its sheet as CSV and bring that in.',
  packed: 'Unpack it and bring in what is in it.',
};

/** Bytes that are looked at: what tells a file apart stands at its beginning. */
const looked = 4096;

/** @throws FileProblem that says what a file seems to be that is no text */
export function refuseBinary(bytes: Uint8Array): void {
  const start = Array.from(bytes.subarray(0, looked), (byte) => (byte < 32 ? '~' : String.fromCharCode(byte))).join('');
  const found = beginnings.find(([one]) => (typeof one === 'string' ? start.startsWith(one) : one.test(start)));
  if (found) throw seems(found[1], advices[found[2]]!);
}

/** @throws FileProblem where the names of what is in a packed file say that it is a document */
export function refuseDocument(names: readonly string[]): void {
  if (names.some((name) => name.startsWith('word/'))) throw seems('a text document (DOCX)', advices.document!);
  if (names.some((name) => name.startsWith('ppt/'))) throw seems('a presentation (PPTX)', advices.document!);
  if (names.includes('mimetype')) throw seems('a document that is packed', advices.spreadsheet!);
}

/** @throws FileProblem that says what a text seems to be that is no posts, where nobody said what it is */
export function refuseMarkup(text: string): void {
  const start = text
    .replace(/^\ufeff/, '')
    .trimStart()
    .slice(0, looked);
  if (!start.startsWith('<')) return;
  const advice = 'Of XML, RSS and Atom feeds are read. Save its posts as one of those, or as CSV or JSON.';
  if (/^<svg\b|<svg\b[^>]*xmlns/.test(start)) throw seems('a picture (SVG)', advices.picture!);
  if (/<(?:rdf:RDF|skos:)/.test(start)) {
    throw seems('a list of terms (SKOS)', 'Bring it in at the terms of a source that is there already.');
  }
  if (/<urlset\b|<sitemapindex\b/.test(start)) {
    throw seems('a sitemap', 'It names pages and no more. Give the address of a page that lists the posts.');
  }
  if (/^<\?xml|^<\w[^>]*>/.test(start)) throw seems('XML', advice);
}

/** Lines that are looked at. */
const linesLooked = 200;
/** Words from which a line could be a sentence. */
const fewWords = 4;

/**
 * A first line that is a sentence names no columns; where most lines are sentences they are text to be read, whatever
 * commas stand in them.
 * @throws FileProblem that says so
 */
export function refuseProse(rows: readonly (readonly string[])[]): void {
  const lines = rows.slice(0, linesLooked).map((cells) => cells.join(',').trim());
  const sentences = lines.filter(isSentence).length;
  // lines that have as many cells each, and several, are rows
  const widths = new Set(rows.slice(0, linesLooked).map((cells) => cells.length));
  if (lines.length > 2 && widths.size === 1 && !widths.has(1)) return;
  const isText = lines.length > 0 && isSentence(lines[0]!) && sentences > lines.length / 2;
  if (!isText && !(sentences > 0 && isLoose(rows.slice(0, linesLooked)))) return;
  const isList = rows.length > 2 && rows.every((cells) => cells.filter((cell) => cell.trim() !== '').length <= 1);
  const what = isList ? 'a list of sentences' : 'running text';
  throw seems(what, 'A table of posts has a first line that names its columns, and a line for each post.', 'no-posts');
}

/** Whether lines have as many cells as it happens, and what parts them is followed by a blank, as a comma is in a sentence. */
function isLoose(rows: readonly (readonly string[])[]): boolean {
  const width = rows[0]!.length;
  const asWide = rows.slice(1).filter((cells) => cells.length === width).length;
  const after = rows.flatMap((cells) => cells.slice(1)).filter((cell) => cell.trim() !== '');
  const spaced = after.filter((cell) => /^\s/.test(cell)).length;
  return asWide < (rows.length - 1) * 0.6 && after.length > 0 && spaced >= after.length * 0.8;
}

const withoutBlanks = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Thai}]/gu;
const fewLetters = 8;

function isSentence(line: string): boolean {
  const words = line.match(/[\p{L}\p{M}\p{N}’']+/gu) ?? [];
  // scripts without blanks say more in fewer words
  const isLong = words.length >= fewWords || (line.match(withoutBlanks) ?? []).length >= fewLetters;
  return isLong && /[.!?…。！？:][”"'’)\]]*$/u.test(line);
}

function seems(what: string, advice: string, code: 'unknown-format' | 'no-posts' = 'unknown-format'): FileProblem {
  return new FileProblem(code, `This seems to be ${what}, and no table of posts. ${advice}`);
}
