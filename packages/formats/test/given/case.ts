import type { ReadOptions } from '../../src/format.js';

/** An awkward file, and what must be read from it. */
export interface GivenCase {
  name: string;
  bytes: string | Uint8Array;
  options?: ReadOptions;
  type?: string;
  address?: string;
  format: string;
  /** Records it has, and what some of them must hold. */
  records: number;
  first?: Record<string, unknown>;
  last?: Record<string, unknown>;
  /** Lines, or records, that are set aside. */
  rejected?: (number | undefined)[];
}

/** Text in an encoding of one byte a letter, of which only these letters are not ASCII. */
export const encode = (text: string, table: Readonly<Record<string, number>>) =>
  Uint8Array.from(text, (letter) => table[letter] ?? letter.charCodeAt(0));

/** Text of two bytes a letter. */
export const wide = (text: string, isBig: boolean, mark: boolean) => {
  const units = [...(mark ? '\ufeff' : ''), ...text].map((letter) => letter.charCodeAt(0));
  return Uint8Array.from(units.flatMap((unit) => (isBig ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8])));
};
