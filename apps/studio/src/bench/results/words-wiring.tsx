import { englishTexts, fold, wordSet, wordSetLanguages, type TextKey } from '@ivy/core';
import { useState } from 'react';
import type { ResultsProps } from './parts.js';

/** The words one looks for first; the others follow as they come. */
const first: readonly TextKey[] = ['posts', 'emptyTitle', 'search', 'filters', 'show', 'sort', 'clearAll'];
const keys = [...new Set([...first, ...(Object.keys(englishTexts) as TextKey[])])];

/** Every text a visitor reads: the lens's own beside the one the language brings. */
export function WordsWiring({ lens, onEdit }: ResultsProps) {
  const [find, setFind] = useState('');
  const built = wordSet(lens.language);
  const wanted = fold(find.trim());
  const listed = keys.filter((key) => fold(`${built[key]} ${lens.texts[key] ?? ''}`).includes(wanted));
  const set = (key: TextKey, value: string) => {
    const { [key]: _before, ...others } = lens.texts;
    onEdit({ ...lens, texts: value === '' ? others : { ...others, [key]: value } }, `text ${key}`);
  };
  return (
    <>
      <section className="section flex items-center justify-between gap-4">
        <label className="eyebrow shrink-0" htmlFor="language">
          Visitors read
        </label>
        <select
          id="language"
          className="field"
          value={lens.language}
          onChange={(event) => onEdit({ ...lens, language: event.target.value })}
        >
          {[...new Set([...wordSetLanguages, lens.language])].map((language) => (
            <option key={language} value={language}>
              {languageName(language)}
            </option>
          ))}
        </select>
      </section>
      <section className="section">
        <input
          type="search"
          className="field w-full"
          aria-label="Find a text"
          placeholder={`Find among ${keys.length} texts`}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      </section>
      <ul aria-label="Texts">
        {listed.map((key) => (
          <li key={key} className="section py-2">
            <label className="block text-[13px] text-ink-2" htmlFor={`text-${key}`}>
              {built[key]}
            </label>
            <input
              id={`text-${key}`}
              className="field mt-1 w-full"
              aria-label={`In place of “${built[key]}”`}
              placeholder={built[key]}
              value={lens.texts[key] ?? ''}
              maxLength={300}
              onChange={(event) => set(key, event.target.value)}
            />
          </li>
        ))}
      </ul>
      {listed.length === 0 && <p className="section text-ink-2">No text has that in it.</p>}
      <p className="section text-[13px] text-ink-3">
        Forms by number stand one after the other: <span className="mono text-[12px]">{'{n} note|{n} notes'}</span>.
        What stands in braces is filled in.
      </p>
    </>
  );
}

/** A language by its own name. */
function languageName(tag: string): string {
  return new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
}
