import type { LensView, SourceView } from '@ivy/client';
import { useEffect, useMemo } from 'react';
import { dryRunsFor, type DryRuns } from './dry-runs.js';

/** Whoever tries a lens out, for as long as the page is open and the source stays as it is. */
export function useDryRuns({ slug, name }: LensView, { slug: source, posts, updatedAt }: SourceView): DryRuns {
  const dryRuns = useMemo(
    () => dryRunsFor(slug, { name, slug: source, posts, updatedAt }),
    [slug, name, source, posts, updatedAt],
  );
  useEffect(() => () => dryRuns.stop(), [dryRuns]);
  return dryRuns;
}
