import {
  bestLanguage,
  englishTexts,
  fold,
  languagesOf,
  lensTexts,
  wordSet,
  wordSetLanguages,
  type Lens,
  type TextKey,
} from '@ivy/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { addLanguage, removeLanguage, setLabel, setText } from './languages.js';
import type { ResultsProps } from './parts.js';

/** The words one looks for first; the others follow as they come. */
const first: readonly TextKey[] = ['posts', 'emptyTitle', 'search', 'filters', 'show', 'sort', 'clearAll'];
const keys = [...new Set([...first, ...(Object.keys(englishTexts) as TextKey[])])];

interface Props extends ResultsProps {
  /** The language the live page is read in now. */
  reads: string;
  onReads: (language: string) => void;
}

/** A text in the wiring: what stands there without one's own, and one's own. */
interface Row {
  id: string;
  before: string;
  own: string;
  onChange: (text: string) => void;
}

/** Every text a visitor reads, in each language of the lens: one's own beside what stands there without it. */
export function WordsWiring({ lens, fields, onEdit, reads: wanted, onReads }: Props) {
  const [find, setFind] = useState('');
  const reads = bestLanguage(lens, [wanted]);
  const isOwn = reads === lens.language;
  const built = wordSet(reads);
  const { texts, labels } = isOwn ? { texts: lens.texts, labels: {} } : lens.languages[reads]!;
  const holds = ({ before, own }: Row) => fold(`${before} ${own}`).includes(fold(find.trim()));
  const words = keys.map((key): Row => ({
    id: `text-${key}`,
    before: built[key],
    own: texts[key] ?? '',
    onChange: (text) => onEdit(setText(lens, reads, key, text), `text ${reads} ${key}`),
  }));
  // in its own language what a lens says itself is set where it belongs: at the facet, the order, the card
  const said = isOwn ? [] : lensTexts(lens, fields);
  const names = said.map(({ at, text }): Row => ({
    id: `label-${at}`,
    before: text,
    own: labels[at] ?? '',
    onChange: (label) => onEdit(setLabel(lens, reads, at, label), `label ${reads} ${at}`),
  }));
  const [seenNames, seenWords] = [names.filter(holds), words.filter(holds)];
  return (
    <>
      <Languages lens={lens} reads={reads} onEdit={onEdit} onReads={onReads} />
      <section className="section">
        <input
          type="search"
          className="field w-full"
          aria-label="Find a text"
          placeholder={`Find among ${names.length + words.length} texts`}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      </section>
      <Rows title="Names" left={languageName(lens.language)} right={languageName(reads)} rows={seenNames} />
      <Rows title="Texts" left="built in" right="yours" rows={seenWords} />
      {seenNames.length + seenWords.length === 0 && <p className="section text-ink-2">No text has that in it.</p>}
      <p className="section text-[13px] text-ink-3">
        Forms by number stand one after the other: <span className="mono text-[12px]">{'{n} note|{n} notes'}</span>.
        What stands in braces is filled in.
      </p>
    </>
  );
}

/** The languages a lens is read in, and which of them one is at. */
function Languages({ lens, reads, onEdit, onReads }: Pick<Props, 'lens' | 'reads' | 'onEdit' | 'onReads'>) {
  const there = languagesOf(lens);
  const isAlone = there.length === 1;
  return (
    <section className="section">
      <h3 className="eyebrow mb-2">Visitors read</h3>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Visitors read">
        {there.map((language) => (
          <button
            key={language}
            type="button"
            className="pick min-h-[31px] px-2.5"
            aria-pressed={language === reads}
            onClick={() => onReads(language)}
          >
            {languageName(language)}
          </button>
        ))}
        <AddLanguage
          lens={lens}
          onAdd={(language) => {
            onEdit(addLanguage(lens, language));
            onReads(language);
          }}
        />
      </div>
      {reads === lens.language ? (
        <label className="mt-2.5 flex items-center justify-between gap-3 text-[13px] text-ink-2">
          {isAlone ? 'The lens speaks' : 'Where a page says no other'}
          <select
            className="field"
            aria-label="Language of the lens"
            value={lens.language}
            onChange={(event) => {
              onEdit({ ...lens, language: event.target.value });
              onReads(event.target.value);
            }}
          >
            {[...new Set([...wordSetLanguages, lens.language])]
              .filter((language) => language === lens.language || !there.includes(language))
              .map((language) => (
                <option key={language} value={language}>
                  {languageName(language)}
                </option>
              ))}
          </select>
        </label>
      ) : (
        <div className="mt-2.5 flex items-center justify-between gap-3 text-[13px] text-ink-2">
          <span>
            On pages with <span className="mono text-[12px]">lang="{reads}"</span>
          </span>
          <button
            type="button"
            className="button button-small"
            aria-label={`Delete ${languageName(reads)}`}
            onClick={() => {
              onEdit(removeLanguage(lens, reads));
              onReads(lens.language);
            }}
          >
            <X size={14} aria-hidden="true" /> Delete
          </button>
        </div>
      )}
    </section>
  );
}

/** A list of the languages there are words for, with room for any other by its tag. */
function AddLanguage({ lens, onAdd }: { lens: Lens; onAdd: (language: string) => void }) {
  const [tag, setTag] = useState<string | null>(null);
  const there = languagesOf(lens);
  const isNew = tag !== null && isTag(tag) && !there.some((one) => one.toLowerCase() === tag.trim().toLowerCase());
  if (tag === null) {
    return (
      <button type="button" className="button button-small" onClick={() => setTag('')}>
        <Plus size={14} aria-hidden="true" /> Language
      </button>
    );
  }
  return (
    <form
      className="flex gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isNew) return;
        onAdd(Intl.getCanonicalLocales(tag.trim())[0]!);
        setTag(null);
      }}
    >
      <input
        className="field w-[96px]"
        aria-label="Tag of the language"
        placeholder="de, nl-BE"
        list="language-tags"
        value={tag}
        maxLength={35}
        autoFocus
        onChange={(event) => setTag(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setTag(null);
        }}
      />
      <datalist id="language-tags">
        {wordSetLanguages
          .filter((language) => !there.includes(language))
          .map((language) => (
            <option key={language} value={language}>
              {languageName(language)}
            </option>
          ))}
      </datalist>
      <button type="submit" className="button button-small" disabled={!isNew}>
        Add
      </button>
    </form>
  );
}

function Rows({ title, left, right, rows }: { title: string; left: string; right: string; rows: Row[] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title}>
      <div className="section grid grid-cols-2 gap-2.5 pb-1" aria-hidden="true">
        <span className="eyebrow">{left}</span>
        <span className="eyebrow">{right}</span>
      </div>
      <ul aria-label={title}>
        {rows.map(({ id, before, own, onChange }) => (
          <li key={id} className="grid grid-cols-2 items-center gap-2.5 px-3.5 py-1">
            <label className="text-[13px] [overflow-wrap:anywhere] text-ink-2" htmlFor={id}>
              {before}
            </label>
            <textarea
              id={id}
              className="field field-sizing-content overflow-hidden w-full resize-none py-[5px] text-[13px] leading-snug"
              rows={1}
              aria-label={`In place of “${before}”`}
              placeholder={before}
              value={own}
              maxLength={300}
              onChange={(event) => onChange(event.target.value.replace(/\n/g, ' '))}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function isTag(tag: string): boolean {
  try {
    return tag.trim() !== '' && Intl.getCanonicalLocales(tag.trim()).length === 1;
  } catch {
    return false;
  }
}

/** A language by its own name. */
function languageName(tag: string): string {
  return new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
}
