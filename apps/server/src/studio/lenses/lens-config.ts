import { answered, checkLens, readLens, type Field, type Lens } from '@ivy/core';
import { Problem } from '../../problem/problem.js';

/** Reads a config whole: every problem in it is reported at once. */
export function readConfig(config: object, fields: readonly Field[]): Lens {
  const read = readLens(config);
  const problems = read.ok ? checkLens(read.value, answered(fields)) : read.problems;
  if (!read.ok || problems.length > 0) {
    const errors = problems.map(({ pointer, message }) => ({ pointer: `/config${pointer}`, message }));
    throw new Problem(422, 'bad-config', 'The lens has settings that can’t work. See errors.', errors);
  }
  return read.value;
}

/**
 * A config as it was kept, with the defaults of settings there are since. One that can't be read any more is given as it is,
 * so that it can be looked at and mended.
 */
export function wholeConfig(config: Lens): Lens {
  const read = readLens(config);
  return read.ok ? read.value : config;
}
