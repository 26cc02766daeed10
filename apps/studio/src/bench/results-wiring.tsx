import { wordSet, wordSetLanguages, wordsOf, type Lens } from '@ivy/core';
import { useState } from 'react';

interface Props {
  lens: Lens;
  onEdit: (lens: Lens, topic?: string) => void;
}

/** What is not a facet: how many cards, in which order, and what they are called. */
export function ResultsWiring({ lens, onEdit }: Props) {
  const words = wordsOf(lens.texts, wordSet(lens.language));
  const setText = (key: 'posts' | 'emptyTitle', value: string) =>
    onEdit({ ...lens, texts: { ...lens.texts, [key]: value } }, `text ${key}`);
  return (
    <div className="flex h-full flex-col border-t-4 border-ivy">
      <header className="border-b border-rule bg-ivy-soft px-3.5 py-3">
        <h2 className="serif text-[21px] leading-tight font-semibold">
          Results <span className="remark text-[15px] font-normal text-ink-2">wiring</span>
        </h2>
      </header>
      <div className="min-h-0 flex-1 overflow-y-auto">
        <GatherMap
          label="Cards in a row"
          ways={['1', '2', '3', '4', '5', '6'].map((n) => [n, n] as const)}
          value={String(lens.look.columns)}
          hint="Where there is room for them."
          onPick={(columns) => onEdit({ ...lens, look: { ...lens.look, columns: Number(columns) } })}
        />
        <GatherMap
          label="Facets stand"
          ways={[
            ['side', 'at the side'],
            ['top', 'above'],
          ]}
          value={lens.look.facets}
          onPick={(facets) => onEdit({ ...lens, look: { ...lens.look, facets } })}
        />
        <GatherMap
          label="A choice counts"
          ways={[
            ['change', 'at once'],
            ['button', 'on a button'],
          ]}
          value={lens.address.apply}
          onPick={(apply) => onEdit({ ...lens, address: { ...lens.address, apply } })}
        />
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
        <section className="section flex items-center justify-between">
          <label className="eyebrow" htmlFor="page-size">
            Posts a page
          </label>
          <PageSize
            key={lens.paging.size}
            size={lens.paging.size}
            onChange={(size) => onEdit({ ...lens, paging: { ...lens.paging, size } })}
          />
        </section>
        <section className="section flex items-center justify-between gap-4">
          <label className="eyebrow shrink-0" htmlFor="first-sort">
            First order
          </label>
          {lens.sort.options.length === 0 ? (
            <span className="text-ink-2">newest first</span>
          ) : (
            <select
              id="first-sort"
              className="field"
              value={lens.sort.default || lens.sort.options[0]!.key}
              onChange={(event) => onEdit({ ...lens, sort: { ...lens.sort, default: event.target.value } })}
            >
              {lens.sort.options.map((option) => (
                <option key={option.key} value={option.key}>
                  {option.label}
                </option>
              ))}
            </select>
          )}
        </section>
        <section className="section">
          <label className="eyebrow block" htmlFor="posts-words">
            Posts are called
          </label>
          <input
            id="posts-words"
            className="field mt-1.5 w-full"
            value={lens.texts.posts ?? ''}
            placeholder={words.posts}
            maxLength={120}
            onChange={(event) => setText('posts', event.target.value)}
          />
          <p className="mt-1 text-[13px] text-ink-3">
            One, then many: <span className="mono text-[12px]">{'{n} note|{n} notes'}</span>
          </p>
        </section>
        <section className="section">
          <label className="eyebrow block" htmlFor="empty-words">
            When nothing matches
          </label>
          <input
            id="empty-words"
            className="field mt-1.5 w-full"
            value={lens.texts.emptyTitle ?? ''}
            placeholder={words.emptyTitle}
            maxLength={120}
            onChange={(event) => setText('emptyTitle', event.target.value)}
          />
        </section>
      </div>
    </div>
  );
}

/** A setting with a few ways, one of which is pressed. */
function GatherMap<V extends string>({
  label,
  ways,
  value,
  hint,
  onPick,
}: {
  label: string;
  ways: readonly (readonly [V, string])[];
  value: V;
  hint?: string;
  onPick: (value: V) => void;
}) {
  return (
    <section className="section">
      <h3 className="eyebrow mb-2">{label}</h3>
      <div className="flex gap-1.5" role="group" aria-label={label}>
        {ways.map(([way, words]) => (
          <button
            key={way}
            type="button"
            className="pick h-[31px] flex-1"
            aria-pressed={way === value}
            onClick={() => onPick(way)}
          >
            {words}
          </button>
        ))}
      </div>
      {hint && <p className="mt-1.5 text-[13px] text-ink-3">{hint}</p>}
    </section>
  );
}

/** A language by its own name. */
function languageName(tag: string): string {
  return new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
}

function PageSize({ size, onChange }: { size: number; onChange: (size: number) => void }) {
  const [text, setText] = useState(String(size));
  const done = () => {
    const wanted = Number(text);
    if (Number.isInteger(wanted) && wanted >= 1 && wanted <= 200) onChange(wanted);
    else setText(String(size));
  };
  return (
    <input
      id="page-size"
      className="field w-[70px] text-end"
      type="number"
      min={1}
      max={200}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done();
      }}
    />
  );
}
