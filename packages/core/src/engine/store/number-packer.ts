import type { Post } from '../../model/post.js';
import { withRoom } from './growing.js';
import type { Packer } from './packer.js';
import { narrowWholes, noNumber, type Values } from './values.js';

/** Whole numbers in 32 bits, as long as all are such; from the first other on, all as they are. */
export class NumberPacker implements Packer {
  readonly #key: string;
  #wholes: Int32Array;
  #numbers: Float64Array | null = null;
  #size = 0;

  constructor(key: string, size: number) {
    this.#key = key;
    this.#wholes = new Int32Array(size);
  }

  add(posts: readonly Post[], from: number, to: number): void {
    const other = this.#numbers ? from : this.#addWholes(posts, from, to);
    if (other < to) this.#addNumbers(posts, other, to);
  }

  /** @returns the first post with another number */
  #addWholes(posts: readonly Post[], from: number, to: number): number {
    const key = this.#key;
    const wholes = (this.#wholes = withRoom(this.#wholes, this.#size + to - from));
    let size = this.#size;
    let p = from;
    for (; p < to; p++) {
      const value = posts[p]!.values[key];
      if (typeof value !== 'number' || Number.isNaN(value)) wholes[size++] = noNumber;
      // -0 would lose its sign
      else if ((value | 0) === value && value !== noNumber && !Object.is(value, -0)) wholes[size++] = value;
      else break;
    }
    this.#size = size;
    return p;
  }

  #addNumbers(posts: readonly Post[], from: number, to: number): void {
    const numbers = (this.#numbers = withRoom(this.#numbers ?? this.#widened(), this.#size + to - from));
    for (let p = from; p < to; p++) {
      const value = posts[p]!.values[this.#key];
      numbers[this.#size++] = typeof value === 'number' ? value : NaN;
    }
  }

  #widened(): Float64Array {
    const numbers = new Float64Array(this.#wholes.length);
    for (let p = 0; p < this.#size; p++) numbers[p] = this.#wholes[p] === noNumber ? NaN : this.#wholes[p]!;
    return numbers;
  }

  done(): Values {
    if (this.#numbers) return { form: 'numbers', numbers: this.#numbers.subarray(0, this.#size) };
    return { form: 'wholes', numbers: narrowWholes(this.#wholes.subarray(0, this.#size)) };
  }
}
