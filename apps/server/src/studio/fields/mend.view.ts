import type { Finding, Mend } from '@ivy/core';
import type { FieldPreview } from './fields.service.js';

/** A finding, with what can be done about it and what is. */
export interface FindingView extends Omit<Finding, 'mends'> {
  mends: { id: string; text: string }[];
  /** Id of the mend in force; null for none. */
  mended: string | null;
  /** Whether it is only worth knowing: nothing in it need be wrong. */
  isRemark: boolean;
}

/** A rule in force. */
export interface MendView extends Omit<Mend, 'offers'> {
  field: string;
  /** Values that it made another, when they were last read. */
  used: number;
  /** Whether there is still something that it mends. */
  fits: boolean;
}

/** What mends did, or would do. */
export interface MendMade extends FieldPreview {
  /** Id of the first of them. */
  id: string;
  ids: string[];
  /** Posts that have it otherwise since. */
  changed: number;
}
