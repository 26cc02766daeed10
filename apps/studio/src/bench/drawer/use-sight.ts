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

/** What came of looking, and for which question. */
interface Came<K extends SightName> extends Pick<Seen<K>, 'seen' | 'problem' | 'share'> {
  answered: string | null;
}

/** Looks at a lens, again whenever what is asked changes. What was seen before stays until then. */
export function useSight<K extends SightName>(dryRuns: DryRuns, sight: Sight<K> | null): Seen<K> {
  const [came, setCame] = useState<Came<K>>({ seen: null, problem: null, share: null, answered: null });
  const asked = sight && JSON.stringify(sight);
  useEffect(() => {
    if (asked === null) return;
    const left = new AbortController();
    const come = (next: Partial<Came<K>>) => {
      if (!left.signal.aborted) setCame((before) => ({ ...before, share: null, ...next }));
    };
    dryRuns
      .see(JSON.parse(asked) as Sight<K>, left.signal, (share) => come({ share }))
      .then((seen) => come({ seen, problem: null, answered: asked }))
      .catch((problem: unknown) => come({ problem: problem as Error, answered: asked }));
    return () => left.abort();
  }, [dryRuns, asked]);
  const { seen, problem, share, answered } = came;
  return { seen, problem, isLooking: asked !== null && answered !== asked, share: answered === asked ? null : share };
}
