import type { AddressCheck, SavedAddressView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { figure } from '../shared/figures.js';
import { Differs } from './differs.js';
import { expectationWords } from './expectation-words.js';
import { ExpectationForm } from './expectation-form.js';
import { MiniTokens } from './mini-tokens.js';

interface Props {
  slug: string;
  lens: Lens;
  hues: ReadonlyMap<string, number>;
  folders: readonly string[];
  saved: SavedAddressView;
  release: AddressCheck | undefined;
  draft: AddressCheck | undefined;
  onChange: (body: Partial<Pick<SavedAddressView, 'expect' | 'folder' | 'name'>>) => void;
  onRemove: () => void;
}

/** A saved address: what it must find, and what it finds by the release and by the draft. One that differs says what did it. */
export function SavedRow({ slug, lens, hues, folders, saved, release, draft, onChange, onRemove }: Props) {
  const [isEdited, setEdited] = useState(false);
  const differs = draft && !draft.holds ? draft : release && !release.holds ? release : undefined;
  return (
    <li className={`border-b border-rule last:border-b-0 ${differs ? 'bg-bad-soft/50' : ''}`}>
      <div className="flex items-start gap-3 px-3 py-2">
        <div className="min-w-0 flex-1">
          {saved.name !== '' && <p className="font-semibold">{saved.name}</p>}
          <MiniTokens {...{ lens, hues }} address={saved.address} />
          <p className="flex flex-wrap items-baseline gap-x-3 text-[13px] text-ink-2">
            <span className="remark text-[14px]">{expectationWords(saved.expect)}</span>
            <Link to={`/lenses/${slug}?${saved.address}`} className="act">
              open
            </Link>
            <button type="button" className="act" aria-expanded={isEdited} onClick={() => setEdited(!isEdited)}>
              change
            </button>
            <button type="button" className="act" onClick={onRemove}>
              take away
            </button>
          </p>
        </div>
        <Got words="in the release" check={release} />
        <Got words="in the draft" check={draft} />
      </div>
      {isEdited && (
        <ExpectationForm
          {...{ saved, folders }}
          onDone={(body) => {
            setEdited(false);
            if (body) onChange(body);
          }}
        />
      )}
      {differs && (
        <Differs
          {...{ slug, hues }}
          expect={saved.expect}
          check={differs}
          onSettle={(expect) => onChange({ expect })}
        />
      )}
    </li>
  );
}

/** How many it finds: a full seed holds, an open one differs. */
function Got({ words, check }: { words: string; check: AddressCheck | undefined }) {
  return (
    <span
      className={`flex w-[64px] shrink-0 items-center justify-end gap-1.5 pt-0.5 ${check?.holds === false ? 'font-semibold text-bad' : 'text-ink'}`}
    >
      {check ? figure(check.got.matched) : <span className="text-ink-3">–</span>}
      <svg
        width="16"
        height="10"
        viewBox="0 0 16 10"
        role="img"
        aria-label={check ? `${check.holds ? 'holds' : 'differs'} ${words}` : `not known ${words}`}
      >
        <ellipse
          cx="8"
          cy="5"
          rx="6.6"
          ry="3.8"
          fill={check?.holds ? 'var(--ivy)' : 'none'}
          stroke={check ? (check.holds ? 'var(--ivy)' : 'var(--bad)') : 'var(--rule-2)'}
          strokeWidth="1.8"
        />
      </svg>
    </span>
  );
}
