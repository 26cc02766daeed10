import type { Mark, MarkName } from '@ivy/core';
import { useId, type ReactNode } from 'react';
import type { ControlReading, FieldReading, PageReading } from './read-pages.js';

/** The mark in hand, with what it meets and what can be done to it. */
export interface HandProps {
  mark: Mark;
  label: string;
  hue: number | null;
  reading: PageReading;
  field: FieldReading | undefined;
  control: ControlReading | undefined;
  /** What the mark finds on the page. */
  found: number;
  onChange: (says: Partial<Record<MarkName, string | undefined>>) => void;
  onMove: (at: string) => void;
  onRename: (name: string) => void;
  onRemove: () => void;
}

/** A setting with its name before it. */
export function Row({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2 px-4 py-2">
      <label htmlFor={id} className="text-[13px] font-semibold">
        {label}
      </label>
      {children(id)}
    </div>
  );
}
