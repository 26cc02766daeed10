import { pagingNames, pagingOf, type PagingName } from '@ivy/core';
import { useState } from 'react';
import { changePaging } from '../edits.js';
import { NumberRow, type ResultsProps } from './parts.js';

/** Each way of paging: what it is called, what it does, and a small drawing of what stands below the cards. */
const modes: Record<PagingName, { name: string; does: string; drawing: string }> = {
  pages: { name: 'Numbered', does: 'One page at a time.', drawing: 'M3 15h4M10 15h4M17 15h4' },
  more: { name: 'On asking', does: 'A press puts the next below.', drawing: 'M5 13h14v5H5zM10 15.5h4' },
  endless: {
    name: 'Endless',
    does: 'They come as one nears the end; after three pages they pause.',
    drawing: 'M12 12v6M9 16l3 3 3-3',
  },
  all: { name: 'All at once', does: 'Up to 1,000; the rest is on further pages.', drawing: 'M4 12h16M4 15h16M4 18h16' },
};

/** How one gets on from the first posts. */
export function PagesWiring({ lens, onEdit }: ResultsProps) {
  const { paging } = lens;
  const set = (change: Partial<typeof paging>) => onEdit(changePaging(lens, change));
  return (
    <>
      <section className="section">
        <h3 className="eyebrow mb-2">Pages</h3>
        <div className="grid grid-cols-2 gap-1.5" role="group" aria-label="Pages">
          {pagingNames.map((mode) => (
            <button
              key={mode}
              type="button"
              className="pick flex h-[40px] items-center gap-2 px-2"
              aria-pressed={paging.mode === mode}
              onClick={() => set({ mode })}
            >
              <svg
                viewBox="0 0 24 22"
                width="24"
                height="22"
                fill="none"
                stroke="currentColor"
                strokeWidth="1.6"
                aria-hidden="true"
              >
                <path d="M4 3h7v6H4zM13 3h7v6h-7z" strokeOpacity="0.45" />
                <path d={modes[mode].drawing} />
              </svg>
              {modes[mode].name}
            </button>
          ))}
        </div>
        <p className="mt-1.5 text-[13px] text-ink-3">{modes[paging.mode].does}</p>
      </section>
      {pagingOf(paging).hasSize && (
        <>
          <NumberRow
            label="Posts a page"
            id="page-size"
            value={paging.size}
            min={1}
            max={200}
            onChange={(size) => set({ size: size! })}
          />
          <section className="section">
            <label className="eyebrow block" htmlFor="page-sizes">
              Visitors may choose
            </label>
            <Sizes key={paging.sizes.join()} sizes={paging.sizes} onChange={(sizes) => set({ sizes })} />
            <p className="mt-1 text-[13px] text-ink-3">
              Such as <span className="mono text-[12px]">12, 24, 48</span>; empty, it stays as it is.
            </p>
          </section>
        </>
      )}
    </>
  );
}

/** Numbers with commas between them. What is none goes back to what it was. */
function Sizes({ sizes, onChange }: { sizes: readonly number[]; onChange: (sizes: number[]) => void }) {
  const before = sizes.join(', ');
  const [text, setText] = useState(before);
  const done = () => {
    const wanted = text
      .split(/[,;\s]+/)
      .filter((one) => one !== '')
      .map(Number);
    const isFine = wanted.length <= 6 && wanted.every((one) => Number.isInteger(one) && one >= 1 && one <= 200);
    const next = isFine ? [...new Set(wanted)].sort((a, b) => a - b) : sizes;
    setText(next.join(', '));
    if (next.join() !== sizes.join()) onChange([...next]);
  };
  return (
    <input
      id="page-sizes"
      className="field mt-1.5 w-full"
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done();
      }}
    />
  );
}
