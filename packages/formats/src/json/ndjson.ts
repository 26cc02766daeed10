import type { Rejection } from '@ivy/core';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenText, Reading } from '../format.js';
import { limits } from '../limits.js';
import { checkDepth } from './depth.js';
import { isObject } from './is-object.js';
import { recordsOfObjects } from './objects.js';

export const ndjson: Format = {
  name: 'ndjson',
  label: 'NDJSON',
  endings: ['ndjson', 'jsonl'],
  types: ['application/x-ndjson', 'application/jsonl', 'application/json-seq'],
  isPlain: true,
  begins: (start) => {
    const lines = start.split(/\r?\n/).filter((line) => line.trim() !== '');
    return lines.length > 1 && lines.slice(0, 2).every((line) => /^\s*\{.*\}\s*$/.test(line));
  },
  read: readNdjson,
};

/** Reads one JSON object a line. A line that is none is set aside. */
function readNdjson({ text }: GivenText): Reading {
  const rejected: Rejection[] = [];
  const objects: unknown[] = [];
  let at = 0;
  for (let line = 1; at < text.length; line++) {
    const end = text.indexOf('\n', at);
    const one = text.slice(at, end < 0 ? text.length : end).trim();
    at = end < 0 ? text.length : end + 1;
    if (one === '') continue;
    const read = objectOf(one);
    if (typeof read === 'string') rejected.push({ record: 0, line, reason: read, code: 'broken-row' });
    else objects.push(read);
  }
  if (objects.length === 0 && rejected.length > 0) {
    throw new FileProblem(
      'broken-file',
      `Line ${rejected[0]!.line} is not JSON, and neither is any other. Is it NDJSON?`,
    );
  }
  return { records: recordsOfObjects(objects), rejected };
}

/** Marks before a text: of byte order, and of a sequence of texts (RFC 7464). */
const marks = ['\ufeff', '\u001e'];

/** The object on a line, or why it is none. */
function objectOf(line: string): object | string {
  if (line.length > limits.cell) return `It is longer than ${limits.cell / 1024 / 1024} MB.`;
  try {
    checkDepth(line);
    const value: unknown = JSON.parse(line.slice(marks.some((mark) => line.startsWith(mark)) ? 1 : 0));
    return isObject(value) ? value : 'It is JSON, but no object.';
  } catch (error) {
    return error instanceof FileProblem ? error.message : 'It is not JSON.';
  }
}
