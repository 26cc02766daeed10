import { fold } from './slug.js';

/** A name as it is compared where its writing may differ: without case, accents, spaces and signs. */
export function loose(name: string): string {
  return fold(name).replace(/[^\p{L}\p{N}]+/gu, '');
}

/** The name that a name means: itself, or one that is written differently alone; null for none. */
export function meant(name: string, there: readonly string[]): string | null {
  if (there.includes(name)) return name;
  const wanted = loose(name);
  return there.find((one) => loose(one) === wanted) ?? null;
}
