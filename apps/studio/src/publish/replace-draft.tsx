import type { LensChange } from '@ivy/core';
import { useEffect, useRef } from 'react';
import { countOf } from '../shared/figures.js';

interface Props {
  /** What takes its place: a release, or a file. */
  what: string;
  /** What the draft has that this has not. */
  lost: readonly LensChange[];
  onDo: () => void;
  onLeave: () => void;
}

/** Says what goes as something else is made the draft, before it is. */
export function ReplaceDraft({ what, lost, onDo, onLeave }: Props) {
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <section aria-label={`Make ${what} the draft`} className="mb-5 border border-rust bg-rust-soft px-4 py-3">
      <h2 className="serif text-[17px] font-semibold">{what} in place of the draft</h2>
      {lost.length === 0 ? (
        <p>The draft reads the same, so nothing goes.</p>
      ) : (
        <>
          <p>{countOf(lost.length, 'change')} would go from the draft. One press brings back what went.</p>
          <ul className="my-1.5 text-[13px] text-ink-2">
            {lost.slice(0, 5).map(({ facet, title }) => (
              <li key={`${facet} ${title}`}>{title}</li>
            ))}
            {lost.length > 5 && <li>and {lost.length - 5} more</li>}
          </ul>
        </>
      )}
      <p className="mt-2 flex gap-2">
        <button ref={first} type="button" className="button" onClick={onDo}>
          Make it the draft
        </button>
        <button type="button" className="button" onClick={onLeave}>
          Leave it
        </button>
      </p>
    </section>
  );
}
