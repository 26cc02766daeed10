import { dayNumber, dayText } from '../dates/calendar.js';
import type { Field, Post, Value } from '../model/post.js';
import { termList, type TermList } from './term-list.js';
import { TextPacker } from './text-packer.js';
import { flagNo, flagYes, narrowTerms, narrowWholes, noFlag, noNumber, termNumbers, type Values } from './values.js';

/** Takes the values of one field, a post after the other, and gives them as a column. */
export interface Packer {
  add(value: Value | undefined): void;
  done(): Values;
}

const noTerms = termList([]);

/**
 * A packer for a field.
 * @param size   how many posts there will be
 * @param terms  the terms of the field, for one of terms
 */
export function packerOf(field: Field, size: number, terms: TermList | null): Packer {
  switch (field.type) {
    case 'terms':
      return new TermPacker(size, terms ?? noTerms);
    case 'boolean':
      return new FlagPacker(size);
    case 'number':
      return new NumberPacker(size);
    case 'date':
      return new DayPacker(size);
    case 'datetime':
    case 'text':
    case 'html':
    case 'link':
    case 'image':
      return new TextValuePacker(size);
  }
}

/** Takes the values of one field out of posts, in their order. */
export function packValues(field: Field, posts: readonly Post[], terms: TermList | null): Values {
  const packer = packerOf(field, posts.length, terms);
  for (const post of posts) packer.add(post.values[field.key]);
  return packer.done();
}

class FlagPacker implements Packer {
  readonly #flags: Uint8Array;
  #size = 0;

  constructor(size: number) {
    this.#flags = new Uint8Array(size);
  }

  add(value: Value | undefined): void {
    this.#flags[this.#size++] = value === true ? flagYes : value === false ? flagNo : noFlag;
  }

  done(): Values {
    return { form: 'flags', flags: this.#flags };
  }
}

class TermPacker implements Packer {
  readonly #terms: TermList;
  readonly #starts: Uint32Array;
  #numbers: Uint16Array | Uint32Array;
  #size = 0;
  #end = 0;
  #most = 0;

  constructor(size: number, terms: TermList) {
    this.#terms = terms;
    this.#starts = new Uint32Array(size + 1);
    this.#numbers = termNumbers(terms.terms.length, size * 2 + 16);
  }

  add(value: Value | undefined): void {
    const start = this.#end;
    if (Array.isArray(value)) {
      const { numbers } = this.#terms;
      if (start + value.length > this.#numbers.length) this.#grow(start + value.length);
      for (let i = 0; i < value.length; i++) {
        const number = numbers.get(value[i]!);
        if (number !== undefined) this.#numbers[this.#end++] = number;
      }
    }
    this.#starts[++this.#size] = this.#end;
    if (this.#end - start > this.#most) this.#most = this.#end - start;
  }

  #grow(size: number): void {
    const more = termNumbers(this.#terms.terms.length, size * 2);
    more.set(this.#numbers);
    this.#numbers = more;
  }

  done(): Values {
    return narrowTerms(this.#starts, this.#numbers.slice(0, this.#end), this.#most);
  }
}

class NumberPacker implements Packer {
  readonly #numbers: Float64Array;
  #whole = true;
  #size = 0;

  constructor(size: number) {
    this.#numbers = new Float64Array(size);
  }

  add(value: Value | undefined): void {
    const number = typeof value === 'number' ? value : NaN;
    this.#numbers[this.#size++] = number;
    // -0 would lose its sign
    this.#whole &&= Number.isNaN(number) || ((number | 0) === number && number !== noNumber && !Object.is(number, -0));
  }

  done(): Values {
    const numbers = this.#numbers;
    if (!this.#whole) return { form: 'numbers', numbers };
    const wholes = new Int32Array(numbers.length);
    for (let p = 0; p < wholes.length; p++) wholes[p] = Number.isNaN(numbers[p]!) ? noNumber : numbers[p]!;
    return { form: 'wholes', numbers: narrowWholes(wholes) };
  }
}

class TextValuePacker implements Packer {
  readonly #texts: TextPacker;

  constructor(size: number) {
    this.#texts = new TextPacker(size);
  }

  add(value: Value | undefined): void {
    this.#texts.add(typeof value === 'string' ? value : '');
  }

  done(): Values {
    return { form: 'texts', texts: this.#texts.done() };
  }
}

/** Days as numbers, as long as every value is a day that is written back as it was read; from the first other on, text. */
class DayPacker implements Packer {
  readonly #numbers: Int32Array;
  readonly #known = new Map<string, number>();
  #size = 0;
  #asText: TextValuePacker | null = null;

  constructor(size: number) {
    this.#numbers = new Int32Array(size);
  }

  add(value: Value | undefined): void {
    const day = this.#asText ? null : this.#dayOf(value);
    if (day === null) this.#addText(value);
    else this.#numbers[this.#size++] = day;
  }

  /** Null for a value that is no day. */
  #dayOf(value: Value | undefined): number | null {
    if (value === undefined || value === '') return noNumber;
    if (typeof value !== 'string') return null;
    const known = this.#known.get(value);
    if (known !== undefined) return known;
    const day = dayNumber(value);
    if (day !== null) this.#known.set(value, day);
    return day;
  }

  #addText(value: Value | undefined): void {
    if (!this.#asText) {
      this.#asText = new TextValuePacker(this.#numbers.length);
      for (let p = 0; p < this.#size; p++) {
        this.#asText.add(this.#numbers[p] === noNumber ? undefined : dayText(this.#numbers[p]!));
      }
    }
    this.#asText.add(value);
  }

  done(): Values {
    return this.#asText?.done() ?? { form: 'days', numbers: narrowWholes(this.#numbers) };
  }
}
