import type { DryRun, Lens } from '@ivy/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DryRuns } from '../../dry-run/dry-runs.js';

/** What one is about to do: another address, other settings, or both; and the facet it is about. */
export interface Prospect {
  address?: string;
  lens?: Lens;
  facet: string | null;
}

/** What would be, were the prospect done. */
export interface Ghost extends Prospect {
  dryRun: DryRun;
}

/** How long, in ms, something is pointed at before it is asked what it would change: who passes over it asks nothing. */
const patience = 35;

/** Tries out what someone points at, before it is done. Nothing is shown of what is pointed at no more. */
export function useGhost(
  dryRuns: DryRuns,
  lens: Lens,
  address: string,
): { ghost: Ghost | null; point: (at: Prospect | null) => void } {
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const running = useRef<AbortController>(undefined);
  const point = useCallback(
    (at: Prospect | null) => {
      running.current?.abort();
      if (!at) return setGhost(null);
      const { signal } = (running.current = new AbortController());
      setTimeout(() => {
        if (signal.aborted) return;
        dryRuns
          .run(at.lens ?? lens, at.address ?? address, signal)
          .then((dryRun) => {
            if (!signal.aborted) setGhost({ ...at, dryRun });
          })
          // what can't be tried out has no ghost; pressed, it says why
          .catch(() => setGhost(null));
      }, patience);
    },
    [dryRuns, lens, address],
  );
  // once it is done, or something else is, it is no prospect any more
  useEffect(() => () => point(null), [point]);
  return { ghost, point };
}
