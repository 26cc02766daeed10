import { copyNumbers, endOfRun, fresh, pickStarts, type Picks } from './picks.js';

// part of every browser and of Node; no library of the language's own standard declares it
declare const TextDecoder: new (
  label: string,
  options: { fatal: boolean; ignoreBOM: boolean },
) => { decode(bytes: Uint8Array): string };

/** Many texts in one run of UTF-8 bytes: text `i` is `bytes[starts[i] … starts[i + 1])`. No text is the empty one. */
export interface Texts {
  starts: Uint32Array;
  bytes: Uint8Array;
}

const decoder = new TextDecoder('utf-8', { fatal: false, ignoreBOM: true });

export function textAt({ starts, bytes }: Texts, i: number): string {
  const start = starts[i]!;
  const end = starts[i + 1]!;
  if (start === end) return '';
  return plainAt(bytes, start, end) ?? decoder.decode(bytes.subarray(start, end));
}

/** Texts longer than this are left to the decoder, which takes many letters at a time. */
const longText = 16;
const units = Array.from({ length: longText + 1 }, (_, length) => new Array<number>(length).fill(0));

/** A short text of plain ASCII, which is there sooner than the decoder is called; null for any other. */
function plainAt(bytes: Uint8Array, start: number, end: number): string | null {
  if (end - start > longText) return null;
  const letters = units[end - start]!;
  for (let i = start; i < end; i++) {
    if (bytes[i]! > 0x7f) return null;
    letters[i - start] = bytes[i]!;
  }
  return String.fromCharCode.apply(null, letters);
}

/** Texts picked from two others. */
export function pickTexts(old: Texts, added: Texts, picks: Picks): Texts {
  const starts = pickStarts(old.starts, added.starts, picks);
  const bytes = new Uint8Array(starts[picks.length]!);
  for (let p = 0; p < picks.length;) {
    const pick = picks[p]!;
    const end = endOfRun(picks, p);
    const from = pick >= 0 ? old : added;
    const at = pick >= 0 ? pick : fresh(pick);
    copyNumbers(from.bytes, from.starts[at]!, from.starts[at + end - p]!, bytes, starts[p]!);
    p = end;
  }
  return { starts, bytes };
}
