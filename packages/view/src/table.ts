import { linkTo, type Link, type Shown } from './shown.js';
import type { CardRow, CardView, PictureView } from './cards.js';

/** The head of a column. */
export interface HeadView {
  label: string;
  /** Where a press on it leads, and by which way the column orders now; null where no order is by it. */
  sort: { link: Link; order: 'ascending' | 'descending' | null } | null;
  isNumber: boolean;
  at: number;
}

/** The heads of a table, those that have an order with where they lead: to the first of theirs, or to its opposite. */
export function headViews(shown: Shown): HeadView[] {
  const { settings, choices, answer } = shown;
  const now = choices.sort ?? answer.sort;
  return settings.heads.map(({ at, label, asc, desc }) => {
    const usual = settings.sort.find(({ key }) => key === asc || key === desc)?.key ?? null;
    const next = now === asc ? (desc ?? asc) : now === desc ? (asc ?? desc) : usual;
    const order = now === null ? null : now === asc ? 'ascending' : now === desc ? 'descending' : null;
    const sort = next === settings.defaultSort ? null : next;
    const show = settings.card[at]?.show;
    return {
      at,
      label,
      isNumber: show === 'number' || show === 'reading-time',
      sort: next === null ? null : { link: linkTo(shown, { ...choices, sort, page: 1 }), order },
    };
  });
}

/** What of a post stands in a column: a picture, words, or nothing. */
export function cellOf({ pictures, rows }: CardView, at: number): { picture: PictureView } | { row: CardRow } | null {
  const picture = pictures.find((one) => one.at.includes(at));
  if (picture) return { picture };
  const row = rows.find((one) => (at < 0 ? one.at.length === 0 : one.at.includes(at)));
  return row ? { row } : null;
}
