import type { Rejection } from '@ivy/core';
import { parse, type CsvError } from 'csv-parse/sync';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenText, Reading, ReadOptions } from '../format.js';
import { limits } from '../limits.js';
import { refuseProse } from '../seems.js';
import { dialectOf, titleLines } from './dialect.js';
import { tableOfRows } from './table-of-rows.js';

export const csv: Format = {
  name: 'csv',
  label: 'CSV',
  endings: ['csv'],
  types: ['text/csv', 'application/csv'],
  read: readCsv,
};

/** Tables whose cells tabs part. */
export const tsv: Format = {
  name: 'tsv',
  label: 'TSV',
  endings: ['tsv', 'tab'],
  types: ['text/tab-separated-values'],
  read: (given) => readCsv({ ...given, options: { delimiter: '\t', ...given.options } }),
};

/** Rejected rows that are told one by one. */
const mostRejected = 10_000;

/** Reads a table of text. A row that can’t be read is set aside with its line. */
export function readCsv({ text: given, options: asked }: GivenText): Reading {
  // some spreadsheets say the sign between cells in a line of its own
  const [line = '', sign] = /^\ufeff?sep=([,;\t|])\r?\n/i.exec(given) ?? [];
  const text = given.slice(line.length);
  const said = sign === undefined ? asked : { delimiter: sign as ReadOptions['delimiter'] & string, ...asked };
  const { delimiter, quote } = dialectOf(text, said);
  const { rows: all, rejected } = parseRows(text, delimiter, quote);
  if (all.length === 0)
    throw new FileProblem('empty-file', 'The file is empty. Bring one in that has at least one post.');
  if (!said.delimiter && titleLines(all) === 0) refuseProse(all);
  const { records, options } = tableOfRows(all, said, 'file');
  return { records, rejected, options: { delimiter, quote, ...options } };
}

/** Rows with a quote left open that are set aside: in a file with more the quotes mean something else. */
const mostOpen = 20;

function parseRows(text: string, delimiter: string, quote: string): { rows: string[][]; rejected: Rejection[] } {
  const rejected: Rejection[] = [];
  const rows: string[][] = [];
  let rest = text;
  let linesBefore = 0;
  for (let open = 0; ; open++) {
    const { rows: some, fault } = parseSome(rest, delimiter, quote, (line, reason) => {
      if (rejected.length < mostRejected)
        rejected.push({ record: 0, line: line + linesBefore, reason, code: 'broken-row' });
    });
    for (const row of some) rows.push(row);
    if (!fault) return { rows, rejected };
    // a quote that is never closed takes all that comes after it along: the row it is opened in is set aside alone
    const line = lineOfLastRow(rest, delimiter, quote) + 1;
    const reason = `A quote is opened near line ${line + linesBefore} and never closed.`;
    if (open === mostOpen || rows.length < 2) {
      throw new FileProblem(
        'broken-file',
        `The table could not be read: ${reason[0]!.toLowerCase()}${reason.slice(1)}`,
      );
    }
    rejected.push({ record: 0, line: line + linesBefore, reason, code: 'broken-row' });
    rest = rest.split('\n').slice(line).join('\n');
    linesBefore += line;
    if (rest.trim() === '') return { rows, rejected };
  }
}

/** Reads rows up to one whose quote is never closed. */
function parseSome(text: string, delimiter: string, quote: string, reject: (line: number, reason: string) => void) {
  let fault: CsvError | null = null;
  const rows: string[][] = parse(text, {
    ...wayOfReading(delimiter, quote),
    to: limits.records + 7,
    on_skip: (error) => {
      if (error?.code === 'CSV_QUOTE_NOT_CLOSED') fault = error;
      else if (error) reject((error as CsvError & { lines?: number }).lines ?? 0, reasonOf(error));
      return undefined;
    },
  });
  return { rows, fault: fault as CsvError | null };
}

function wayOfReading(delimiter: string, quote: string) {
  return {
    ...{ delimiter, quote, escape: quote, bom: true, max_record_size: limits.cell },
    // a quote within a cell that has none around it is a sign like any
    ...{ relax_column_count: true, relax_quotes: true, skip_empty_lines: true, skip_records_with_error: true },
  };
}

/** The line on which the last row ends that can be read; 0 where none can. */
function lineOfLastRow(text: string, delimiter: string, quote: string): number {
  const all = parse(text, { ...wayOfReading(delimiter, quote), info: true }) as unknown as {
    info: { lines: number };
  }[];
  return all.at(-1)?.info.lines ?? 0;
}

function reasonOf({ code }: CsvError): string {
  if (code === 'CSV_MAX_RECORD_SIZE') return `It is longer than ${limits.cell / 1024 / 1024} MB: is a quote left open?`;
  return 'Its cells do not line up.';
}
