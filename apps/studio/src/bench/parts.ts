import type { ApiProblem, SourceView } from '@ivy/client';
import type { Lens, DryRun } from '@ivy/core';
import type { Dispatch } from 'react';
import type { BenchAction } from './bench-state.js';

/** What the parts beside the live page draw from, and how they change it. */
export interface BenchParts {
  lens: Lens;
  source: SourceView;
  dryRun: DryRun | null;
  hues: ReadonlyMap<string, number>;
  /** What settings were refused for. */
  problem: ApiProblem | null;
  dispatch: Dispatch<BenchAction>;
}
