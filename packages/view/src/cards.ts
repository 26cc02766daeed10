import { fill, own, type CardPart, type Item, type ItemValue, type Settings } from '@ivy/core';
import { cardRows } from './card-rows.js';
import { dateText } from './date-text.js';
import { figure } from './formats.js';
import { type Shown } from './shown.js';

/** A piece of a text; marked where a search matched it. */
export interface TextPiece {
  text: string;
  marked: boolean;
}

/** A short value of a post, with what machines read of it. */
export interface FactView {
  text: string;
  /** Of a date: as ISO 8601 writes it. */
  datetime?: string;
}

/** A row of a card's words. */
export type CardRow =
  | { form: 'title'; text: TextPiece[] }
  | { form: 'text'; text: TextPiece[] }
  | { form: 'terms'; labels: string[] }
  | { form: 'facts'; facts: FactView[] };

export interface CardView {
  id: string;
  /** Null where the post leads nowhere. */
  href: string | null;
  pictures: string[];
  rows: CardRow[];
  /** Whether it is likely on the first screen, so that its picture should not wait. */
  soon: boolean;
  /** What marks the post, so that one finds it again; null where it can't be marked. */
  mark: { label: string; on: boolean } | null;
}

/**
 * The cards of a page, in their order.
 * @param items  the posts, by default those that match
 */
export function cardViews(shown: Shown, items: readonly Item[] = shown.answer.items): CardView[] {
  const { settings } = shown;
  const canMark = shown.marks !== null && settings.facets.some((facet) => facet.marks);
  return items.map((item, i) => cardView(item, shown, i < settings.look.columns * 2, canMark));
}

function cardView(item: Item, { settings, resolve, marks }: Shown, soon: boolean, canMark: boolean): CardView {
  const parts = settings.card.filter((part) => own(item.fields, part.field) !== undefined);
  const others = parts.filter((part) => part.show !== 'picture');
  const rows = cardRows(others).flatMap((row) => rowView(row, item, settings));
  const hasTitle = others.some((part) => part.show === 'title');
  return {
    id: item.id,
    // looked at again here: an answer may come from a server that let more through
    href: item.link === null ? null : resolve(item.link),
    pictures: parts
      .filter((part) => part.show === 'picture')
      .flatMap((part) => resolve(plain(item.fields[part.field]!)) ?? []),
    rows: hasTitle ? rows : [{ form: 'title', text: [{ text: item.title, marked: false }] }, ...rows],
    soon,
    mark: canMark ? { label: fill(settings.texts.mark, { title: item.title }), on: marks!.has(item.id) } : null,
  };
}

function rowView(row: readonly CardPart[], item: Item, settings: Settings): CardRow | [] {
  const [{ show, field }] = row as [CardPart];
  if (show === 'title') return { form: 'title', text: marked(item.title, item, field) };
  if (show === 'text') return { form: 'text', text: marked(plain(item.fields[field]!), item, field) };
  if (show === 'terms') {
    const labels = row.flatMap((part) => labelsOf(item.fields[part.field]!));
    return labels.length === 0 ? [] : { form: 'terms', labels };
  }
  const facts = row.flatMap((part) => factOf(part, item.fields[part.field]!, settings) ?? []);
  return facts.length === 0 ? [] : { form: 'facts', facts };
}

function factOf(part: CardPart, value: ItemValue, settings: Settings): FactView | null {
  if (part.show === 'date' && typeof value === 'string') return { text: dateText(value, settings), datetime: value };
  if (part.show === 'number' && typeof value === 'number') {
    const number = figure(settings.language, value);
    return { text: part.words === '' ? number : `${number} ${part.words}` };
  }
  if (part.show === 'yes-no') return value === true ? { text: part.words || settings.texts.yes } : null;
  return { text: plain(value) };
}

function labelsOf(value: ItemValue): string[] {
  return Array.isArray(value) ? value.map((term) => term.label) : [plain(value)];
}

/** A text with what a search matched in it set off. */
function marked(text: string, { marks }: Item, field: string): TextPiece[] {
  const pieces: TextPiece[] = [];
  let at = 0;
  for (const [start, end] of (marks && own(marks, field)) ?? []) {
    if (start > at) pieces.push({ text: text.slice(at, start), marked: false });
    pieces.push({ text: text.slice(start, end), marked: true });
    at = end;
  }
  if (at < text.length || pieces.length === 0) pieces.push({ text: text.slice(at), marked: false });
  return pieces;
}

/** Any value as one line of text. */
function plain(value: ItemValue): string {
  return Array.isArray(value) ? value.map((term) => term.label).join(', ') : String(value);
}
