import type { Records } from '@ivy/core';
import { readCsv } from './csv.js';
import { decodeText } from './decode.js';
import { FileProblem } from './file-problem.js';
import { readJson, readNdjson } from './json.js';
import { limits } from './limits.js';
import { refuseBinary, refuseMarkup } from './seems.js';

export const fileFormats = ['csv', 'json', 'ndjson'] as const;
export type FileFormat = (typeof fileFormats)[number];

export interface FileReading {
  format: FileFormat;
  records: Records;
}

/**
 * Reads a file of posts. The format is given by `format`, else by the name's ending, else by its first character.
 * @throws FileProblem with a sentence for people
 */
export function readFile(bytes: Uint8Array, name: string, format?: FileFormat): FileReading {
  if (bytes.length > limits.bytes) {
    throw new FileProblem(
      'too-large',
      `The file is larger than ${limits.bytes / 1024 / 1024} MB. Bring it in as smaller ones.`,
    );
  }
  refuseBinary(bytes);
  const text = decodeText(bytes);
  if (text.trim() === '')
    throw new FileProblem('empty-file', 'The file is empty. Bring one in that has at least one post.');
  if (looksBinary(text)) {
    throw new FileProblem('unknown-format', 'This is not a text file. Bring in CSV, JSON or NDJSON.');
  }
  if (!format) refuseMarkup(text);
  const kind = format ?? formatOf(name, text);
  const records = kind === 'csv' ? readCsv(text) : kind === 'json' ? readJson(text) : readNdjson(text);
  if (records.length > limits.records) {
    throw new FileProblem('too-many', `The file has more than ${limits.records} posts. Bring it in as smaller ones.`);
  }
  checkFields(records);
  return { format: kind, records };
}

/** A stray null character is no reason to refuse a text, which goes on without it; one in ten is. */
function looksBinary(text: string): boolean {
  const beginning = text.slice(0, 100_000);
  return beginning.split('\u0000').length - 1 > beginning.length / 10;
}

function checkFields(records: Records): void {
  const names = new Set(records.names);
  if (!records.names) for (const record of records) for (const name of Object.keys(record)) names.add(name);
  if (names.size > limits.fields) {
    throw new FileProblem('too-many', `The posts have ${names.size} fields; at most ${limits.fields} can be read.`);
  }
}

function formatOf(name: string, text: string): FileFormat {
  const ending = /\.([a-z]+)$/i.exec(name)?.[1]?.toLowerCase();
  if (ending === 'csv' || ending === 'tsv') return 'csv';
  if (ending === 'json') return 'json';
  if (ending === 'ndjson' || ending === 'jsonl') return 'ndjson';
  const first = text.replace(/^\ufeff/, '').trimStart()[0];
  return first === '[' || first === '{' ? 'json' : 'csv';
}
