import type { Post } from '../../model/post.js';
import type { Packer } from './packer.js';
import { TextPacker } from './text-packer.js';
import type { Values } from './values.js';

/** Texts as they are. */
export class TextValuePacker implements Packer {
  readonly #key: string;
  readonly #texts: TextPacker;

  constructor(key: string, size: number) {
    this.#key = key;
    this.#texts = new TextPacker(size);
  }

  add(posts: readonly Post[], from: number, to: number): void {
    const key = this.#key;
    this.#texts.addAll(to - from, (i) => {
      const value = posts[from + i]!.values[key];
      return typeof value === 'string' ? value : '';
    });
  }

  done(): Values {
    return { form: 'texts', texts: this.#texts.done() };
  }
}
