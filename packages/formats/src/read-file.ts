import type { RawRecord } from '@ivy/core';
import { readCsv } from './csv.js';
import { decodeText } from './decode.js';
import { FileProblem } from './file-problem.js';
import { readJson, readNdjson } from './json.js';
import { limits } from './limits.js';

export const fileFormats = ['csv', 'json', 'ndjson'] as const;
export type FileFormat = (typeof fileFormats)[number];

export interface FileReading {
  format: FileFormat;
  records: RawRecord[];
}

/**
 * Reads a file of posts. The format is told by `format`, else by the name's ending, else by its first character.
 * @throws FileProblem with a sentence for people
 */
export function readFile(bytes: Uint8Array, name: string, format?: FileFormat): FileReading {
  if (bytes.length > limits.bytes) {
    throw new FileProblem(
      'too-large',
      `The file is larger than ${limits.bytes / 1024 / 1024} MB. Bring it in as smaller ones.`,
    );
  }
  const text = decodeText(bytes);
  if (text.trim() === '')
    throw new FileProblem('empty-file', 'The file is empty. Bring one in that has at least one post.');
  if (text.includes('\u0000')) {
    throw new FileProblem('unknown-format', 'This is not a text file. Bring in CSV, JSON or NDJSON.');
  }
  const kind = format ?? formatOf(name, text);
  const records = kind === 'csv' ? readCsv(text) : kind === 'json' ? readJson(text) : readNdjson(text);
  if (records.length > limits.records) {
    throw new FileProblem('too-many', `The file has more than ${limits.records} posts. Bring it in as smaller ones.`);
  }
  const fields = new Set(records.flatMap((record) => Object.keys(record))).size;
  if (fields > limits.fields) {
    throw new FileProblem('too-many', `The posts have ${fields} fields; at most ${limits.fields} can be read.`);
  }
  return { format: kind, records };
}

function formatOf(name: string, text: string): FileFormat {
  const ending = /\.([a-z]+)$/i.exec(name)?.[1]?.toLowerCase();
  if (ending === 'csv' || ending === 'tsv') return 'csv';
  if (ending === 'json') return 'json';
  if (ending === 'ndjson' || ending === 'jsonl') return 'ndjson';
  const first = text.replace(/^\ufeff/, '').trimStart()[0];
  return first === '[' || first === '{' ? 'json' : 'csv';
}
