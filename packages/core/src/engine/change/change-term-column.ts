import type { Steps } from '../base/steps.js';
import type { Arena } from '../kernel/arena.js';
import { gatherMapOf, type InOrder, type NewNumbers, type GatherMap } from '../store/gather-map.js';
import type { TermList } from '../store/term-list.js';
import { pickMany, type Values } from '../store/values.js';
import { listBits, moveBits, setBit } from '../base/bits.js';
import { adoptedFor, columnOf, type TermColumn } from '../columns/term-column.js';
import { rowsOf, type Rows, type RowsOf } from '../columns/term-rows.js';
import { roomForTerms, sizesIn } from '../columns/term-sets.js';

/** Where the posts of an index stand after a change that left those that stay in their order. */
export interface Moves extends InOrder {
  /** GatherMap of the posts that are gone. */
  gone: GatherMap;
  /** New numbers of the old posts; -1 for one that is gone. */
  ofOld: Int32Array;
}

/** Share of posts from which to build anew is as quick as to take over what there was. */
const manyChanged = 1 / 4;

/** Null where posts changed their order, or so many changed that columns are soonest built anew. */
export function movesOf(ordered: InOrder, { ofOld, isOrderKept }: NewNumbers): Moves | null {
  if (!isOrderKept) return null;
  const gone: number[] = [];
  for (let p = 0; p < ofOld.length; p++) if (ofOld[p]! < 0) gone.push(p);
  if (gone.length + ordered.addedAt.length > ordered.gatherMap.rows.length * manyChanged) return null;
  return { ...ordered, gone: gatherMapOf(Int32Array.from(gone)), ofOld };
}

/**
 * The column of a field after a change, out of the one before: the same as built anew. Only the terms of posts that came
 * or went are looked at; sets are moved a run of posts at a time, and lists renumbered.
 * @param terms   of the field after the change: numbered, and under one another, as before
 * @param values  of the field after the change
 * @param pick    gives the values of some posts of before (by number) and of added ones
 */
export function* changeTermColumn(
  old: TermColumn,
  terms: TermList,
  values: Values,
  pick: (gatherMap: GatherMap) => Values,
  moves: Moves,
  arena: Arena | null,
): Steps<TermColumn> {
  const count = terms.terms.length;
  const size = moves.gatherMap.rows.length;
  const added = yield* rowsOf(terms, pick(moves.added));
  const gone = sizesIn(count, (yield* rowsOf(terms, pick(moves.gone))).rows);
  const more = sizesIn(count, added.rows);
  const { kept } = roomForTerms(
    old.sizes.map((before, t) => before - gone[t]! + more[t]!),
    size,
    arena,
  );
  const fresh = byTerm(added.rows, more, moves.addedAt);
  for (let t = 0, start = 0; t < count; t++) {
    const posts = fresh.subarray(start, (start += more[t]!));
    const [set, list] = [kept.sets[t], kept.postings[t]];
    const [oldSet, oldList] = [old.sets[t], old.postings[t]];
    if (list) {
      mergeInto(list, oldList ?? listBits(oldSet!), moves.ofOld, posts);
      continue;
    }
    if (oldSet) moveBits(oldSet, set!, moves.gatherMap.runs);
    else for (const post of oldList!) if (moves.ofOld[post]! >= 0) setBit(set!, moves.ofOld[post]!);
    for (const post of posts) setBit(set!, post);
  }
  const { rows, isShared } = rowsAfter(old, added, values, moves.gatherMap, count) ?? (yield* rowsOf(terms, values));
  return adoptedFor(values, columnOf(terms, kept, rows, size, arena, isShared));
}

/** The posts of each term, one term's after the other's: a counting sort. */
function byTerm(rows: Rows, sizes: Uint32Array, numbers: Uint32Array): Uint32Array {
  const next = new Uint32Array(sizes.length);
  for (let t = 1; t < next.length; t++) next[t] = next[t - 1]! + sizes[t - 1]!;
  const posts = new Uint32Array(rows.values.length);
  for (let i = 0, p = 0; i < rows.values.length; i++) {
    if (rows.form === 'one') p = i;
    else while (rows.starts[p + 1]! <= i) p++;
    const t = rows.values[i]!;
    if (t < sizes.length) posts[next[t]!++] = numbers[p]!;
  }
  return posts;
}

/** Puts the posts of a list that stay, by their new numbers, and some more into another; all are ascending. */
function mergeInto(to: Uint32Array, from: Uint32Array, ofOld: Int32Array, more: Uint32Array): void {
  let [end, i] = [0, 0];
  for (let m = 0; m <= more.length; m++) {
    const next = m < more.length ? more[m]! : Infinity;
    for (; i < from.length; i++) {
      const post = ofOld[from[i]!]!;
      if (post > next) break;
      // one that is gone
      if (post < 0) continue;
      to[end++] = post;
    }
    if (m < more.length) to[end++] = next;
  }
}

/** Rows that can be told without a look at every post; null for all others. */
function rowsAfter(
  { rows, sharesRows }: TermColumn,
  added: RowsOf,
  values: Values,
  gatherMap: GatherMap,
  terms: number,
): RowsOf | null {
  if (rows?.form !== 'many' || added.rows.form !== 'many') return null;
  // no post had a term twice, nor has one that came
  if (sharesRows && added.isShared && values.form === 'terms') {
    return { rows: { form: 'many', starts: values.starts, values: values.numbers }, isShared: true };
  }
  const [before, now] = [rows, added.rows].map((one) => ({ starts: one.starts, numbers: one.values }));
  const { starts, numbers } = pickMany(before!, now!, gatherMap, terms);
  return { rows: { form: 'many', starts, values: numbers }, isShared: false };
}
