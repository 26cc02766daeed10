import type { Post } from '../../model/post.js';
import { withRoom } from './growing.js';
import type { Packer } from './packer.js';
import { SlugFinder } from './slug-finder.js';
import type { TermList } from './term-list.js';
import { isAmong, narrowTerms, noTerm, termNumbers, type Values } from './values.js';

/** Terms by their numbers: one a post until a post comes that has more. Slugs that name no term are left out. */
export class TermPacker implements Packer {
  readonly #key: string;
  readonly #slugs: SlugFinder;
  readonly #none: number;
  /** Whether several slugs may name one term, so that a post could be given it twice. */
  readonly #hasAliases: boolean;
  /** Of posts with one term each, theirs; later those of all posts in a row. */
  #numbers: Uint16Array | Uint32Array;
  /** Where the terms of each post begin, once they have several. */
  #starts: Uint32Array | null = null;
  #size = 0;
  #end = 0;
  /** What the post with the most of them has; anything up to one while no post has several. */
  #most = 0;

  constructor(key: string, terms: TermList, size: number) {
    this.#key = key;
    this.#slugs = new SlugFinder(terms.numbers);
    this.#hasAliases = terms.numbers.size > terms.terms.length;
    this.#numbers = termNumbers(terms.terms.length, size);
    this.#none = noTerm(this.#numbers);
  }

  add(posts: readonly Post[], from: number, to: number): void {
    const several = this.#starts ? from : this.#addOnes(posts, from, to);
    if (several < to) this.#addMany(posts, several, to);
  }

  /** @returns the first post that has several terms */
  #addOnes(posts: readonly Post[], from: number, to: number): number {
    const [key, slugs, none] = [this.#key, this.#slugs, this.#none];
    const numbers = (this.#numbers = withRoom(this.#numbers, this.#size + to - from));
    let size = this.#size;
    let p = from;
    for (; p < to; p++) {
      const value = posts[p]!.values[key];
      let number = -1;
      if (Array.isArray(value)) {
        if (value.length > 1) break;
        if (value.length === 1) number = slugs.find(value[0]!);
      }
      numbers[size++] = number < 0 ? none : number;
    }
    this.#size = size;
    return p;
  }

  #addMany(posts: readonly Post[], from: number, to: number): void {
    const [key, slugs, hasAliases] = [this.#key, this.#slugs, this.#hasAliases];
    const starts = (this.#starts = withRoom(this.#starts ?? this.#startsOfOnes(), this.#size + 1 + to - from));
    let [size, end, numbers] = [this.#size, this.#end, this.#numbers];
    for (let p = from; p < to; p++) {
      const value = posts[p]!.values[key];
      if (Array.isArray(value)) {
        numbers = withRoom(numbers, end + value.length);
        const start = end;
        for (let i = 0; i < value.length; i++) {
          const number = slugs.find(value[i]!);
          if (number < 0 || (hasAliases && isAmong(numbers, number, start, end))) continue;
          numbers[end++] = number;
        }
        if (end - start > this.#most) this.#most = end - start;
      }
      starts[++size] = end;
    }
    [this.#size, this.#end, this.#numbers] = [size, end, numbers];
  }

  /** Leaves out those of posts that have none, too. */
  #startsOfOnes(): Uint32Array {
    const [numbers, none] = [this.#numbers, this.#none];
    const starts = new Uint32Array(numbers.length + 1);
    let end = 0;
    for (let p = 0; p < this.#size; p++) {
      if (numbers[p] !== none) numbers[end++] = numbers[p]!;
      starts[p + 1] = end;
    }
    this.#end = end;
    return starts;
  }

  done(): Values {
    if (!this.#starts) return { form: 'term', numbers: this.#numbers.subarray(0, this.#size) };
    return narrowTerms(this.#starts.subarray(0, this.#size + 1), this.#numbers.subarray(0, this.#end), this.#most);
  }
}
