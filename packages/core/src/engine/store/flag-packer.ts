import type { Post } from '../../model/post.js';
import { withRoom } from './growing.js';
import type { Packer } from './packer.js';
import { flagNo, flagYes, noFlag, type Values } from './values.js';

/** Yes, no and nothing, a byte each. */
export class FlagPacker implements Packer {
  readonly #key: string;
  #flags: Uint8Array;
  #size = 0;

  constructor(key: string, size: number) {
    this.#key = key;
    this.#flags = new Uint8Array(size);
  }

  add(posts: readonly Post[], from: number, to: number): void {
    const key = this.#key;
    const flags = (this.#flags = withRoom(this.#flags, this.#size + to - from));
    for (let p = from, at = this.#size; p < to; p++, at++) {
      const value = posts[p]!.values[key];
      flags[at] = value === true ? flagYes : value === false ? flagNo : noFlag;
    }
    this.#size += to - from;
  }

  done(): Values {
    return { form: 'flags', flags: this.#flags.subarray(0, this.#size) };
  }
}
