import type { Facet, FieldDescription, Lens, DryRun } from '@ivy/core';
import type { ComponentType, ReactNode } from 'react';

/** What a wiring is given. */
export interface WiringProps<F extends Facet = Facet> {
  source: string;
  posts: number;
  fields: readonly FieldDescription[];
  lens: Lens;
  facet: F;
  /** The first field it reads. */
  field: FieldDescription | undefined;
  dryRun: DryRun | null;
  onEdit: (lens: Lens, topic?: string) => void;
  onChange: (patch: Partial<Facet>, topic?: string) => void;
}

/** What only one kind has: how it is laid out, moved and worded. */
export interface OwnProps<F extends Facet = Facet> {
  facet: F;
  onChange: (patch: Partial<Facet>, topic?: string) => void;
}

/** A facet that is added by itself, and not from a field. */
export interface Addition {
  name: string;
  fact: string;
  /** Whether the lens has none yet, and could have one. */
  isFree(lens: Lens, fields: readonly FieldDescription[]): boolean;
  /** The lens with it, and its key. */
  add(lens: Lens, fields: readonly FieldDescription[]): { lens: Lens; key: string } | null;
}

/** A kind of facet as the Bench has it in hand. One object a kind, registered in `kind-desks.ts`. */
export interface KindDesk<F extends Facet = Facet> {
  /** What it is called under its small picture. */
  name: string;
  /** The small picture, where a field can be shown as this. */
  drawing?: ReactNode;
  /** Whether it does a field as well as the kind that is proposed for it. */
  alsoSuits?(field: FieldDescription): boolean;
  /** The settings that kinds of its sort share. */
  Main: ComponentType<WiringProps<F>>;
  Own?: ComponentType<OwnProps<F>>;
  /** What a visitor sees on unfolding it. */
  unfolds: string;
  addition?: Addition;
}
