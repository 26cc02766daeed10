import { gatherRuns, gatherStarts, type GatherMap } from './gather-map.js';

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

/**
 * Which of two texts comes first by code units, as strings do: below 0 if text `i` of `a`, above 0 if text `j` of `b`,
 * 0 if they are the same. UTF-8 falls in the order of code points, which is another only from U+E000 on: what is beyond
 * U+FFFF is written with code units before that.
 */
export function compareTexts(a: Texts, i: number, b: Texts, j: number): number {
  let [x, y] = [a.starts[i]!, b.starts[j]!];
  const [xEnd, yEnd] = [a.starts[i + 1]!, b.starts[j + 1]!];
  for (; x < xEnd && y < yEnd; x++, y++) {
    const [one, other] = [a.bytes[x]!, b.bytes[y]!];
    if (one === other) continue;
    const isOtherWay = one >= fromE000 && other >= fromE000 && one >= beyondFFFF !== other >= beyondFFFF;
    return isOtherWay ? other - one : one - other;
  }
  return xEnd - x - (yEnd - y);
}

/** First bytes of letters from U+E000 on, and of those beyond U+FFFF. */
const fromE000 = 0xee;
const beyondFFFF = 0xf0;

/** Texts picked from two others. */
export function pickTexts(old: Texts, added: Texts, gatherMap: GatherMap): Texts {
  const starts = gatherStarts(old.starts, added.starts, gatherMap);
  const bytes = new Uint8Array(starts[gatherMap.rows.length]!);
  return { starts, bytes: gatherRuns(bytes, starts, [old.bytes, old.starts], [added.bytes, added.starts], gatherMap) };
}
