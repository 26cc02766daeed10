import type { AddressFault, DryRun, Lens } from '@ivy/core';
import { withForeign } from '@ivy/view';
import type { DryRuns } from '../../dry-run/dry-runs.js';
import { useSight } from '../drawer/use-sight.js';

/**
 * The address as it was said, and what of it is not taken as it stands. The page writes what it could read; what it could not
 * stays on the strip until the next change.
 * @param address  as it stands now
 * @param asked    what the newest answer was asked for
 */
export function useSaid(
  dryRuns: DryRuns,
  lens: Lens,
  address: string,
  dryRun: DryRun | null,
  asked: string,
): { address: string; faults: readonly AddressFault[] } {
  const isStill =
    dryRun !== null &&
    (asked === address || withForeign(asked, dryRun.answer.address, dryRun.settings.names) === address);
  const said = isStill ? asked : address;
  const { seen, isLooking } = useSight(
    dryRuns,
    said === '' ? null : { name: 'faults', lens, address: said, wanted: { address: said } },
  );
  if (said === '') return { address: said, faults: none };
  if (isLooking) {
    // what the answer passed over is known before it is known where it stands
    const isFaulty = isStill && dryRun.answer.notices.some(({ code }) => code !== 'respelled');
    return { address: isFaulty ? said : address, faults: none };
  }
  const faults = (seen ?? []).filter(({ code }) => code !== 'respelled');
  // without a fault the address stands as it is written now
  return { address: faults.length === 0 ? address : said, faults };
}

const none: readonly AddressFault[] = [];
