import type { CardPart } from '../card/parts.js';
import { pageLook } from '../look/look.js';
import { spanNames } from '../look/placing.js';
import { fieldWithRole, type Field } from '../model/post.js';
import type { Lens } from './lens.js';

/** The head of a column: what it is called, and the orders by it that visitors may choose. */
export interface TableHead {
  /** Place of the part of the card; -1 for the title, where no part shows it. */
  at: number;
  label: string;
  asc: string | null;
  desc: string | null;
}

/** The columns of a table: the parts of the card in their order, and the title before them where none shows it. */
export function tableHeads(lens: Lens, card: readonly CardPart[], fields: readonly Field[]): TableHead[] {
  const look = pageLook(lens.look);
  if (!spanNames.some((span) => look[span].arrangement === 'table')) return [];
  const heads = card.map((part, at) => headOf(lens, at, part.field, fields));
  const title = fieldWithRole(fields, 'title');
  const hasTitle = card.some(({ show }) => show === 'title');
  return hasTitle || !title ? heads : [headOf(lens, -1, title.key, fields), ...heads];
}

function headOf({ sort }: Lens, at: number, field: string, fields: readonly Field[]): TableHead {
  const by = (order: 'asc' | 'desc') =>
    field === ''
      ? null
      : (sort.options.find((one) => one.by === 'field' && one.field === field && one.order === order)?.key ?? null);
  const label = fields.find(({ key }) => key === field)?.label ?? '';
  return { at, label, asc: by('asc'), desc: by('desc') };
}
