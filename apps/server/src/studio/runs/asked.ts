import { writtenRaw, type FieldDescription, type RawRecord } from '@ivy/core';
import { idOf } from './bring.js';
import { Refused } from './refused.js';

/** Records that came, by the ids their posts are known by: the last of several under one counts. */
export function recordsById(
  records: readonly RawRecord[],
  fields: readonly FieldDescription[],
): ReadonlyMap<string, RawRecord> {
  return new Map(records.map((record) => [idIn(record, fields), record]));
}

function idIn(record: RawRecord, fields: readonly FieldDescription[]): string {
  const id = idOf(record, fields) || writtenRaw(record.id);
  if (id === '') throw new Refused(422, 'no-id', 'Each post must say its id, by which it is known.');
  return id;
}

export function missingPost(id: string): Refused {
  return new Refused(404, 'not-found', `There is no post “${id.slice(0, 100)}”.`);
}
