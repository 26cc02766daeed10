import { object, optional, whole, type TypeOf } from '../../shape/shape.js';
import { nameOf } from '../name.js';
import { drawn, single, terms } from '../terms/config.js';
import { termsKind } from '../terms/terms-kind.js';

const shape = object({
  ...terms,
  ...drawn,
  single,
  /** Levels shown from the top; without it, all. Posts of deeper terms count for those above. */
  levels: optional(whole(1, 20)),
});
export type TreeConfig = TypeOf<typeof shape> & { kind: 'tree' };

/** Terms with branches to open, to tick at any level. */
export const tree = termsKind<TreeConfig>({
  shape,
  noun: 'tree',
  levels: (facet) => facet.levels,
  suits: (field) => (field.tree ? 'Its terms have branches.' : null),
  canShow: (field) => field.tree,
  changes: (was, is, tell) => {
    const words = (levels: number | undefined) => String(levels ?? 'all');
    if (was.kind === is.kind)
      tell(`${nameOf(is, [is.field])} shows other levels`, words((was as TreeConfig).levels), words(is.levels));
  },
});
