import { pagingWords } from '@ivy/formats';
import type { LiveRow } from '../../database/live.entity.js';

/** Where a source's posts come from by themselves, and how that goes. */
export interface LiveView {
  /** The address; of several feeds the first. */
  url: string;
  feeds: { address: string; name: string }[];
  /** Minutes between two looks; 0 for none but on asking. */
  every: number;
  /** What its headers are called; what they say is never shown. */
  headers: string[];
  /** How its posts go on, in words, and what was found by trying. */
  paging: string;
  found: string[];
  joins: { field: string; from: string }[];
  state: 'fresh' | 'fetching' | 'failing' | 'held';
  /** Moments, as ISO 8601 writes them. */
  checkedAt: string | null;
  nextAt: string | null;
  failures: number;
  problem: { code: string; text: string } | null;
  held: LiveRow['held'];
  /** Where the other side says that something changed, and what it signs that by. */
  ping: { path: string; secret: string };
  /** The hub that tells of changes, and until when. */
  hub: { hub: string; until: string | null } | null;
}

export function liveViewOf(row: LiveRow): LiveView {
  const { feeds, every, headerNames, paging, found, joins, failures, problem, held, hub, sourceId } = row;
  return {
    url: feeds[0]?.address ?? '',
    feeds,
    every,
    headers: headerNames,
    paging: pagingWords(paging),
    found,
    joins: (joins ?? []).map(({ field, from }) => ({ field, from })),
    state: isAtIt(row) ? 'fetching' : failures > 0 ? 'failing' : held ? 'held' : 'fresh',
    checkedAt: row.checkedAt?.toISOString() ?? null,
    nextAt: row.nextAt?.toISOString() ?? null,
    failures,
    problem,
    held,
    ping: { path: `/api/v1/pings/${sourceId}`, secret: row.ping },
    hub: hub && { hub: hub.hub, until: hub.until },
  };
}

/** Milliseconds after which a process that said it was at it is taken for killed. */
export const claimLasts = 20 * 60_000;

export function isAtIt({ claimedAt }: Pick<LiveRow, 'claimedAt'>): boolean {
  return claimedAt !== null && Date.now() - claimedAt.getTime() < claimLasts;
}
