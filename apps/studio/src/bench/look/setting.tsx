import { Flag, RotateCcw } from 'lucide-react';
import type { ReactNode } from 'react';

/**
 * A setting with what it is called, and a way back, shown only where there is one.
 * @param only  the span of widths it holds for alone, marked by the flag that the ruler has
 */
export function Setting({
  label,
  hint,
  only,
  onReset,
  children,
}: {
  label: string;
  hint?: string | undefined;
  only?: string | undefined;
  onReset: (() => void) | null;
  children: ReactNode;
}) {
  return (
    <section className="section">
      <div className="mb-2 flex min-h-[20px] items-center gap-1.5">
        <h3 className="eyebrow">{label}</h3>
        {only !== undefined && (
          <span className="flex items-center gap-1 text-[12.5px] text-ivy">
            <Flag size={12} aria-hidden="true" /> {only}
          </span>
        )}
        {onReset && <Reset of={label} onReset={onReset} />}
      </div>
      {children}
      {hint !== undefined && <p className="mt-1.5 text-[13px] text-ink-3">{hint}</p>}
    </section>
  );
}

export function Reset({ of, onReset }: { of: string; onReset: () => void }) {
  return (
    <button
      type="button"
      className="icon-button ms-auto !h-[24px] !w-[24px]"
      aria-label={`Reset ${of.toLowerCase()}`}
      title="As it was"
      onClick={onReset}
    >
      <RotateCcw size={13} />
    </button>
  );
}

/** A number one slides, with its figure. */
export function Slider({
  label,
  value,
  min,
  max,
  step = 1,
  unit,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  unit: string;
  onChange: (value: number) => void;
}) {
  return (
    <div className="flex items-center gap-2.5">
      <input
        type="range"
        className="h-[24px] min-w-0 flex-1 accent-[var(--ivy)]"
        aria-label={label}
        aria-valuetext={`${value} ${unit}`}
        {...{ min, max, step, value }}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <output className="mono w-[58px] text-end text-[12.5px] text-ink-2">
        {value} {unit}
      </output>
    </div>
  );
}

/** A few ways drawn small, one of which is pressed. */
export function Drawings<V extends string>({
  label,
  ways,
  value,
  onPick,
}: {
  label: string;
  ways: readonly (readonly [V, string, { filled: string; lines: string }])[];
  value: V;
  onPick: (value: V) => void;
}) {
  return (
    <div className="grid grid-cols-3 gap-1.5" role="group" aria-label={label}>
      {ways.map(([way, name, { filled, lines }]) => (
        <button
          key={way}
          type="button"
          className="pick grid content-start justify-items-center gap-1 px-1 py-2 text-[13px] leading-tight"
          aria-pressed={way === value}
          onClick={() => onPick(way)}
        >
          <svg viewBox="0 0 36 26" width="36" height="26" aria-hidden="true">
            <path d={filled} fill="currentColor" opacity="0.75" />
            <path d={lines} stroke="currentColor" strokeWidth="1.6" fill="none" opacity="0.55" />
          </svg>
          {name}
        </button>
      ))}
    </div>
  );
}
