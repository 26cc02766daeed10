import type { SourceView } from '@ivy/client';
import { facetLabel, type DryRun, type Lens } from '@ivy/core';
import type { DryRuns } from '../../dry-run/dry-runs.js';
import type { Ghost } from '../ghost/use-ghost.js';

/** What all tabs of the drawer are told. */
export interface DrawerParts {
  lens: Lens;
  source: SourceView;
  address: string;
  dryRun: DryRun | null;
  dryRuns: DryRuns;
  ghost: Ghost | null;
  hues: ReadonlyMap<string, number>;
  /** What a facet is called. */
  labelOf: (key: string) => string;
  onGo: (address: string) => void;
  onFocus: (key: string) => void;
  onEdit: (lens: Lens) => void;
}

/** What a facet of a lens is called. */
export function labelIn(lens: Lens, { fields }: SourceView, key: string): string {
  const facet = lens.facets.find((one) => one.key === key);
  return facet ? facetLabel(facet, fields, lens) : key;
}
