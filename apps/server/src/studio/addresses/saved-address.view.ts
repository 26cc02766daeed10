import type { Expectation, Held } from '@ivy/core';
import type { SavedAddress } from '../../database/saved-address.entity.js';

/** An address that someone relies on. */
export interface SavedAddressView {
  id: string;
  /** '' for none. */
  folder: string;
  name: string;
  /** A query string, as it was saved. */
  address: string;
  expect: Expectation;
  /** Moment, as ISO 8601 writes it. */
  createdAt: string;
}

/** Whether a saved address returns what it must, and if not, what did it. */
export interface AddressCheck extends Held {
  id: string;
}

/** What came of a list of addresses. */
export interface AddressesImported {
  added: SavedAddressView[];
  /** What of the list was passed over, with its line. */
  skipped: { line: number; text: string; reason: string }[];
}

export function savedView({ id, folder, name, address, expect, createdAt }: SavedAddress): SavedAddressView {
  return { id, folder, name, address, expect, createdAt: createdAt.toISOString() };
}
