import { fullBits } from '../base/bits.js';
import { PostSet } from '../sets/post-set.js';
import { finished, type Steps } from '../base/steps.js';
import type { Arena } from '../kernel/arena.js';
import { respell } from './respell.js';
import { fieldEnd, wordsBeginning, type TextIndex } from './text-index.js';
import { readWanted, type Wanted } from './wanted.js';
import { runsOf, type WordRun } from './word-run.js';

/** A wanted thing, resolved: the words of the index that meet it. */
export interface Met extends Wanted {
  /** For each of its words, those of the index that meet it: a word of a search may be met by many. */
  met: WordRun[][];
  /** The word itself, whole: its number, or -1. */
  whole: number;
  /** What it was taken for, when nothing in the index begins with it. */
  respelled: string | null;
  /** How many posts meet it. */
  count: number;
  /** Of several words in a row, the posts that meet them; of any other thing its words tell. */
  inRow: PostSet | null;
}

/** A search worked out against an index. */
export interface Search {
  wanted: Met[];
  posts: PostSet;
}

/**
 * Finds the posts that meet a search. `words` tells whether all or any of what is wanted must be there.
 * @param arena  where to work; what is found lies elsewhere and may be kept
 */
export function search(index: TextIndex, text: string, words: 'all' | 'any', arena: Arena | null = null): Search {
  return finished(combining(index, text, words, arena, (set) => set));
}

/**
 * `search` step by step, a wanted word a step. Others may work in the arena between steps, so what each step finds is taken
 * out of it.
 */
export function* searchInSteps(
  index: TextIndex,
  text: string,
  words: 'all' | 'any',
  arena: Arena | null = null,
): Steps<Search> {
  const steps = combining(index, text, words, arena, (set) => set.settled(arena));
  for (;;) {
    const { done, value } = arena ? arena.during(() => steps.next()) : steps.next();
    if (done) return value;
    yield;
  }
}

/** @param keep  makes sure that a set outlives a step */
function* combining(
  index: TextIndex,
  text: string,
  words: 'all' | 'any',
  arena: Arena | null,
  keep: (set: PostSet) => PostSet,
): Steps<Search> {
  const { size } = index;
  const met: Resolved[] = [];
  const each: PostSet[] = [];
  for (const one of readWanted(text)) {
    const resolved = meet(index, one);
    met.push(resolved);
    each.push(keep(postsMeeting(index, resolved, arena)));
    yield;
  }
  const positive = each.filter((_, i) => !met[i]!.excluded);
  const [first, ...others] = positive;
  let posts = first ?? PostSet.ofBits(size, fullBits(size), size);
  for (const other of others) {
    posts = keep(words === 'all' ? posts.and(other, arena) : PostSet.union(size, [posts, other], arena));
    yield;
  }
  for (const [i, one] of each.entries()) {
    if (!met[i]!.excluded) continue;
    posts = keep(posts.without(one, arena));
    yield;
  }
  const wanted = met.map((one, i): Met => {
    return { ...one, count: each[i]!.count, inRow: one.phrase ? each[i]!.settled(arena) : null };
  });
  return { wanted, posts: posts.settled(arena) };
}

type Resolved = Omit<Met, 'count' | 'inRow'>;

function meet(index: TextIndex, one: Wanted): Resolved {
  if (one.phrase) {
    const met = one.words.map((word) => exactly(index, word));
    return { ...one, met, whole: -1, respelled: null };
  }
  const [word] = one.words;
  const run = wordsBeginning(index, word!);
  const whole = index.vocabulary[run.first] === word ? run.first : -1;
  if (run.end > run.first) return { ...one, met: [[run]], whole, respelled: null };
  // an exclusion that meets nothing excludes nothing; to guess another word would take posts away unasked
  if (one.excluded) return { ...one, met: [[]], whole, respelled: null };
  const near = respell(word!, index.vocabulary);
  const respelled = near.length === 0 ? null : commonest(index, near);
  return { ...one, met: [runsOf(near)], whole: -1, respelled };
}

function exactly(index: TextIndex, word: string): WordRun[] {
  const { first } = wordsBeginning(index, word);
  return index.vocabulary[first] === word ? [{ first, end: first + 1 }] : [];
}

function commonest(index: TextIndex, numbers: readonly number[]): string {
  const size = (w: number) => index.starts[w + 1]! - index.starts[w]!;
  return index.vocabulary[[...numbers].sort((a, b) => size(b) - size(a) || a - b)[0]!]!;
}

function postsMeeting(index: TextIndex, one: Resolved, arena: Arena | null): PostSet {
  const [posts, ...others] = one.met.map((runs) => postsWithAny(index, runs, arena));
  if (!one.phrase || others.length === 0) return posts!;
  const phrase = one.met.map((runs) => runs[0]?.first ?? fieldEnd);
  return keepPhrase(
    index,
    others.reduce((all, other) => all.and(other, arena), posts!),
    phrase,
  );
}

function postsWithAny({ size, starts, posts }: TextIndex, runs: readonly WordRun[], arena: Arena | null): PostSet {
  const sets = runs.map(({ first, end }) => {
    const list = posts.subarray(starts[first], starts[end]);
    // the posts of one word are in order; those of several words stand together, a word after the other
    return end - first === 1 ? PostSet.ofList(size, list) : PostSet.ofUnsorted(size, list, arena);
  });
  return PostSet.union(size, sets, arena);
}

/** Of posts that have every word of a phrase, those that have them in a row. */
function keepPhrase({ size, tokenStarts, tokens }: TextIndex, posts: PostSet, phrase: readonly number[]): PostSet {
  const kept = posts.list.filter((post) => {
    const last = tokenStarts[post + 1]! - phrase.length;
    for (let at = tokenStarts[post]!; at <= last; at++) {
      if (phrase.every((word, i) => tokens[at + i] === word)) return true;
    }
    return false;
  });
  return PostSet.ofList(size, kept);
}
