import type { Field, Value } from '../../model/post.js';
import { safeAddress } from '../../text/safe-address.js';
import { readDay, readMoment } from '../values/dates.js';
import { readNumber } from '../values/numbers.js';
import { readBoolean } from '../values/yes-or-no.js';
import { cellText } from './cell.js';
import type { FieldContext } from './prepare.js';

/** What turns a raw value that is no term into a typed one. */
export function plainParser(field: Field, { dayFirst }: FieldContext): (raw: unknown) => Value | null {
  switch (field.type) {
    case 'number':
      return (raw) => readNumber(plainOf(raw, field.by), field.decimal, field.unit);
    case 'boolean':
      return (raw) => readBoolean(plainOf(raw, field.by), field.words);
    case 'date':
      return (raw) => readDay(cellText(raw, field.by), dayFirst);
    case 'datetime':
      return (raw) => readMoment(cellText(raw, field.by)) ?? readDay(cellText(raw, field.by), true);
    case 'link':
    case 'image':
      return (raw) => safeAddress(cellText(raw, field.by));
    case 'html':
    case 'text':
    case 'terms':
    case 'reference':
      return (raw) => (typeof raw === 'string' ? raw.trim() : cellText(raw, field.by)) || null;
  }
}

/** A raw value without the list or the object it stands in. */
function plainOf(raw: unknown, by: string | undefined): unknown {
  return typeof raw === 'object' ? cellText(raw, by) : raw;
}
