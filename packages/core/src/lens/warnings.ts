import type { FieldDescription } from '../fields/describe.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Warning } from '../kinds/warning.js';
import { addressNames } from './address-names.js';
import type { Lens } from './lens.js';

/** What to look at in a facet, by its place in the lens. */
export function warningsOf(lens: Lens, facet: Facet, fields: readonly FieldDescription[]): Warning[] {
  return [...nameWarnings(lens, facet), ...fieldWarnings(facet, fields)];
}

function nameWarnings(lens: Lens, facet: Facet): Warning[] {
  const names = addressNames(lens);
  const taken = new Set(names.flatMap((one) => (one.facet === facet ? [] : one.name)));
  const clash = [facet.key, ...facet.aliases].find((name) => taken.has(name));
  if (clash === undefined) return [];
  const text = `Another part has the address name “${clash}” too. Give one of them another.`;
  return [{ code: 'same-name', broken: true, text }];
}

function fieldWarnings(facet: Facet, fields: readonly FieldDescription[]): Warning[] {
  const kind = kindOf(facet);
  const keys = kind.fields(facet);
  const gone = keys.find((key) => !fields.some((field) => field.key === key));
  if (gone !== undefined) {
    const text = `The source has no field “${gone}” any more. Read another field, or delete the facet.`;
    return [{ code: 'field-gone', broken: true, text }];
  }
  return kind.warnings(
    facet,
    fields.find(({ key }) => key === keys[0]),
  );
}
