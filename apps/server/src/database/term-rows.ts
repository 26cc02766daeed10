import type { Term } from '@ivy/core';
import { isDeepStrictEqual } from 'node:util';
import type { Client } from 'pg';

const together = 20_000;

/** Keeps the terms of a field in their order: one statement of one document for many of them. */
export async function insertTerms(
  client: Client,
  sourceId: string,
  field: string,
  terms: readonly Term[],
): Promise<void> {
  for (let start = 0; start < terms.length; start += together) {
    const rows = terms.slice(start, start + together).map((term, i) => ({ ...term, position: start + i }));
    await client.query(
      `INSERT INTO term (source_id, field, ${termColumns.join(', ')})
       SELECT $1, $2, ${termColumns.map((column) => termValues[column] ?? `r.${column}`).join(', ')}
       FROM jsonb_to_recordset($3::jsonb) AS r(${termColumns.map((column) => `${column} ${termTypes[column]}`).join(', ')})`,
      [sourceId, field, JSON.stringify(rows)],
    );
  }
}

/** Columns of a term, beside whose it is. */
const termTypes = {
  slug: 'text',
  position: 'float8',
  label: 'text',
  parent: 'text',
  hidden: 'boolean',
  aliases: 'jsonb',
  was: 'jsonb',
  picture: 'text',
  colour: 'text',
  paths: 'jsonb',
  gone: 'boolean',
} as const;
type TermColumnName = keyof typeof termTypes;
export const termColumns = Object.keys(termTypes) as readonly TermColumnName[];

/** How each is read out of a document, where more is to be done. */
const termValues: Partial<Record<TermColumnName, string>> = {
  hidden: 'coalesce(r.hidden, false)',
  gone: 'coalesce(r.gone, false)',
  aliases: textsIn('aliases'),
  was: textsIn('was'),
};

function textsIn(column: string): string {
  return `ARRAY(SELECT jsonb_array_elements_text(coalesce(r.${column}, '[]')))`;
}

/** The terms of a source by field, in their order: of all fields, or of some. */
export async function readTerms(
  client: Client,
  sourceId: string,
  keys: readonly string[] | null = null,
): Promise<Record<string, Term[]>> {
  const { rows } = await client.query<KeptTerm>(
    `SELECT field, ${termColumns.join(', ')} FROM term
     WHERE source_id = $1 AND ($2::text[] IS NULL OR field = ANY($2)) ORDER BY field, position`,
    [sourceId, keys],
  );
  return termsByField(rows);
}

/** A term as its row holds it. */
export interface KeptTerm {
  field: string;
  slug: string;
  label: string;
  parent: string | null;
  hidden: boolean;
  aliases: string[];
  was: string[];
  picture: string | null;
  colour: string | null;
  paths: string[][] | null;
  gone: boolean;
}

/** Terms by field, in the order of their rows. */
export function termsByField(rows: readonly KeptTerm[]): Record<string, Term[]> {
  const terms = new Map<string, Term[]>();
  for (const row of rows) {
    const list = terms.get(row.field);
    if (list) list.push(termOf(row));
    else terms.set(row.field, [termOf(row)]);
  }
  return Object.fromEntries(terms);
}

/** A term without what is not said of it. */
export function termOf({ slug, label, parent, hidden, aliases, was, picture, colour, paths, gone }: KeptTerm): Term {
  return {
    ...{ slug, label, parent, hidden, aliases },
    ...(was.length > 0 && { was }),
    ...(picture !== null && { picture }),
    ...(colour !== null && { colour }),
    ...(paths !== null && { paths }),
    ...(gone && { gone }),
  };
}

/** The terms of those fields that have others after than before. */
export function otherTerms(
  before: Readonly<Record<string, readonly Term[]>>,
  after: Readonly<Record<string, Term[]>>,
): Record<string, Term[]> {
  const whole = (terms: readonly Term[] = []) =>
    terms.map((term) => ({ ...term, hidden: term.hidden ?? false, aliases: [...(term.aliases ?? [])].sort() }));
  return Object.fromEntries(
    Object.entries(after).filter(([key, terms]) => !isDeepStrictEqual(whole(terms), whole(before[key]))),
  );
}
