import { dayNumber, dayText } from '../../dates/calendar.js';
import type { Post, Value } from '../../model/post.js';
import { withRoom } from './growing.js';
import type { Packer } from './packer.js';
import { TextPacker } from './text-packer.js';
import { narrowWholes, noNumber, type Values } from './values.js';

/** Days as numbers, as long as every value is a day that is written back as it was read; from the first other on, text. */
export class DayPacker implements Packer {
  readonly #key: string;
  #numbers: Int32Array;
  #size = 0;
  #asText: TextPacker | null = null;

  constructor(key: string, size: number) {
    this.#key = key;
    this.#numbers = new Int32Array(size);
  }

  add(posts: readonly Post[], from: number, to: number): void {
    const other = this.#asText ? from : this.#addDays(posts, from, to);
    if (other < to) this.#addTexts(posts, other, to);
  }

  /** @returns the first post whose value is no day */
  #addDays(posts: readonly Post[], from: number, to: number): number {
    const key = this.#key;
    const numbers = (this.#numbers = withRoom(this.#numbers, this.#size + to - from));
    let size = this.#size;
    let p = from;
    for (; p < to; p++) {
      const value = posts[p]!.values[key];
      const day = typeof value !== 'string' || value === '' ? noNumber : dayNumber(value);
      if (day === null) break;
      numbers[size++] = day;
    }
    this.#size = size;
    return p;
  }

  #addTexts(posts: readonly Post[], from: number, to: number): void {
    this.#asText ??= this.#written();
    for (let p = from; p < to; p++) this.#asText.add(textOf(posts[p]!.values[this.#key]));
  }

  #written(): TextPacker {
    const texts = new TextPacker(this.#size);
    for (let p = 0; p < this.#size; p++) texts.add(this.#numbers[p] === noNumber ? '' : dayText(this.#numbers[p]!));
    return texts;
  }

  done(): Values {
    if (this.#asText) return { form: 'texts', texts: this.#asText.done() };
    return { form: 'days', numbers: narrowWholes(this.#numbers.subarray(0, this.#size)) };
  }
}

function textOf(value: Value | undefined): string {
  return typeof value === 'string' ? value : '';
}
