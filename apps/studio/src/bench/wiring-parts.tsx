import { useGhosting } from './ghost/ghosting.js';
import type { Prospect } from './ghost/use-ghost.js';
import type { FieldDescription } from '@ivy/core';
import type { ReactNode } from 'react';
import { figure } from '../shared/figures.js';

/** The field a facet reads, and how many posts have a value in it. */
export function Reads({
  field,
  fieldKey,
  posts,
}: {
  field: FieldDescription | undefined;
  fieldKey: string;
  posts: number;
}) {
  const filled = field?.filled ?? 0;
  return (
    <section className="section">
      <div className="flex items-center gap-3">
        <h3 className="eyebrow w-[54px]">Reads</h3>
        <span className="mono rounded-[3px] border border-rule-2 bg-raised px-2 py-0.5 text-[12.5px]">{fieldKey}</span>
        <span className="ms-auto text-[13px] text-ink-2">{field ? describe(field) : 'gone from the source'}</span>
      </div>
      <div className="mt-2 h-1 bg-sunk" aria-hidden="true">
        <div className="h-full bg-hue" style={{ width: `${(100 * filled) / Math.max(1, posts)}%` }} />
      </div>
      <p className="mt-1 text-[13px]">
        {filled === posts
          ? `All ${figure(posts)} posts have a value`
          : `${figure(filled)} of ${figure(posts)} posts have a value`}
      </p>
    </section>
  );
}

function describe(field: FieldDescription): string {
  if (field.type === 'terms')
    return field.tree ? 'terms, in a tree' : field.multiple ? 'terms, many each' : 'terms, one each';
  return field.type === 'boolean' ? 'yes or no' : field.type;
}

/** A setting with its name at the side. */
export function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[64px_minmax(0,1fr)] items-start">
      <h3 className="eyebrow pt-1">{label}</h3>
      <div>{children}</div>
    </div>
  );
}

/** Two ways of matching, each with the number of posts it would give with what is chosen now. */
export function AnyAll({
  value,
  noun,
  effect,
  onPick,
  ghostOf,
}: {
  value: 'any' | 'all';
  noun: string;
  effect: { any: number; all: number } | undefined;
  onPick: (value: 'any' | 'all') => void;
  /** What a way of matching would come to, for who points at it. */
  ghostOf: (value: 'any' | 'all') => Prospect;
}) {
  const ghosting = useGhosting();
  return (
    <div className="grid grid-cols-2 gap-1.5" role="group" aria-label="Match">
      {(['any', 'all'] as const).map((match) => (
        <button
          key={match}
          type="button"
          className="pick flex h-[31px] items-center justify-between gap-1.5 px-2 whitespace-nowrap"
          aria-pressed={value === match}
          {...(value !== match && ghosting(() => ghostOf(match)))}
          onClick={() => onPick(match)}
        >
          <span>
            {match} {noun}
          </span>
          <span className="serif text-[16px] font-semibold text-ink" data-testid={`match-${match}`}>
            {effect ? figure(effect[match]) : '…'}
          </span>
        </button>
      ))}
    </div>
  );
}

/** A setting that is on or off, with what it does in a few words. */
export function Toggle({
  label,
  hint,
  on,
  onFlip,
}: {
  label: string;
  hint?: string;
  on: boolean;
  onFlip: (on: boolean) => void;
}) {
  return (
    <label className="flex cursor-pointer items-center justify-between gap-3">
      <span>
        <span className="eyebrow block">{label}</span>
        {hint && <span className="block text-[13px] text-ink-3">{hint}</span>}
      </span>
      <input
        type="checkbox"
        className="toggle toggle-sm toggle-primary"
        aria-label={label}
        checked={on}
        onChange={(event) => onFlip(event.target.checked)}
      />
    </label>
  );
}
