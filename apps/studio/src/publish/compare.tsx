import type { ReleaseView } from '@ivy/client';
import { useState } from 'react';

interface Compared {
  /** Number of the earlier release; null for the newest. */
  from: number | null;
  /** Number of the later release; null for the draft. */
  to: number | null;
  onFrom: (number: number | null) => void;
  onTo: (number: number | null) => void;
}

/** Which two states are compared: at first the newest release and the draft. */
export function useCompared(): Compared {
  const [from, onFrom] = useState<number | null>(null);
  const [to, onTo] = useState<number | null>(null);
  return { from, to, onFrom, onTo };
}

/** Two states of the lens to tell apart. */
export function Compare({ from, to, onFrom, onTo, releases }: Compared & { releases: readonly ReleaseView[] }) {
  const newest = releases[0]!.number;
  const list = 'h-[27px] rounded-[3px] bg-transparent px-1 font-semibold text-ink hover:bg-sunk';
  return (
    <p className="mb-3 flex flex-wrap items-center gap-1 text-[13px] text-ink-2">
      <span className="remark text-[15px]">from</span>
      <select
        className={list}
        aria-label="Compare from"
        value={from ?? newest}
        onChange={({ target }) => onFrom(Number(target.value))}
      >
        {releases.map(({ number }) => (
          <option key={number} value={number}>
            release {number}
          </option>
        ))}
      </select>
      <span className="remark text-[15px]">to</span>
      <select
        className={list}
        aria-label="Compare to"
        value={to ?? 'draft'}
        onChange={({ target }) => {
          if (from === null) onFrom(newest);
          onTo(target.value === 'draft' ? null : Number(target.value));
        }}
      >
        <option value="draft">the draft</option>
        {releases.map(({ number }) => (
          <option key={number} value={number}>
            release {number}
          </option>
        ))}
      </select>
    </p>
  );
}
