import type { LensRow } from '../../database/lens.entity.js';
import type { Source } from '../../database/source.entity.js';

/** Milliseconds that what was deleted is kept. */
export const keptFor = 24 * 60 * 60_000;

/** Marks a source or a lens as deleted: it is kept for a day, and its slug is free at once. */
export function markDeleted<Row extends Source | LensRow>(row: Row, at: Date): Row {
  row.deletedAt = at;
  row.deletedSlug = row.slug;
  // no slug begins like this, so that nobody asks for it
  row.slug = `~${row.id}`;
  return row;
}
