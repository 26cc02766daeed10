import type { Records } from '@ivy/core';
import { decodeText, encodingOf } from './decode.js';
import { isOpml } from './feed/opml.js';
import { FileProblem } from './file-problem.js';
import { encodings, type Encoding, type FileFormat, type GivenFile, type Reading, type ReadOptions } from './format.js';
import { formatNamed, formatOf } from './formats.js';
import { joined } from './joined.js';
import { limits } from './limits.js';
import { readMarkdown } from './markdown/markdown.js';
import { isZip, unpack } from './packed/unpack.js';
import { isPartOfWorkbook, readXlsx } from './table/xlsx.js';
import { refuseBinary, refuseDocument, refuseMarkup } from './seems.js';

/** What is known of files beside what they hold. */
export interface ReadAsked {
  format?: FileFormat;
  options?: ReadOptions;
  /** Where they came from, and the media type they came as. */
  address?: string;
  type?: string;
  /** The day it is, `YYYY-MM-DD`. */
  today?: string;
  /** What the field is called that tells of which of several files a post is; null for none. */
  field?: string | null;
}

export interface FileReading extends Reading {
  format: FileFormat;
}

/**
 * Reads a file of posts. The format is the one that is said, else told by how it begins, its name and its media type.
 * @throws FileProblem with a sentence for people
 */
export function readFile(bytes: Uint8Array, name: string, asked: ReadAsked = {}): FileReading {
  return checked(read({ name, bytes }, asked));
}

/**
 * Reads several files as one: Markdown each a post, others of one format one after the other, with the file as a field.
 * @throws FileProblem with a sentence for people
 */
export function readFiles(files: readonly GivenFile[], asked: ReadAsked = {}): FileReading {
  const [first, ...rest] = files;
  if (!first) throw new FileProblem('empty-file', 'There is no file. Bring in one that has at least one post.');
  return checked(rest.length === 0 && !asked.field ? read(first, asked) : readSeveral(files, asked));
}

function read(file: GivenFile, asked: ReadAsked): FileReading {
  const { name, bytes, type = asked.type, address = asked.address } = file;
  if (bytes.length > limits.bytes) throw tooLarge();
  refuseBinary(bytes);
  if (isZip(bytes)) return readPacked({ name, bytes }, asked);
  const encoding = asked.options?.encoding ?? encodingOf(bytes, type);
  const text = decodeText(bytes, encoding);
  if (text.trim() === '')
    throw new FileProblem('empty-file', 'The file is empty. Bring one in that has at least one post.');
  if (!asked.format && looksBinary(text)) {
    throw new FileProblem('unknown-format', 'This is not a text file. Bring in a table, a feed, JSON or a page.');
  }
  const format = (asked.format && formatNamed(asked.format)) ?? formatOf(name, text, type);
  const isTable = format.name === 'csv' || format.name === 'tsv';
  if (isTable && !asked.format) {
    if (isOpml(text.slice(0, 2000))) {
      const words = 'This is a list of feeds (OPML). Begin with an address instead, and bring it in there.';
      throw new FileProblem('unknown-format', words);
    }
    refuseMarkup(text);
  }
  const options = asked.options ?? {};
  const today = asked.today ?? new Date().toISOString().slice(0, 10);
  const reading = format.read({
    name,
    text,
    options,
    today,
    ...(address !== undefined && { address }),
  });
  return {
    format: format.name,
    ...reading,
    options: { ...(isTable && isEncoding(encoding) && { encoding }), ...reading.options },
  };
}

/** A zip: a workbook, pages of Markdown, or files that are read as several are. */
function readPacked(file: GivenFile, asked: ReadAsked): FileReading {
  const options = asked.options ?? {};
  const names: string[] = [];
  const parts = unpack(file.bytes, (name) => {
    names.push(name);
    return isPartOfWorkbook(name) || !/^(?:xl|word|ppt|docProps|_rels|META-INF)\//.test(name);
  });
  if (names.includes('xl/workbook.xml')) return { format: 'xlsx', ...readXlsx(parts, options) };
  refuseDocument(names);
  const files = parts.filter(({ bytes }) => bytes.length > 0);
  const pages = files.filter(({ name }) => /\.(?:md|markdown|mdx)$/i.test(name));
  if (asked.format === 'markdown' || pages.length > files.length / 2) {
    return { format: 'markdown', ...readMarkdown(pages, options) };
  }
  const readable = files.filter(({ name }) => readableNames.test(name));
  if (readable.length === 0) {
    const found = names.slice(0, 3).join(', ');
    throw new FileProblem('no-posts', `The zip has no file of posts in it${found && `, but ${found}`}.`);
  }
  return readable.length === 1 ? read(readable[0]!, asked) : readSeveral(readable, asked);
}

const readableNames = /\.(?:csv|tsv|txt|tab|json|geojson|ndjson|jsonl|rss|rdf|atom|xml|md|markdown|html?|xhtml|ics)$/i;

function readSeveral(files: readonly GivenFile[], asked: ReadAsked): FileReading {
  const total = files.reduce((sum, { bytes }) => sum + bytes.length, 0);
  if (total > limits.unpackedBytes) throw tooLarge();
  const isPage = ({ name }: GivenFile) => /\.(?:md|markdown|mdx)$/i.test(name);
  if (asked.format === 'markdown' || files.every(isPage)) {
    return { format: 'markdown', ...readMarkdown(files, asked.options ?? {}) };
  }
  const readings = files.map((file) => ({
    ...read(file, asked),
    name: file.name,
    ...(file.label !== undefined && { label: file.label }),
  }));
  const { format } = readings[0]!;
  const other = readings.find((one) => one.format !== format);
  // feeds say the same things by the same names, whatever they are written in
  if (other && asked.field !== 'feed') {
    const words = `These files are of several formats: “${files[0]!.name}” and “${other.name}” do not go together. Bring them in one by one.`;
    throw new FileProblem('unknown-format', words);
  }
  return joined(readings, format, asked.field === undefined ? 'file' : asked.field);
}

function checked(reading: FileReading): FileReading {
  const { records } = reading;
  if (records.length > limits.records) {
    throw new FileProblem('too-many', `The file has more than ${limits.records} posts. Bring it in as smaller ones.`);
  }
  checkFields(records);
  return reading;
}

function tooLarge(): FileProblem {
  return new FileProblem(
    'too-large',
    `The file is larger than ${limits.bytes / 1024 / 1024} MB. Bring it in as smaller ones.`,
  );
}

function isEncoding(name: string): name is Encoding {
  return (encodings as readonly string[]).includes(name);
}

/** Signs that no text has. */
const controls = /(?![\t\n\r\f])\p{Cc}/gu;

/** A stray null character is no reason to refuse a text, which goes on without it; many are. */
function looksBinary(text: string): boolean {
  // a sequence of texts has a mark before each
  const beginning = text.slice(0, 100_000).replaceAll('\u001e', '');
  const signs = beginning.match(controls)?.length ?? 0;
  return signs > 1 && (signs > beginning.length / 20 || beginning.split('\u0000').length - 1 > beginning.length / 10);
}

function checkFields(records: Records): void {
  const names = new Set(records.names);
  if (!records.names) for (const record of records) for (const name of Object.keys(record)) names.add(name);
  if (names.size > limits.fields) {
    throw new FileProblem('too-many', `The posts have ${names.size} fields; at most ${limits.fields} can be read.`);
  }
}
