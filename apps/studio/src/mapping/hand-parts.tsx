import type { Mark, MarkName } from '@ivy/core';
import { Named } from '../shared/named.js';
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
export function Row(props: Parameters<typeof Named>[0]) {
  return (
    <div className="px-4 py-2">
      <Named {...props} />
    </div>
  );
}
