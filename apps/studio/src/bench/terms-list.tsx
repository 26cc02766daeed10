import { isTerms, type SwitchFacet, type TermFacet } from '@ivy/core';
import { Eye, EyeOff } from 'lucide-react';
import { useState } from 'react';
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
}

/** The terms of a facet with a bar for how many posts each has, and an eye to hide it from visitors. */
export function TermsList({ source, facet, chosen, onEye }: Props) {
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
              <span
                className={`min-w-0 flex-1 truncate ${hidden ? 'text-ink-3 line-through' : on ? 'font-semibold text-hue-text' : ''}`}
                style={{ paddingInlineStart: depths[i]! * 13 }}
              >
                {term.label}
              </span>
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
