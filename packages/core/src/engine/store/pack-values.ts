import type { Field, Post } from '../../model/post.js';
import { DayPacker } from './day-packer.js';
import { FlagPacker } from './flag-packer.js';
import { NumberPacker } from './number-packer.js';
import { termList, type TermList } from './term-list.js';
import { TermPacker } from './term-packer.js';
import { TextValuePacker } from './text-value-packer.js';
import type { Packer } from './packer.js';
import type { Values } from './values.js';

const noTerms = termList([]);

/**
 * A packer for a field.
 * @param terms  the terms of the field, for one of terms
 * @param size   how many posts there will be, if that is known: room is made for them at once
 */
export function packerOf({ key, type }: Field, terms: TermList | null, size: number): Packer {
  switch (type) {
    case 'terms':
    case 'reference':
      return new TermPacker(key, terms ?? noTerms, size);
    case 'boolean':
      return new FlagPacker(key, size);
    case 'number':
      return new NumberPacker(key, size);
    case 'date':
      return new DayPacker(key, size);
    case 'datetime':
    case 'text':
    case 'html':
    case 'link':
    case 'image':
      return new TextValuePacker(key, size);
  }
}

/** Takes the values of one field out of posts, in their order. */
export function packValues(field: Field, posts: readonly Post[], terms: TermList | null): Values {
  const packer = packerOf(field, terms, posts.length);
  packer.add(posts, 0, posts.length);
  return packer.done();
}
