import type { FieldDescription } from '@ivy/core';

/** A field of a source, called as it is keyed, with a few values. */
export function fieldOf(
  key: string,
  type: FieldDescription['type'],
  more: Partial<FieldDescription> = {},
): FieldDescription {
  return {
    key,
    label: key[0]!.toUpperCase() + key.slice(1),
    type,
    role: null,
    multiple: false,
    tree: false,
    separator: null,
    pathSeparator: null,
    filled: 9,
    distinct: 5,
    samples: [],
    spread: null,
    ...more,
  };
}
