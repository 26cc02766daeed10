import type { ReadOptions } from '../format.js';

type Delimiter = NonNullable<ReadOptions['delimiter']>;
type Quote = NonNullable<ReadOptions['quote']>;

/** The one that is rarest in texts first: of two by which rows are as even it is that. */
const delimiters: readonly Delimiter[] = ['\t', '|', ';', ','];
/** Lines that are looked at. */
const looked = 60;

/** How a table is written. */
export interface Dialect {
  delimiter: Delimiter;
  quote: Quote;
}

/**
 * The separator and quotes by which the first lines come out as rows of the most even width: cells of a text hold the
 * other signs too, but not as often in every line.
 */
export function dialectOf(text: string, said: ReadOptions): Dialect {
  const quote = said.quote ?? quoteOf(text);
  if (said.delimiter) return { delimiter: said.delimiter, quote };
  const lines = firstLines(text, quote);
  const rated = delimiters.map((sign, i): [Delimiter, number] => [sign, evenness(lines, sign) - i / 100]);
  const [best, evenest] = rated.sort((a, b) => b[1] - a[1])[0]!;
  return { delimiter: evenest > 0 ? best : ',', quote };
}

/** Single quotes are quotes where cells begin and end with them, and none does with double ones. */
function quoteOf(text: string): Quote {
  const start = text.slice(0, 20_000);
  const around = (quote: string) =>
    start.match(new RegExp(`(?:^|[,;\\t|\\n])${quote}[^${quote}\\n]*${quote}(?=[,;\\t|\\r\\n]|$)`, 'g'))?.length ?? 0;
  return around('"') === 0 && around("'") > 1 ? "'" : '"';
}

/** The first lines with what stands in quotes taken out, so that a cell of several lines is one. */
function firstLines(text: string, quote: Quote): string[] {
  const start = text.slice(0, 100_000).replace(/^\ufeff/, '');
  const bare = start.replace(new RegExp(`${quote}(?:[^${quote}]|${quote}${quote})*${quote}`, 'g'), quote);
  return bare
    .split(/\r\n|\n|\r/)
    .filter((line) => line.trim() !== '')
    .slice(0, looked);
}

/** How even lines are, parted by a sign: the width most have, times the share of lines that have it. */
function evenness(lines: readonly string[], delimiter: string): number {
  const widths = new Map<number, number>();
  for (const line of lines) {
    const width = line.split(delimiter).length;
    widths.set(width, (widths.get(width) ?? 0) + 1);
  }
  let best = 0;
  for (const [width, count] of widths) {
    if (width > 1) best = Math.max(best, (count / lines.length) ** 2 * Math.min(width, 12));
  }
  return best;
}

/**
 * How many lines stand above the one that names the columns: titles, which fill one cell or two where the rows fill more.
 */
export function titleLines(rows: readonly (readonly string[])[]): number {
  const filled = rows.slice(0, looked).map((cells) => cells.filter((cell) => cell.trim() !== '').length);
  const most = [...filled].sort((a, b) => a - b)[Math.floor(filled.length / 2)] ?? 0;
  if (most < 3) return 0;
  const first = filled.findIndex((count) => count > Math.max(1, most / 3));
  return first > 0 && first <= 5 ? first : 0;
}

/** Whether a row names columns: where it is like the rows below it, it is one of them. */
export function isHeader(rows: readonly (readonly string[])[]): boolean {
  const [head, ...rest] = rows;
  if (!head || rest.length === 0) return true;
  const some = rest.slice(0, looked);
  let [like, unlike] = [0, 0];
  for (const [i, cell] of head.entries()) {
    const shapes = some.map((row) => shapeOf(row[i] ?? '')).filter((shape) => shape !== '');
    if (shapes.length < 2) continue;
    const shape = shapeOf(cell);
    const share = shapes.filter((one) => one === shapes[0]).length / shapes.length;
    if (share < 0.9 || shapes[0] === 'words') continue;
    if (shape === shapes[0]) like++;
    else unlike++;
  }
  return unlike > 0 || like === 0;
}

/** What a cell looks like, as far as that tells a name from a value. */
function shapeOf(cell: string): string {
  const text = cell.trim();
  if (text === '') return '';
  if (/^[-+]?[\d.,\s]+%?$/.test(text)) return 'number';
  if (/^\d{1,4}[-./]\d{1,2}[-./]\d{1,4}/.test(text)) return 'day';
  if (/^https?:\/\//.test(text)) return 'address';
  if (/^[^\s@]+@[^\s@]+$/.test(text)) return 'mail';
  return 'words';
}
