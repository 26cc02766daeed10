import type { RawRecord, Records, Rejection } from '@ivy/core';
import type { FileFormat, Reading } from './format.js';

/**
 * Readings of several files as one, with the file that each record is of as a field.
 * @param field  what that field is called; null for none, where they are parts of one
 */
export function joined(
  readings: readonly (Reading & { name: string; label?: string })[],
  format: FileFormat,
  field: string | null,
): Reading & { format: FileFormat } {
  const rejected: Rejection[] = [];
  let before = 0;
  for (const { name, rejected: own = [], records } of readings) {
    for (const one of own) {
      const record = one.record === 0 ? 0 : one.record + before;
      rejected.push({ ...one, record, reason: `${name}: ${one.reason}` });
    }
    before += records.length;
  }
  return {
    format,
    records: new Joined(readings, field),
    rejected,
    ...(readings[0]?.options && { options: readings[0].options }),
  };
}

class Joined implements Records {
  readonly length: number;
  readonly names?: readonly string[];
  readonly #field: string | null;

  constructor(
    private readonly readings: readonly { name: string; label?: string; records: Records }[],
    field: string | null,
  ) {
    this.length = readings.reduce((sum, { records }) => sum + records.length, 0);
    const all = readings.map(({ records }) => records.names);
    const known = new Set(all.flatMap((names) => names ?? []));
    this.#field = field !== null && known.has(field) ? `${field} 2` : field;
    if (all.every((names) => names !== undefined))
      this.names = [...known, ...(this.#field === null ? [] : [this.#field])];
  }

  *[Symbol.iterator](): Iterator<RawRecord> {
    for (const { name, label = name.split('/').at(-1)!, records } of this.readings) {
      for (const record of records) yield this.#field === null ? record : { ...record, [this.#field]: label };
    }
  }
}
