import type { PostIndex, WeighedField } from '../../engine/index/post-index.js';
import { Lru } from '../../engine/base/lru.js';
import type { Steps } from '../../engine/base/steps.js';
import type { Arena } from '../../engine/kernel/arena.js';
import { fieldWithRole } from '../../model/post.js';
import { search, searchInSteps, type Search } from '../../engine/words/search.js';
import type { TextIndex } from '../../engine/words/text-index.js';
import { prepareWordsByEnd } from '../../engine/words/words-by-end.js';

/** What of a search's config decides what it finds. */
export interface Searched {
  fields: readonly string[];
  words: 'all' | 'any';
  weights: Record<string, number>;
}

/** The fields a facet searches. A hit in the title weighs three times as much unless the lens says otherwise. */
function weighedFields(index: PostIndex, facet: Searched): WeighedField[] {
  const title = fieldWithRole(index.fields, 'title')?.key;
  return facet.fields.map((key) => ({
    key,
    weight: Object.hasOwn(facet.weights, key) ? facet.weights[key]! : key === title ? 3 : 1,
  }));
}

const texts = new WeakMap<PostIndex, WeakMap<Searched, TextIndex>>();

/** The words a search facet searches, as they were found before. */
export function textIndexOf(index: PostIndex, facet: Searched): TextIndex {
  let byFacet = texts.get(index);
  if (!byFacet) texts.set(index, (byFacet = new WeakMap()));
  let text = byFacet.get(facet);
  if (!text) byFacet.set(facet, (text = index.text(weighedFields(index, facet))));
  return text;
}

/** Prepares what `textIndexOf` asks for. */
export function* prepareText(index: PostIndex, facet: Searched): Steps<TextIndex> {
  const text = yield* index.prepareText(weighedFields(index, facet));
  yield* prepareWordsByEnd(text.vocabulary);
  return text;
}

const searches = new WeakMap<TextIndex, Lru<string, Search>>();
/** Searches kept: an answer asks for its own two or three times, one as it is typed for those before it. */
const searchesKept = 16;

/**
 * Works a search out, or takes it as it was worked out a moment ago: an index never changes.
 * @param arena  where to work
 */
export function searchOf(index: PostIndex, facet: Searched, text: string, arena: Arena | null = null): Search {
  const words = textIndexOf(index, facet);
  return keptSearches(words).getOr(nameOf(facet, text), () => search(words, text, facet.words, arena));
}

/** Prepares what `searchOf` asks for. */
export function* prepareSearch(index: PostIndex, facet: Searched, text: string): Steps<Search> {
  const words = textIndexOf(index, facet);
  const kept = keptSearches(words);
  const name = nameOf(facet, text);
  return kept.get(name) ?? kept.put(name, yield* searchInSteps(words, text, facet.words, index.arena));
}

function nameOf({ words }: Searched, text: string): string {
  return `${words} ${text}`;
}

function keptSearches(words: TextIndex): Lru<string, Search> {
  let kept = searches.get(words);
  if (!kept) searches.set(words, (kept = new Lru<string, Search>(searchesKept)));
  return kept;
}
