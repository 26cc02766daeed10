import type { SightName, Sights } from '@ivy/core';
import { useEffect, useState } from 'react';
import type { DryRuns, Sight } from '../../dry-run/dry-runs.js';

export interface Seen<K extends SightName> {
  /** What was seen last, of the same name; null until then. */
  seen: Sights[K]['seen'] | null;
  isLooking: boolean;
  /** How much of it is done, from 0 to 1; null where that is not told. */
  share: number | null;
  problem: Error | null;
}

/** Looks at a lens, again whenever what is asked changes. What was seen before stays until then. */
export function useSight<K extends SightName>(dryRuns: DryRuns, sight: Sight<K> | null): Seen<K> {
  const [state, setState] = useState<Seen<K>>({ seen: null, isLooking: sight !== null, share: null, problem: null });
  const asked = sight && JSON.stringify(sight);
  useEffect(() => {
    if (asked === null) return;
    const left = new AbortController();
    const what = JSON.parse(asked) as Sight<K>;
    setState((before) => ({ ...before, isLooking: true, share: null }));
    dryRuns
      .see(what, left.signal, (share) => setState((before) => ({ ...before, share })))
      .then((seen) => {
        if (!left.signal.aborted) setState({ seen, isLooking: false, share: null, problem: null });
      })
      .catch((problem: unknown) => {
        if (!left.signal.aborted)
          setState((before) => ({ ...before, isLooking: false, share: null, problem: problem as Error }));
      });
    return () => left.abort();
  }, [dryRuns, asked]);
  return state;
}
