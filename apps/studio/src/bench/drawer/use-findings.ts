import type { AddressCheck } from '@ivy/client';
import type { Lens, LensFinding } from '@ivy/core';
import { contrastsOf, schemesOf } from '@ivy/view';
import { useEffect, useMemo, useState } from 'react';
import { useApi } from '../../api/api.js';
import type { DryRuns } from '../../dry-run/dry-runs.js';
import type { ResultsTab } from '../results/results-wiring.js';
import { useSight } from './use-sight.js';

/** Something to mend, and where that is done: in the wiring of a facet, or in a part of the results. */
export interface BenchFinding {
  id: string;
  text: string;
  isBroken: boolean;
  place: { facet: string } | { results: ResultsTab } | { address: string };
}

/** How long, in ms, settings rest before they are looked at. */
const calm = 500;

/**
 * What is wrong with the lens as it stands, the worst first; null until it was looked at.
 * @param saves  goes up each time the draft is saved: its saved addresses are checked anew then
 */
export function useFindings(dryRuns: DryRuns, slug: string, lens: Lens, saves: number): BenchFinding[] | null {
  const [rested, setRested] = useState(lens);
  useEffect(() => {
    const timer = setTimeout(() => setRested(lens), calm);
    return () => clearTimeout(timer);
  }, [lens]);
  const { seen } = useSight(dryRuns, { name: 'findings', lens: rested, address: '', wanted: {} });
  const { data: checks, mutate: recheck } = useApi('/api/v1/lenses/{slug}/addresses/check', { slug }, {}, 'of=draft');
  useEffect(() => {
    if (saves > 0) void recheck();
  }, [recheck, saves]);
  return useMemo(
    () =>
      seen &&
      inOrder([...seen.map(ofFacet), ...ofLook(rested), ...ofWords(rested), ...(checks ?? []).flatMap(ofAddress)]),
    [seen, rested, checks],
  );
}

function inOrder(all: BenchFinding[]): BenchFinding[] {
  return all.sort((a, b) => Number(b.isBroken) - Number(a.isBroken));
}

function ofFacet({ code, facet, broken, text }: LensFinding): BenchFinding {
  return { id: `${facet} ${code} ${text}`, text, isBroken: broken, place: { facet } };
}

/** A saved address that finds something else than it must. */
function ofAddress({ id, holds, canonical, reasons }: AddressCheck): BenchFinding[] {
  if (holds) return [];
  const text = `The saved address ?${canonical} finds ${reasons.join('; ')}.`;
  return [{ id: `address ${id}`, text, isBroken: true, place: { address: canonical } }];
}

function ofLook({ look }: Lens): BenchFinding[] {
  const both = schemesOf(look).length > 1;
  return contrastsOf(look)
    .filter(({ ratio, least }) => ratio < least)
    .map(({ scheme, what, ratio, least }) => ({
      id: `contrast ${scheme} ${what}`,
      text: `${what[0]!.toUpperCase()}${what.slice(1)}${both ? ` in the ${scheme}` : ''} has ${ratio.toFixed(1)} of contrast; AA asks for ${least}.`,
      isBroken: false,
      place: { results: 'look' },
    }));
}

/** Languages of which fewer texts are written than of another. */
function ofWords({ languages }: Lens): BenchFinding[] {
  const counts = Object.entries(languages).map(([tag, words]) => [tag, Object.keys(words.texts).length] as const);
  const most = Math.max(0, ...counts.map(([, count]) => count));
  return counts
    .filter(([, count]) => count < most)
    .map(([tag, count]) => ({
      id: `words ${tag}`,
      text: `“${tag}” has ${most - count} texts fewer of its own than another language of this lens.`,
      isBroken: false,
      place: { results: 'words' },
    }));
}
