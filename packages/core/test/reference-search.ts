import { readWanted } from '../src/engine/words/wanted.js';
import type { Collection, Post } from '../src/model/post.js';
import type { SearchFacet } from './facets.js';

/*
 * The slow, obvious search: what of the posts' words meets what is wanted.
 */

const cut = new WeakMap<Post, string[][]>();

/** The words of each field of a post, in order. The made-up texts use scripts that set spaces. */
export function wordsByField(collection: Collection, post: Post, facet: SearchFacet): string[][] {
  // cut once: every search of these tests is over the same fields
  if (!cut.has(post)) cut.set(post, cutWords(collection, post, facet));
  return cut.get(post)!;
}

const vocabularies = new WeakMap<Collection, ReadonlySet<string>>();

export function vocabularyOf(collection: Collection, facet: SearchFacet): ReadonlySet<string> {
  if (!vocabularies.has(collection)) {
    vocabularies.set(
      collection,
      new Set(collection.posts.flatMap((one) => wordsByField(collection, one, facet).flat())),
    );
  }
  return vocabularies.get(collection)!;
}

function cutWords(collection: Collection, post: Post, facet: SearchFacet): string[][] {
  return facet.fields.map((key) => {
    const value = post.values[key];
    const labels = new Map(collection.taxonomies[key]?.map((term) => [term.slug, term.label]));
    const text = Array.isArray(value)
      ? value.map((slug) => labels.get(slug)).join(' ')
      : typeof value === 'string'
        ? value
        : '';
    return fold(text).match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
  });
}

export function fold(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
}

export function finds(collection: Collection, post: Post, facet: SearchFacet, text: string): boolean {
  const fields = wordsByField(collection, post, facet);
  const all = vocabularyOf(collection, facet);
  const meets = ({ words, phrase, excluded }: ReturnType<typeof readWanted>[number]) => {
    if (phrase) return fields.some((own) => own.some((_, i) => words.every((word, k) => own[i + k] === word)));
    const wanted = meeting(words[0]!, all, excluded);
    return fields.some((own) => own.some((word) => wanted.has(word)));
  };
  const wanted = wantedOf(text);
  const positive = wanted.filter((one) => !one.excluded);
  if (wanted.some((one) => one.excluded && meets(one))) return false;
  return positive.length === 0 || (facet.words === 'all' ? positive.every(meets) : positive.some(meets));
}

/** Remembers what a pure function gave: each of these is asked the same by post after post. */
function remembered<K, V>(work: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    if (!known.has(key)) known.set(key, work(key));
    return known.get(key)!;
  };
}

const wantedOf = remembered(readWanted);
const met = new WeakMap<ReadonlySet<string>, (name: string) => ReadonlySet<string>>();

/** The words of all posts that a wanted word is met by. */
export function meeting(word: string, all: ReadonlySet<string>, excluded: boolean): ReadonlySet<string> {
  if (!met.has(all)) {
    met.set(
      all,
      remembered((name) => meetingAnew(name.slice(1), all, name[0] === '-')),
    );
  }
  return met.get(all)!(`${excluded ? '-' : '+'}${word}`);
}

function meetingAnew(word: string, all: ReadonlySet<string>, excluded: boolean): ReadonlySet<string> {
  const letters = [...word].length;
  const begin = [...all].filter((own) => (letters < 2 ? own === word : own.startsWith(word)));
  if (begin.length > 0 || excluded) return new Set(begin);
  const most = letters >= 8 ? 2 : letters >= 4 ? 1 : 0;
  const near = [...all].map((own) => ({
    own,
    distance: Math.abs(own.length - word.length) > most ? 9 : edits(word, own),
  }));
  const least = Math.min(...near.map(({ distance }) => distance));
  return new Set(least > most ? [] : near.filter(({ distance }) => distance === least).map(({ own }) => own));
}

export function edits(a: string, b: string): number {
  const [from, to] = [[...a], [...b]];
  /** From letter `i` of the one and letter `j` of the other on. */
  const left = remembered((at: number): number => {
    const [i, j] = [Math.floor(at / (to.length + 1)), at % (to.length + 1)];
    const of = (p: number, q: number) => left(p * (to.length + 1) + q);
    if (i === from.length || j === to.length) return from.length - i + to.length - j;
    if (from[i] === to[j]) return of(i + 1, j + 1);
    return 1 + Math.min(of(i + 1, j), of(i, j + 1), of(i + 1, j + 1));
  });
  return left(0);
}
