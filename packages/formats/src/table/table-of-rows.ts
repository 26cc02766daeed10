import type { Records } from '@ivy/core';
import { FileProblem } from '../file-problem.js';
import type { ReadOptions } from '../format.js';
import { limits } from '../limits.js';
import { isHeader, titleLines } from './dialect.js';
import { Table } from './table.js';

/**
 * Rows of cells as records: without the titles above, and with the row that names the columns, where there is one.
 * @param what  they are of, as it is called in words to people: “file”
 * @throws FileProblem where nothing is under the names, or too many columns are named
 */
export function tableOfRows(
  all: readonly (readonly string[])[],
  said: ReadOptions,
  what: string,
): { records: Records; options: { header: boolean; skip: number } } {
  const skip = said.skip ?? titleLines(all);
  const rows = all.slice(skip);
  const header = said.header ?? isHeader(rows);
  const first = rows[0] ?? [];
  if (header && rows.length <= 1) {
    throw new FileProblem('no-posts', `The ${what} has a line of field names and no posts under it.`);
  }
  if (first.length > limits.fields) {
    throw new FileProblem('too-many', `The ${what} has ${first.length} columns; at most ${limits.fields} can be read.`);
  }
  const head = header ? first : first.map((_, i) => `column ${i + 1}`);
  return { records: new Table(head, header ? rows.slice(1) : rows), options: { header, skip } };
}
