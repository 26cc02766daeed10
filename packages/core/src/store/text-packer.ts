import type { Texts } from './texts.js';

// part of every browser and of Node; no library of the language's own standard declares it
declare const TextEncoder: new () => { encodeInto(text: string, into: Uint8Array): { written: number } };

const encoder = new TextEncoder();

/** Puts texts into one run of bytes. Halves of letters outside the basic plane that stand alone become U+FFFD. */
export class TextPacker {
  readonly #starts: Uint32Array;
  #bytes: Uint8Array<ArrayBuffer>;
  #size = 0;
  #end = 0;

  /** @param size  how many texts there will be */
  constructor(size: number) {
    this.#starts = new Uint32Array(size + 1);
    this.#bytes = new Uint8Array(1024 + size * 16);
  }

  /** The empty text is none. */
  add(text: string): void {
    // UTF-8 takes at most three bytes for a UTF-16 unit
    const most = this.#end + text.length * 3;
    if (most > this.#bytes.length) this.#grow(most * 2);
    const plain = putPlain(text, this.#bytes, this.#end);
    this.#end = plain < 0 ? this.#end + encoder.encodeInto(text, this.#bytes.subarray(this.#end)).written : plain;
    this.#starts[++this.#size] = this.#end;
  }

  #grow(size: number): void {
    const more = new Uint8Array(size);
    more.set(this.#bytes);
    this.#bytes = more;
  }

  done(): Texts {
    return { starts: this.#starts, bytes: this.#bytes.slice(0, this.#end) };
  }
}

/** Texts longer than this are left to the encoder, which takes many letters at a time. */
const longText = 120;

/**
 * Short texts of plain ASCII letter by letter: to call the encoder takes longer than they do.
 * @returns where the text ends; -1 for one that is not such
 */
function putPlain(text: string, bytes: Uint8Array, end: number): number {
  if (text.length > longText) return -1;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    if (unit > 0x7f) return -1;
    bytes[end + i] = unit;
  }
  return end + text.length;
}

/** Puts `size` texts into bytes; no text is the empty one. */
export function packTexts(size: number, textOf: (i: number) => string | undefined): Texts {
  const packer = new TextPacker(size);
  for (let i = 0; i < size; i++) packer.add(textOf(i) ?? '');
  return packer.done();
}
