import { withRoom } from './growing.js';
import type { Texts } from './texts.js';

// part of every browser and of Node; no library of the language's own standard declares it
declare const TextEncoder: new () => { encodeInto(text: string, into: Uint8Array): { written: number } };

const encoder = new TextEncoder();

/**
 * So many texts are put together for the encoder, which takes longer to be called than to do its work; but no longer ones
 * than these are in all, since they may have to be done again one by one.
 */
const [together, mostTogether] = [32, 8192];

/** Puts texts into one run of bytes. Halves of letters outside the basic plane that stand alone become U+FFFD. */
export class TextPacker {
  readonly #expected: number;
  #starts: Uint32Array;
  #bytes: Uint8Array;
  #size = 0;
  #end = 0;

  /** @param size  how many texts there will be, if that is known */
  constructor(size: number) {
    this.#expected = size;
    this.#starts = new Uint32Array(size + 1);
    this.#bytes = new Uint8Array(Math.min(size, 1000) * 64 + 1024);
  }

  /** The empty text is none. */
  add(text: string): void {
    this.#starts = withRoom(this.#starts, this.#size + 2);
    this.#put(text);
  }

  /** Many texts in one go. */
  addAll(count: number, textOf: (i: number) => string): void {
    this.#starts = withRoom(this.#starts, this.#size + 1 + count);
    const texts: string[] = [];
    for (let i = 0; i < count; i += together) {
      texts.length = Math.min(together, count - i);
      for (let j = 0; j < texts.length; j++) texts[j] = textOf(i + j);
      if (!this.#putPlain(texts)) for (const text of texts) this.#put(text);
    }
  }

  /** Short texts of plain ASCII, each as many bytes as it has letters; false for any other. */
  #putPlain(texts: readonly string[]): boolean {
    let length = 0;
    for (const text of texts) length += text.length;
    if (length > mostTogether) return false;
    const all = texts.join('');
    if (this.#encoded(all) !== all.length) return false;
    for (const text of texts) this.#starts[++this.#size] = this.#end += text.length;
    return true;
  }

  #put(text: string): void {
    this.#end += this.#encoded(text);
    this.#starts[++this.#size] = this.#end;
  }

  /** Writes a text after those that are there, and gives how many bytes that takes. */
  #encoded(text: string): number {
    // UTF-8 takes at most three bytes for a UTF-16 unit
    const end = this.#end + text.length * 3;
    if (end > this.#bytes.length) this.#bytes = withRoom(this.#bytes, Math.max(end, this.#bytesExpected()));
    const short = putShort(text, this.#bytes, this.#end);
    return short >= 0 ? short : encoder.encodeInto(text, this.#bytes.subarray(this.#end)).written;
  }

  /** Room for all texts there will be, if those to come are like those that came; four times as much as now at most. */
  #bytesExpected(): number {
    const all = (this.#end / Math.max(1, this.#size)) * this.#expected * 1.05;
    return Math.min(Math.ceil(all), this.#bytes.length * 4);
  }

  /** They may be the first of more bytes than they need. */
  done(): Texts {
    return { starts: this.#starts.subarray(0, this.#size + 1), bytes: this.#bytes.subarray(0, this.#end) };
  }
}

/** Texts longer than this are left to the encoder, which takes many letters at a time. */
const longText = 120;

/**
 * Short texts of plain ASCII letter by letter: to call the encoder takes longer than they do.
 * @returns how many bytes that is; -1 for one that is not such
 */
function putShort(text: string, bytes: Uint8Array, end: number): number {
  if (text.length > longText) return -1;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    if (unit > 0x7f) return -1;
    bytes[end + i] = unit;
  }
  return text.length;
}

/** Puts `size` texts into bytes; no text is the empty one. */
export function packTexts(size: number, textOf: (i: number) => string | undefined): Texts {
  const packer = new TextPacker(size);
  packer.addAll(size, (i) => textOf(i) ?? '');
  return packer.done();
}
