import type { FieldDescription, Lens } from '@ivy/core';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState, type ReactNode } from 'react';

/** What every part of the results is set by. */
export interface ResultsProps {
  lens: Lens;
  /** Slug of the lens. */
  slug: string;
  /** Slug of the source. */
  source: string;
  fields: readonly FieldDescription[];
  /** `topic` names what is typed in, so that a word is one step back and not one a letter. */
  onEdit: (lens: Lens, topic?: string) => void;
}

/** A setting with a few choices, one of which is pressed. */
export function Choice<V extends string>({
  label,
  choices,
  value,
  hint,
  onPick,
}: {
  label: string;
  choices: readonly (readonly [V, ReactNode])[];
  value: V;
  hint?: string;
  onPick: (value: V) => void;
}) {
  return (
    <section className="section">
      <h3 className="eyebrow mb-2">{label}</h3>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label={label}>
        {choices.map(([choice, words]) => (
          <button
            key={choice}
            type="button"
            className="pick min-h-[31px] flex-1 px-2"
            aria-pressed={choice === value}
            onClick={() => onPick(choice)}
          >
            {words}
          </button>
        ))}
      </div>
      {hint && <p className="mt-1.5 text-[13px] text-ink-3">{hint}</p>}
    </section>
  );
}

/** A box for a whole number with what it is for. */
export function NumberRow({ label, ...box }: { label: string } & Parameters<typeof NumberBox>[0]) {
  return (
    <section className="section flex items-center justify-between">
      <label className="eyebrow" htmlFor={box.id}>
        {label}
      </label>
      <NumberBox key={box.value ?? ''} {...box} />
    </section>
  );
}

/** A box where none, kept as 0, means as many as there are. */
export function MostRow({
  value,
  onChange,
  ...row
}: {
  label: string;
  id: string;
  max: number;
  value: number;
  onChange: (most: number) => void;
}) {
  return (
    <NumberRow
      {...row}
      min={1}
      mayBeEmpty
      value={value === 0 ? null : value}
      onChange={(most) => onChange(most ?? 0)}
    />
  );
}

/** Two presses that move something among its neighbours. */
export function MoveButtons({
  label,
  canMove: [canUp, canDown],
  onMove,
}: {
  label: string;
  canMove: readonly [boolean, boolean];
  onMove: (by: -1 | 1) => void;
}) {
  return (
    <>
      <button
        type="button"
        className="icon-button"
        aria-label={`Move ${label} up`}
        title="Alt+↑"
        disabled={!canUp}
        onClick={() => onMove(-1)}
      >
        <ArrowUp size={14} />
      </button>
      <button
        type="button"
        className="icon-button"
        aria-label={`Move ${label} down`}
        title="Alt+↓"
        disabled={!canDown}
        onClick={() => onMove(1)}
      >
        <ArrowDown size={14} />
      </button>
    </>
  );
}

/**
 * A box for a whole number, or for nothing where that means something. What is no such number goes back to what it was.
 * @param onChange  called with null for nothing
 */
export function NumberBox({
  id,
  value,
  min,
  max,
  mayBeEmpty = false,
  none = 'all',
  onChange,
}: {
  id: string;
  value: number | null;
  min: number;
  max: number;
  mayBeEmpty?: boolean;
  /** What nothing means. */
  none?: string;
  onChange: (value: number | null) => void;
}) {
  const before = value === null ? '' : String(value);
  const [text, setText] = useState(before);
  const done = () => {
    const wanted = Number(text);
    if (text === before) return;
    if (text.trim() === '' && mayBeEmpty) onChange(null);
    else if (text.trim() !== '' && Number.isInteger(wanted) && wanted >= min && wanted <= max) onChange(wanted);
    else setText(before);
  };
  return (
    <input
      id={id}
      className="field w-[84px] text-end"
      type="number"
      min={min}
      max={max}
      placeholder={mayBeEmpty ? none : undefined}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done();
      }}
    />
  );
}
