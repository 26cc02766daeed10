import type { Collection, Field, Post, Term } from '../../model/post.js';
import { PostPacker } from '../store/post-packer.js';
import { termListOf } from '../store/term-list.js';
import { PostIndex } from './post-index.js';
import { finished, type Steps } from '../base/steps.js';
import { own } from '../../text/own.js';

/** Makes an index from posts that come some at a time: each may be let go of once it was added. */
export class IndexBuilder {
  readonly #posts: PostPacker;

  /**
   * @param size       how many posts there will be, if that is known: room is made for them at once
   * @param arenaFrom  as for the index
   */
  constructor(
    private readonly fields: readonly Field[],
    private readonly taxonomies: Readonly<Record<string, readonly Term[]>>,
    size = 0,
    private readonly arenaFrom?: number,
  ) {
    const lists = new Map(fields.map((field) => [field.key, termListOf(field, own(taxonomies, field.key))]));
    this.#posts = new PostPacker(fields, (key) => lists.get(key) ?? null, size);
  }

  /** No two posts may have one id. */
  add(posts: readonly Post[]): void {
    this.#posts.add(posts);
  }

  /** Makes the index step by step. No posts may be added any more. */
  *finish(): Steps<PostIndex> {
    return new PostIndex(this.fields, this.taxonomies, yield* this.#posts.finish(), [], this.arenaFrom);
  }
}

/** Builds an index from a source's contents; `arenaFrom` as for the index. */
export function buildIndex({ fields, taxonomies, posts }: Collection, arenaFrom?: number): PostIndex {
  const builder = new IndexBuilder(fields, taxonomies, posts.length, arenaFrom);
  builder.add(posts);
  return finished(builder.finish());
}
