import type { PostIndex } from '../../engine/index/post-index.js';
import { PostSet } from '../../engine/sets/post-set.js';
import { postsUnder, type TermColumn } from '../../engine/columns/term-column.js';
import type { Arena } from '../../engine/kernel/arena.js';
import type { Selection } from '../../model/selection.js';
import type { Columns } from '../kind.js';
import type { Vocabulary } from './read.js';

/** The terms of a field, as what a facet counts by. */
export function columnsOf(column: TermColumn): Columns {
  return { terms: column, ordered: [] };
}

/** The terms of a field, as what addresses are read by. */
export function vocabularyOf(index: PostIndex, field: string): Vocabulary {
  return {
    termOf: (slug) => index.termOf(field, slug),
    ancestorsOf: (slug) => index.ancestorsOf(field, slug),
  };
}

/** The posts under any of the chosen terms, or under all. */
export function passingTerms(
  index: PostIndex,
  column: TermColumn,
  match: 'any' | 'all',
  selection: Selection,
  chosen: readonly number[],
  arena: Arena | null,
): PostSet {
  if (selection.type !== 'terms' || match === 'any') return postsUnder(column, chosen, arena);
  // a term that is not there at all leaves an "all" with nothing
  if (chosen.length < selection.terms.length) return PostSet.ofList(index.size, new Uint32Array(0));
  return chosen.map((term) => postsUnder(column, [term])).reduce((a, b) => a.and(b, arena));
}
