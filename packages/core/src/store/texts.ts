import { fresh, type Picks } from './picks.js';

// part of every browser and of Node; no library of the language's own standard declares them
declare const TextEncoder: new () => { encodeInto(text: string, into: Uint8Array): { written: number } };
declare const TextDecoder: new (
  label: string,
  options: { fatal: boolean; ignoreBOM: boolean },
) => { decode(bytes: Uint8Array): string };

/** Many texts in one run of UTF-8 bytes: text `i` is `bytes[starts[i] … starts[i + 1])`. No text is the empty one. */
export interface Texts {
  starts: Uint32Array;
  bytes: Uint8Array;
}

const encoder = new TextEncoder();
const decoder = new TextDecoder('utf-8', { fatal: false, ignoreBOM: true });

/** Puts texts into bytes. Halves of letters outside the basic plane that stand alone become U+FFFD. */
export function packTexts(size: number, textOf: (i: number) => string | undefined): Texts {
  const starts = new Uint32Array(size + 1);
  let bytes = new Uint8Array(1024 + size * 16);
  let end = 0;
  for (let i = 0; i < size; i++) {
    const text = textOf(i);
    if (text !== undefined && text !== '') {
      // UTF-8 takes at most three bytes for a UTF-16 unit
      if (end + text.length * 3 > bytes.length) bytes = grown(bytes, (end + text.length * 3) * 2);
      end += encoder.encodeInto(text, bytes.subarray(end)).written;
    }
    starts[i + 1] = end;
  }
  return { starts, bytes: bytes.slice(0, end) };
}

function grown(bytes: Uint8Array, size: number): Uint8Array<ArrayBuffer> {
  const more = new Uint8Array(size);
  more.set(bytes);
  return more;
}

export function textAt({ starts, bytes }: Texts, i: number): string {
  const start = starts[i]!;
  const end = starts[i + 1]!;
  return start === end ? '' : decoder.decode(bytes.subarray(start, end));
}

/** Texts picked from two others. Those that stand in a row are copied in one go. */
export function pickTexts(old: Texts, added: Texts, picks: Picks): Texts {
  const starts = new Uint32Array(picks.length + 1);
  for (let p = 0; p < picks.length; p++) {
    const pick = picks[p]!;
    const length = pick >= 0 ? old.starts[pick + 1]! - old.starts[pick]! : lengthOf(added, fresh(pick));
    starts[p + 1] = starts[p]! + length;
  }
  const bytes = new Uint8Array(starts[picks.length]!);
  for (let p = 0; p < picks.length;) {
    const pick = picks[p]!;
    let end = p + 1;
    if (pick >= 0) while (end < picks.length && picks[end] === pick + end - p) end++;
    const from = pick >= 0 ? old : added;
    const at = pick >= 0 ? pick : fresh(pick);
    bytes.set(from.bytes.subarray(from.starts[at], from.starts[at + end - p]), starts[p]);
    p = end;
  }
  return { starts, bytes };
}

function lengthOf({ starts }: Texts, i: number): number {
  return starts[i + 1]! - starts[i]!;
}
