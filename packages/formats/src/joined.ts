import type { RawRecord, Records, Rejection } from '@ivy/core';
import type { FileFormat, Reading } from './format.js';

/** Readings of several files as one, with the file that each record is of as a field. */
export function joined(
  readings: readonly (Reading & { name: string })[],
  format: FileFormat,
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
    records: new Joined(readings),
    rejected,
    ...(readings[0]?.options && { options: readings[0].options }),
  };
}

class Joined implements Records {
  readonly length: number;
  readonly names?: readonly string[];
  readonly #file: string;

  constructor(private readonly readings: readonly { name: string; records: Records }[]) {
    this.length = readings.reduce((sum, { records }) => sum + records.length, 0);
    const all = readings.map(({ records }) => records.names);
    const known = new Set(all.flatMap((names) => names ?? []));
    this.#file = known.has('file') ? 'file 2' : 'file';
    if (all.every((names) => names !== undefined)) this.names = [...known, this.#file];
  }

  *[Symbol.iterator](): Iterator<RawRecord> {
    for (const { name, records } of this.readings) {
      const file = name.split('/').at(-1)!;
      for (const record of records) yield { ...record, [this.#file]: file };
    }
  }
}
