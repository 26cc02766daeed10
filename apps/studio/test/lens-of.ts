import { readLens, type Lens } from '@ivy/core';

/** A lens from a config, every default filled in. */
export function lensOf(config: object): Lens {
  const read = readLens(config);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
