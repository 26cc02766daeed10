import { changedField, rereadFields, type Reread } from '../src/fields/change-field.js';
import { discoverFields } from '../src/fields/discover.js';
import type { Finding } from '../src/fields/findings/finding.js';
import { makeMend } from '../src/fields/findings/mends.js';
import type { RawRecord } from '../src/fields/read/cell.js';
import type { Field, Mend, Term } from '../src/model/post.js';

/** The day on which tests look at posts. */
export const today = '2026-06-30';

/** Records read as they are brought in, with mends by field. */
export function readWith(
  records: RawRecord[],
  mends: Readonly<Record<string, Mend[]>> = {},
  change = plain,
  known: Readonly<Record<string, readonly Term[]>> = {},
): Reread {
  const fields = discoverFields(records).map((field) => change({ ...field, mends: mends[field.key] ?? [] }));
  return rereadFields(records, { fields, keys: fields.map(({ key }) => key), today, known });
}

/** As it was found. */
export const plain = (field: Field) => changedField(field, {});

export function findFindings(records: RawRecord[]): Finding[] {
  return readWith(records).findings;
}

/** Records read with one mend of what was found. */
export function readMended(records: RawRecord[], code: string, mend: string): Reread {
  const finding = findFindings(records).find((one) => one.code === code);
  if (!finding) throw new Error(`There is no finding “${code}”.`);
  const made = makeMend(finding, mend);
  if (!made) throw new Error(`“${mend}” is none of ${finding.mends.map(({ id }) => id).join(', ')}.`);
  return readWith(records, { [finding.field]: [made] });
}
