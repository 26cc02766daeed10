import type { Post } from '../../model/post.js';
import type { Values } from './values.js';

/** Takes the values of one field out of posts, some at a time, and gives them as a column. */
export interface Packer {
  /** Takes those of the posts from `from` up to `to`, which come after all that were taken before. */
  add(posts: readonly Post[], from: number, to: number): void;
  /** They may be the first of more numbers than they need. */
  done(): Values;
}
