import type { PostIndex } from '../../engine/index/post-index.js';
import { inParts, type Steps } from '../../engine/base/steps.js';
import { columnByNumbers, type TermColumn } from '../../engine/columns/term-column.js';
import { articlesOf, letterLabel, letterOf, rowOf } from './alphabet.js';

/** What decides under which letter a post stands, and in which order letters do. */
export interface Lettering {
  field: string;
  articles: 'count' | 'pass';
  language: string;
}

const foldedInAStep = 2000;

/** The first letters of a field's texts as terms. */
export function letterColumn(index: PostIndex, lettering: Lettering): TermColumn {
  return index.derived(nameOf(lettering), () => buildLetterColumn(index, lettering));
}

/** Prepares what `letterColumn` asks for. */
export function prepareLetterColumn(index: PostIndex, lettering: Lettering): Steps<TermColumn> {
  return index.prepareDerived(nameOf(lettering), () => buildLetterColumn(index, lettering));
}

function nameOf({ field, articles, language }: Lettering): string {
  return JSON.stringify(['letters', field, articles, language]);
}

function* buildLetterColumn(index: PostIndex, { field, articles, language }: Lettering): Steps<TermColumn> {
  const passed = articles === 'pass' ? articlesOf(language) : [];
  const letters: (string | null)[] = [];
  yield* inParts(index.size, foldedInAStep, (from, to) => {
    for (let post = from; post < to; post++) letters.push(letterOf(index.textOf(post, field), passed));
  });
  const row = rowOf(new Set(letters.filter((letter) => letter !== null)), language);
  const numbers = new Map(row.map((letter, t) => [letter, t]));
  const terms = row.map((slug) => ({ slug, label: letterLabel(slug, language), parent: null }));
  return columnByNumbers(terms, index.size, index.arena, (post) => {
    const letter = letters[post];
    return letter == null ? -1 : numbers.get(letter)!;
  });
}
