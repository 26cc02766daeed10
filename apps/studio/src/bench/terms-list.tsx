import { isTerms, type SwitchFacet, type TermFacet } from '@ivy/core';
import { Eye, EyeOff } from 'lucide-react';
import { useRef, useState } from 'react';
import useSWR from 'swr';
import type { TermView } from '../api/types.js';
import { depthsOf } from '../sources/specimen.js';
import { figure } from '../shared/figures.js';

/** Terms listed before one asks for all. */
const firstTerms = 60;

interface Props {
  source: string;
  facet: TermFacet | SwitchFacet;
  /** Slugs chosen in the address. */
  chosen: readonly string[];
  onEye: (term: string) => void;
  /** An own label; an empty one gives the source's back. */
  onLabel: (term: string, label: string) => void;
}

/** The terms of a facet with a bar for how many posts each has, and an eye to hide it from visitors. */
export function TermsList({ source, facet, chosen, onEye, onLabel }: Props) {
  const { data: terms, error } = useSWR<TermView[], Error>(
    `/sources/${source}/terms/${encodeURIComponent(facet.field)}`,
  );
  const [all, setAll] = useState(false);
  if (error) return <p className="text-bad">{error.message}</p>;
  if (!terms) return <p className="remark text-ink-3">Counting the terms…</p>;
  if (terms.length === 0) return <p className="text-ink-2">No post has a value here.</p>;
  const most = Math.max(1, ...terms.map((term) => term.count));
  const depths = depthsOf(terms);
  const hide = isTerms(facet) ? facet.hide : [];
  return (
    <>
      <ul aria-label="Terms">
        {terms.slice(0, all ? undefined : firstTerms).map((term, i) => {
          const hidden = hide.includes(term.slug);
          const on = chosen.includes(term.slug);
          return (
            <li key={term.slug} className="flex h-[24px] items-center gap-2">
              <TermLabel
                own={'labels' in facet ? (facet.labels[term.slug] ?? '') : ''}
                label={term.label}
                className={`min-w-0 flex-1 truncate ${hidden ? 'text-ink-3 line-through' : on ? 'font-semibold text-hue-text' : ''}`}
                indent={depths[i]! * 13}
                onLabel={(label) => onLabel(term.slug, label)}
              />
              <span
                className={`h-[7px] ${on ? 'bg-hue' : 'bg-hue-half'}`}
                style={{ width: Math.max(1, (84 * term.count) / most), opacity: hidden ? 0.5 : 1 }}
                aria-hidden="true"
              />
              <span className="w-8 text-end text-ink-2">{figure(term.count)}</span>
              {isTerms(facet) && (
                <button
                  type="button"
                  className="grid h-[24px] w-[24px] place-items-center rounded-[3px] text-ink-3 hover:text-ink"
                  aria-label={hidden ? `Show ${term.label}` : `Hide ${term.label}`}
                  aria-pressed={hidden}
                  onClick={() => onEye(term.slug)}
                >
                  {hidden ? <EyeOff size={14} /> : <Eye size={14} />}
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {!all && terms.length > firstTerms && (
        <button type="button" className="link mt-1" onClick={() => setAll(true)}>
          Show all {figure(terms.length)}
        </button>
      )}
    </>
  );
}

/** A term's label, which turns into a box to give it one of this lens's own. */
function TermLabel({
  own,
  label,
  className,
  indent,
  onLabel,
}: {
  own: string;
  label: string;
  className: string;
  indent: number;
  onLabel: (label: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const done = (next: string | null) => {
    if (next !== null && next.trim() !== (own || label)) onLabel(next.trim() === label ? '' : next);
    setText(null);
    requestAnimationFrame(() => button.current?.focus());
  };
  if (text === null) {
    return (
      <button
        ref={button}
        type="button"
        className={`${className} text-start ${own === '' ? '' : 'italic'}`}
        style={{ paddingInlineStart: indent }}
        title={own === '' ? 'Press to give it a label of its own here' : `“${label}” in the source`}
        aria-label={`Label of ${own || label}`}
        onClick={() => setText(own || label)}
      >
        {own || label}
      </button>
    );
  }
  return (
    <input
      className="field h-[24px] min-w-0 flex-1"
      aria-label={`Own label of ${label}`}
      maxLength={200}
      autoFocus
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => done(text)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done(text);
        if (event.key === 'Escape') done(null);
      }}
    />
  );
}
