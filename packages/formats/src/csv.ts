import { cleanText, fieldKeyOf, type RawRecord, type Records } from '@ivy/core';
import { parse } from 'csv-parse/sync';
import { FileProblem } from './file-problem.js';
import { limits } from './limits.js';
import { refuseProse } from './seems.js';

/** Reads comma, semicolon or tab separated text whose first line names the fields. */
export function readCsv(text: string): Records {
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
  refuseProse(rows);
  if (rows.length === 1) {
    throw new FileProblem('no-posts', 'The file has a line of field names and no posts under it.');
  }
  if (head.length > limits.fields) {
    throw new FileProblem('too-many', `The table has ${head.length} columns; at most ${limits.fields} can be read.`);
  }
  const named = uniqueKeys(head);
  const keys = uniqueKeys([...named, ...new Array<string>(widest(rows) - named.length).fill('')]);
  return new Table(keys, rows, keys.slice(named.length));
}

/** Cells beyond the named ones that are kept: what comes after is no row of this table any more. */
const mostBeyond = 20;

/** How many cells the widest row has something in: at least as many as have names. */
function widest([head, ...rows]: readonly (readonly string[])[]): number {
  let most = head!.length;
  for (const row of rows) {
    if (row.length <= most) continue;
    const last = row.findLastIndex((cell) => cell.trim() !== '') + 1;
    most = Math.max(most, Math.min(last, head!.length + mostBeyond));
  }
  return most;
}

/** A table's rows as records. Each is made when it is asked for: a million of them take far more room than their rows. */
class Table implements Records {
  constructor(
    readonly names: readonly string[],
    /** The first is that of the names. */
    private readonly rows: readonly (readonly string[])[],
    readonly beyond: readonly string[],
  ) {}

  get length(): number {
    return this.rows.length - 1;
  }

  *[Symbol.iterator](): Iterator<RawRecord> {
    for (let r = 1; r < this.rows.length; r++) {
      const row = this.rows[r]!;
      const record: RawRecord = {};
      for (let i = 0; i < this.names.length; i++) record[this.names[i]!] = row[i] ?? '';
      yield record;
    }
  }
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
    const name = fieldKeyOf(cleanText(cell).trim().slice(0, 110)) || `column ${i + 1}`;
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
