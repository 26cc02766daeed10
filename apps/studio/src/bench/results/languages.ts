import type { Lens, TextKey } from '@ivy/core';

/*
 * What one does to the languages of a lens: pure functions from lens to lens.
 */

export function addLanguage(lens: Lens, language: string): Lens {
  return { ...lens, languages: { ...lens.languages, [language]: { texts: {}, labels: {} } } };
}

export function removeLanguage(lens: Lens, language: string): Lens {
  return { ...lens, languages: omit(lens.languages, language) };
}

/** Sets a text that the language brings; an empty one gives that back. */
export function setText(lens: Lens, language: string, key: TextKey, text: string): Lens {
  if (language === lens.language) return { ...lens, texts: withText(lens.texts, key, text) };
  return withWords(lens, language, ({ texts, labels }) => ({ texts: withText(texts, key, text), labels }));
}

/** Sets what the lens itself says, in a further language; an empty one leaves it as it reads in the lens's own. */
export function setLabel(lens: Lens, language: string, at: string, label: string): Lens {
  return withWords(lens, language, ({ texts, labels }) => ({ texts, labels: withText(labels, at, label) }));
}

/** Keeps what is said of a facet in other languages when its address name changes. */
export function moveLabels(lens: Lens, from: string, to: string): Lens {
  const moved = (at: string) => (at.startsWith(from) ? to + at.slice(from.length) : at);
  return Object.keys(lens.languages).reduce(
    (made, language) =>
      withWords(made, language, ({ texts, labels }) => ({
        texts,
        labels: Object.fromEntries(Object.entries(labels).map(([at, label]) => [moved(at), label])),
      })),
    lens,
  );
}

type Words = Lens['languages'][string];

function withWords(lens: Lens, language: string, change: (words: Words) => Words): Lens {
  const words = lens.languages[language];
  return words ? { ...lens, languages: { ...lens.languages, [language]: change(words) } } : lens;
}

function withText<T extends Record<string, string | undefined>>(texts: T, key: string, text: string): T {
  return text === '' ? omit(texts, key) : { ...texts, [key]: text };
}

function omit<T extends object>(value: T, key: string): T {
  return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key)) as T;
}
