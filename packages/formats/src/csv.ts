import type { RawRecord } from '@ivy/core';
import { parse } from 'csv-parse/sync';
import { FileProblem } from './file-problem.js';
import { limits } from './limits.js';

/** Reads comma, semicolon or tab separated text whose first line names the fields. */
export function readCsv(text: string): RawRecord[] {
  let rows: string[][];
  try {
    rows = parse(text, {
      delimiter: delimiterOf(text),
      bom: true,
      relax_column_count: true,
      skip_empty_lines: true,
      to: limits.records + 2,
    });
  } catch (error) {
    throw new FileProblem('broken-file', `The table could not be read: ${csvReason(error)}`);
  }
  const head = rows[0];
  if (!head) throw new FileProblem('empty-file', 'The file is empty. Bring one in that has at least one post.');
  if (rows.length === 1) {
    throw new FileProblem('no-posts', 'The file has a line of field names and no posts under it.');
  }
  if (head.length > limits.fields) {
    throw new FileProblem('too-many', `The table has ${head.length} columns; at most ${limits.fields} can be read.`);
  }
  const keys = uniqueKeys(head);
  return rows.slice(1).map((row) => Object.fromEntries(keys.map((key, i) => [key, row[i] ?? ''])));
}

/** The separator that parts the first line into most cells, quoted parts left aside. */
function delimiterOf(text: string): string {
  const line = (/^[^\r\n]*/.exec(text)?.[0] ?? '').replace(/"[^"]*"/g, '');
  const counts = [',', ';', '\t'].map((mark): [string, number] => [mark, line.split(mark).length]);
  return counts.sort((a, b) => b[1] - a[1])[0]![0];
}

/** Column names, trimmed; one without a name or with one already taken gets a number. */
function uniqueKeys(head: readonly string[]): string[] {
  const taken = new Set<string>();
  return head.map((cell, i) => {
    const name = cell.trim().slice(0, 120) || `column ${i + 1}`;
    let key = name;
    for (let n = 2; taken.has(key); n++) key = `${name} ${n}`;
    taken.add(key);
    return key;
  });
}

function csvReason(error: unknown): string {
  const { code, lines } = error as { code?: string; lines?: number };
  const where = lines ? ` near line ${lines}` : '';
  if (code === 'CSV_QUOTE_NOT_CLOSED') return `a quote is opened${where} and never closed.`;
  if (code === 'INVALID_OPENING_QUOTE' || code === 'CSV_INVALID_CLOSING_QUOTE') {
    return `a quote stands in the middle of a cell${where}; double it ("") to keep it.`;
  }
  return `its cells do not line up${where}.`;
}
