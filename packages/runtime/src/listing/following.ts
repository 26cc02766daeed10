import type { Settings } from '@ivy/core';
import type { Choices } from '@ivy/view';

/** A listing as those that follow it know it. */
export interface Driver {
  readonly choices: Choices;
  /** Ends once its choices are known. */
  readonly known: Promise<void>;
}

/** The other listings of a page, for those that follow them. */
export interface Neighbours {
  /** The listing of a lens. */
  driverOf: (lens: string) => Driver | undefined;
  /** What is chosen in a listing has changed. */
  changed: (listing: Driver) => void;
}

/**
 * What is chosen in the listings that one follows, once these are known, as the beginning of its questions.
 * @returns empty for nothing
 */
export async function drivenBy(follows: Settings['follows'], neighbours: Neighbours | undefined): Promise<string> {
  const parts: string[] = [];
  for (const { lens, facet, field } of follows) {
    const driver = neighbours?.driverOf(lens);
    await driver?.known;
    const terms = driver?.choices.facets[facet];
    if (terms?.length) parts.push(`${field}:${terms.join()}`);
  }
  return parts.length > 0 ? `~driven=${encodeURIComponent(parts.join(';'))}&` : '';
}
