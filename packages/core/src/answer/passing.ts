import { dayNumber } from '../dates/calendar.js';
import type { PostIndex, WeighedField } from '../index/post-index.js';
import type { Arena } from '../kernel/arena.js';
import { PostSet } from '../index/post-set.js';
import { postsWithin } from '../index/sorted-column.js';
import { numbersOfSlugs, postsUnder } from '../index/term-column.js';
import { isFavourites, isRange, isSearch, type Facet, type Lens, type SearchFacet } from '../model/lens.js';
import { fieldWithRole } from '../model/post.js';
import type { Selection } from '../model/query.js';
import { search, searching, type Search } from '../search/search.js';
import type { Steps } from '../index/steps.js';
import type { TextIndex } from '../search/text-index.js';
import { rangeColumns } from './range-parts.js';

/**
 * The posts whose values meet what is chosen in a facet. The set may be one the index keeps: it must not be changed.
 * @param arena  where the set may lie if it is not kept beyond an answer
 * @param terms  the numbers of the terms that are chosen
 */
export function passing(
  index: PostIndex,
  lens: Lens,
  facet: Facet,
  selection: Selection,
  arena: Arena | null = null,
  terms = chosenTerms(index, facet, selection),
): PostSet {
  if (isSearch(facet)) {
    return selection.type === 'search' ? searchOf(index, facet, selection.text, arena).posts : nothing(index);
  }
  if (isFavourites(facet)) return postsNamed(index, selection.type === 'posts' ? selection.ids : []);
  if (isRange(facet)) {
    const { start, end } = rangeColumns(index, lens, facet);
    const [from, to] = endsOf(selection);
    return postsWithin(start, end, from, to, arena);
  }
  const column = index.column(facet.field);
  if (selection.type !== 'terms' || !('match' in facet) || facet.match === 'any')
    return postsUnder(column, terms, arena);
  // a term that is not there at all leaves an "all" with nothing
  if (terms.length < selection.terms.length) return nothing(index);
  return terms.map((term) => postsUnder(column, [term])).reduce((a, b) => a.and(b, arena));
}

function postsNamed(index: PostIndex, ids: readonly string[]): PostSet {
  const posts = ids.map((id) => index.numberOf(id)).filter((post) => post !== undefined);
  return PostSet.ofList(index.size, Uint32Array.from(posts).sort());
}

function nothing(index: PostIndex): PostSet {
  return PostSet.ofList(index.size, new Uint32Array(0));
}

/** The numbers of the terms that are chosen in a facet; of a switch, of yes or no. Unknown ones are left out. */
export function chosenTerms(index: PostIndex, facet: Facet, selection: Selection): readonly number[] {
  if (isSearch(facet) || isRange(facet) || isFavourites(facet)) return noTerms;
  const slugs = slugsOf(selection);
  return slugs.length === 0 ? noTerms : numbersOfSlugs(index.column(facet.field), slugs);
}

const noTerms: readonly number[] = [];

/** The terms a selection names: of a switch, yes or no. */
export function slugsOf(selection: Selection): readonly string[] {
  if (selection.type === 'terms') return selection.terms;
  if (selection.type === 'term') return [selection.term];
  return selection.type === 'switch' ? [selection.on ? 'yes' : 'no'] : [];
}

/** The ends of a range as numbers: day numbers for days. */
export function endsOf(selection: Selection): [from: number | null, to: number | null] {
  if (selection.type === 'numbers') return [selection.from, selection.to];
  if (selection.type !== 'days') return [null, null];
  const end = (day: string | null) => (day === null ? null : dayNumber(day));
  return [end(selection.from), end(selection.to)];
}

const texts = new WeakMap<PostIndex, WeakMap<SearchFacet, TextIndex>>();

/** The words a search facet searches, as they were found before. */
export function textIndexOf(index: PostIndex, facet: SearchFacet): TextIndex {
  let byFacet = texts.get(index);
  if (!byFacet) texts.set(index, (byFacet = new WeakMap()));
  let text = byFacet.get(facet);
  if (!text) byFacet.set(facet, (text = index.text(weighedFields(index, facet))));
  return text;
}

/** The fields a facet searches. A hit in the title weighs three times as much unless the lens says otherwise. */
export function weighedFields(index: PostIndex, facet: SearchFacet): WeighedField[] {
  const title = fieldWithRole(index.fields, 'title')?.key;
  return facet.fields.map((key) => ({
    key,
    weight: Object.hasOwn(facet.weights, key) ? facet.weights[key]! : key === title ? 3 : 1,
  }));
}

const searches = new WeakMap<TextIndex, Map<string, Search>>();
/** Searches kept: an answer asks for its own two or three times, one as it is typed for those before it. */
const searchesKept = 16;

/**
 * Works a search out, or takes it as it was worked out a moment ago: an index never changes.
 * @param arena  where to work
 */
export function searchOf(index: PostIndex, facet: SearchFacet, text: string, arena: Arena | null = null): Search {
  const words = textIndexOf(index, facet);
  const kept = keptSearches(words);
  const key = `${facet.words} ${text}`;
  let found = kept.get(key);
  if (!found) keepSearch(kept, key, (found = search(words, text, facet.words, arena)));
  return found;
}

/** `searchOf` step by step. */
export function* searchingFor(index: PostIndex, facet: SearchFacet, text: string): Steps<Search> {
  const words = textIndexOf(index, facet);
  const kept = keptSearches(words);
  const key = `${facet.words} ${text}`;
  let found = kept.get(key);
  if (!found) keepSearch(kept, key, (found = yield* searching(words, text, facet.words, index.arena)));
  return found;
}

function keptSearches(words: TextIndex): Map<string, Search> {
  let kept = searches.get(words);
  if (!kept) searches.set(words, (kept = new Map<string, Search>()));
  return kept;
}

function keepSearch(kept: Map<string, Search>, key: string, found: Search): void {
  if (kept.size >= searchesKept) kept.delete(kept.keys().next().value!);
  kept.set(key, found);
}
