import { cardsAcross, facetsBeside, placedAt, type Look, type SpecimenKind } from '@ivy/core';
import { spanAt } from '@ivy/view';

/** What a post does to its card, as it is drawn. */
export interface Strain {
  /** CSS pixels. */
  width: number;
  height: number;
  titleLines: number;
  termRows: number;
  /** Whether something reaches out of the card at its side. */
  overflows: boolean;
}

/** Lines a title may run to before it is worth looking at. */
const mostLines = 3;

/** Measures each card of a page as the browser has drawn it. */
export function strainsOn(page: Document): Strain[] {
  return [...page.querySelectorAll<HTMLElement>('.ivy-card')].map((card) => {
    const title = card.querySelector<HTMLElement>('.ivy-title');
    const rows = new Set([...card.querySelectorAll('.ivy-terms li')].map((term) => Math.round(top(term))));
    const { width } = card.getBoundingClientRect();
    return {
      width,
      height: heightOf(card),
      titleLines: title ? linesOf(title) : 0,
      termRows: rows.size,
      overflows: card.scrollWidth > Math.ceil(width) + 1,
    };
  });
}

function top(element: Element): number {
  return element.getBoundingClientRect().top;
}

/** How far down what a card holds reaches, however tall its row makes it. */
function heightOf(card: HTMLElement): number {
  const inner = [...card.querySelectorAll('.ivy-picture, .ivy-card-text > *')];
  const bottom = Math.max(top(card), ...inner.map((one) => one.getBoundingClientRect().bottom));
  return bottom - top(card);
}

function linesOf(element: HTMLElement): number {
  const line = parseFloat(getComputedStyle(element).lineHeight);
  return line > 0 ? Math.round(element.getBoundingClientRect().height / line) : 1;
}

/** What to say of a post on its card, and whether that wants mending. */
export function strainWords(kind: SpecimenKind, strain: Strain): { words: string; isFault: boolean } {
  if (strain.overflows) return { words: 'reaches out of the card', isFault: true };
  const { titleLines, termRows } = strain;
  if (titleLines > mostLines) return { words: `title runs to ${titleLines} lines`, isFault: true };
  if (kind === 'most-terms' && termRows > 2) return { words: `terms take ${termRows} rows`, isFault: true };
  const quiet: Record<SpecimenKind, string> = {
    'longest-title': titleLines === 1 ? 'on one line' : `on ${titleLines} lines`,
    'no-picture': 'text moves up',
    'most-terms': termRows <= 1 ? 'in one row' : `in ${termRows} rows`,
    'right-to-left': 'turned round',
    'title-only': 'a short card',
  };
  return { words: quiet[kind], isFault: false };
}

/** CSS pixels the live page keeps free at its sides. */
const pageSides = 40;

/** How wide a card of a listing is on a page of some width, in CSS pixels. */
export function cardWidthAt(look: Look, width: number): number {
  const placed = placedAt(look, spanAt(look, width - pageSides));
  const room = width - pageSides - (placed.facets === 'side' ? facetsBeside : 0);
  if (placed.arrangement !== 'grid' && placed.arrangement !== 'columns-reversed') return Math.min(room, 420);
  const across = cardsAcross(placed, room);
  return Math.round((room - (across - 1) * placed.gap) / across);
}
