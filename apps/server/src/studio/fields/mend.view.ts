import type { Finding, Mend, MendOffer } from '@ivy/core';
import type { FieldPreview } from './fields.service.js';

/** A finding, with what can be done about it and what is. */
export interface FindingView extends Finding {
  id: string;
  mends: MendOffer[];
  /** Id of the mend in force; null for none. */
  mended: string | null;
}

/** A rule in force. */
export interface MendView extends Mend {
  field: string;
}

/** What a mend did, or would do. */
export interface MendMade extends FieldPreview {
  id: string;
  /** Posts that have it otherwise since. */
  changed: number;
}
