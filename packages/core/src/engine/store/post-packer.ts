import { finished, inParts, type Steps } from '../base/steps.js';
import { fieldWithRole, type Field, type Post } from '../../model/post.js';
import { packerOf } from './pack-values.js';
import type { Packer } from './packer.js';
import { newestFirst, placesOf, type PostStore } from './post-store.js';
import type { TermList } from './term-list.js';
import { TextPacker } from './text-packer.js';
import { reorderTexts, reorderValues } from './reorder.js';
import { textAt, type Texts } from './texts.js';
import type { Values } from './values.js';

/** Posts that are taken apart field by field before the next: what they hold stays in the caches meanwhile. */
const together = 256;

/**
 * Takes posts apart into columns, some at a time, so that a source need never be in memory whole. They are numbered
 * newest first, by the field with the published role; ties by id.
 */
export class PostPacker {
  readonly #fields: readonly Field[];
  readonly #termsOf: (key: string) => TermList | null;
  readonly #packers: readonly Packer[];
  readonly #ids: TextPacker;
  #size = 0;
  #lastId = '';
  /** Ids came in their order up to now. */
  #isInOrder = true;

  /**
   * @param termsOf  the terms of a field of terms
   * @param size     how many posts there will be, if that is known
   */
  constructor(fields: readonly Field[], termsOf: (key: string) => TermList | null, size = 0) {
    this.#fields = fields;
    this.#termsOf = termsOf;
    this.#packers = fields.map((field) => packerOf(field, termsOf(field.key), size));
    this.#ids = new TextPacker(size);
  }

  add(posts: readonly Post[]): void {
    for (let from = 0; from < posts.length; from += together) {
      const to = Math.min(posts.length, from + together);
      this.#ids.addAll(to - from, (i) => this.#idOf(posts[from + i]!));
      for (const packer of this.#packers) packer.add(posts, from, to);
    }
  }

  #idOf({ id }: Post): string {
    this.#isInOrder &&= this.#size === 0 || this.#lastId < id;
    this.#lastId = id;
    this.#size++;
    return id;
  }

  done(): PostStore {
    return finished(this.finish());
  }

  /** `done` field by field. */
  *finish(): Steps<PostStore> {
    const size = this.#size;
    const ids = this.#ids.done();
    const given = new Map<string, Values>();
    for (const [f, { key }] of this.#fields.entries()) {
      given.set(key, this.#packers[f]!.done());
      yield;
    }
    const byId = this.#isInOrder ? upTo(size) : sortIds(ids);
    yield;
    const published = fieldWithRole(this.#fields, 'published');
    const order = published
      ? newestFirst(published, given.get(published.key)!, this.#termsOf(published.key), byId)
      : byId;
    const numberOf = new Uint32Array(size);
    for (let p = 0; p < size; p++) numberOf[order[p]!] = p;
    yield;
    const values = new Map<string, Values>();
    for (const [key, loose] of given) {
      values.set(key, reorderValues(loose, order, this.#termsOf(key)?.terms.length ?? 0));
      yield;
    }
    return { size, ids: reorderTexts(ids, order), byId: placesOf(byId, numberOf), values };
  }
}

/** Takes posts that are all there apart. */
export function* packingPosts(
  fields: readonly Field[],
  termsOf: (key: string) => TermList | null,
  posts: readonly Post[],
): Steps<PostStore> {
  const packer = new PostPacker(fields, termsOf, posts.length);
  yield* inParts(posts.length, together, (from, to) => packer.add(posts.slice(from, to)));
  return yield* packer.finish();
}

function upTo(size: number): Uint32Array {
  const all = new Uint32Array(size);
  for (let p = 0; p < size; p++) all[p] = p;
  return all;
}

/** Posts by id, ascending by code units. */
function sortIds(ids: Texts): Uint32Array {
  const order = upTo(ids.starts.length - 1);
  const texts = Array.from(order, (post) => textAt(ids, post));
  return order.sort((a, b) => (texts[a]! < texts[b]! ? -1 : texts[a]! > texts[b]! ? 1 : 0));
}
