import { parse } from 'csv-parse/sync';
import { SaxesParser } from 'saxes';

/** Addresses of a list, with what is passed over. */
export interface AddressList {
  addresses: { line: number; address: string; name: string }[];
  skipped: { line: number; text: string; reason: string }[];
}

/** Addresses a list may have. */
const mostAddresses = 5000;
/** Characters of what is passed over that are said again. */
const mostSaid = 200;

/**
 * Reads a list of addresses: URLs one a line, a table (CSV, TSV) with a column of them, or a sitemap (sitemaps.org). A column
 * called `name` or `title` says what each is called.
 * @returns in words what is wrong, where it is no such list
 */
export function readAddressList(text: string): AddressList | string {
  const bare = text.replace(/^\uFEFF/, '').trimStart();
  if (bare === '') return 'The list is empty. Bring in one URL a line, a CSV file with a column of them, or a sitemap.';
  const read = bare.startsWith('<') ? readSitemap(bare) : readTable(bare);
  if (typeof read === 'string') return read;
  if (read.addresses.length === 0)
    return 'There is no address in it. Bring in one URL a line, a CSV file with a column of them, or a sitemap.';
  return read;
}

function readSitemap(xml: string): AddressList | string {
  const found: AddressList = { addresses: [], skipped: [] };
  const parser = new SaxesParser({ position: true });
  let [isIndex, isEntry, inside, text]: [boolean, boolean, boolean, string] = [false, false, false, ''];
  let fault: string | null = null;
  parser.on('error', (error) => (fault ??= error.message));
  // entities are never looked up, and none may be declared
  parser.on('doctype', () => (fault ??= 'it declares a document type'));
  parser.on('opentag', ({ name }) => {
    const local = name.split(':').at(-1);
    isIndex ||= local === 'sitemapindex';
    isEntry ||= local === 'urlset';
    inside = local === 'loc' && name === local;
    text = '';
  });
  const hear = (part: string) => {
    if (inside) text += part;
  };
  parser.on('text', hear);
  parser.on('cdata', hear);
  parser.on('closetag', () => {
    if (inside && text.trim() !== '' && found.addresses.length < mostAddresses)
      found.addresses.push({ line: parser.line, address: text.trim(), name: '' });
    inside = false;
  });
  parser.write(xml).close();
  if (fault !== null) return `It begins like a sitemap, but can’t be read: ${fault as string}.`;
  if (isIndex) return 'This is a list of sitemaps. Bring in one of those it names.';
  return isEntry ? found : 'It is XML, but no sitemap: it has no <urlset>.';
}

function readTable(text: string): AddressList | string {
  const first = text.slice(0, text.search(/\r?\n|$/));
  const delimiter = ['\t', ';', ','].find((one) => first.includes(one) && !isAddress(first)) ?? '\n\u0000';
  const isLines = delimiter === '\n\u0000';
  let rows: { record: string[]; line: number }[];
  try {
    rows = isLines
      ? text.split(/\r?\n/).map((line, i) => ({ record: [line], line: i + 1 }))
      : (
          parse(text, {
            delimiter,
            relax_column_count: true,
            relax_quotes: true,
            skip_empty_lines: true,
            info: true,
          }) as unknown as {
            record: string[];
            info: { lines: number };
          }[]
        ).map(({ record, info }) => ({ record, line: info.lines }));
  } catch (error) {
    return `The table can’t be read: ${(error as Error).message}.`;
  }
  const width = Math.max(...rows.map(({ record }) => record.length));
  const counts = Array.from(
    { length: width },
    (_, c) => rows.filter(({ record }) => isAddress(record[c] ?? '')).length,
  );
  const column = counts.indexOf(Math.max(...counts));
  const head = rows[0]!.record.map((cell) => cell.trim().toLowerCase());
  const isHeaded = !isAddress(rows[0]!.record[column] ?? '');
  const names = isHeaded && !isLines ? head.findIndex((cell) => cell === 'name' || cell === 'title') : -1;
  const found: AddressList = { addresses: [], skipped: [] };
  for (const { record, line } of isHeaded && !isLines ? rows.slice(1) : rows) {
    const address = (record[column] ?? '').trim();
    if (address === '' || address.startsWith('#')) continue;
    if (!isAddress(address))
      found.skipped.push({ line, text: address.slice(0, mostSaid), reason: 'It is no address.' });
    else if (found.addresses.length === mostAddresses)
      found.skipped.push({
        line,
        text: address.slice(0, mostSaid),
        reason: `A list may have ${mostAddresses} addresses.`,
      });
    else
      found.addresses.push({ line, address, name: (names < 0 ? '' : (record[names] ?? '')).trim().slice(0, mostSaid) });
  }
  return found;
}

/** A URL, a path with or without a query string, or a query string alone. */
function isAddress(text: string): boolean {
  const bare = text.trim();
  return /^https?:\/\/[^\s]+$/i.test(bare) || /^[/?]\S*$/.test(bare) || /^[^\s=?&,;]+=[^\s]*$/.test(bare);
}
