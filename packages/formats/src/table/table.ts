import { cleanText, fieldKeyOf, type RawRecord, type Records } from '@ivy/core';

/** Cells beyond the named ones that are kept: what comes after is no row of this table any more. */
const mostBeyond = 20;

/** A table's rows as records. Each is made when it is asked for: a million of them take far more room than their rows. */
export class Table implements Records {
  readonly names: readonly string[];
  readonly beyond: readonly string[];

  /**
   * @param head  what the columns are called
   * @param rows  without the one that names them
   */
  constructor(
    head: readonly string[],
    private readonly rows: readonly (readonly string[])[],
  ) {
    const named = uniqueKeys(head);
    this.names = uniqueKeys([...named, ...new Array<string>(widest(head, rows) - named.length).fill('')]);
    this.beyond = this.names.slice(named.length);
  }

  get length(): number {
    return this.rows.length;
  }

  *[Symbol.iterator](): Iterator<RawRecord> {
    for (const row of this.rows) {
      const record: RawRecord = {};
      for (let i = 0; i < this.names.length; i++) record[this.names[i]!] = row[i] ?? '';
      yield record;
    }
  }
}

/** How many cells the widest row has something in: at least as many as have names. */
function widest(head: readonly string[], rows: readonly (readonly string[])[]): number {
  let most = head.length;
  for (const row of rows) {
    if (row.length <= most) continue;
    const last = row.findLastIndex((cell) => cell.trim() !== '') + 1;
    most = Math.max(most, Math.min(last, head.length + mostBeyond));
  }
  return most;
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
