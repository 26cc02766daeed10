import { fill, minutesKey, own, startKey, type CardPart, type CardPartOf, type Item, type ItemValue } from '@ivy/core';
import { cardRows } from './card-rows.js';
import { choose } from './choices.js';
import { cutText } from './cut.js';
import { dateText } from './date-text.js';
import { figure, minutes } from './formats.js';
import { linkTo, type Link, type Shown } from './shown.js';

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
  /** Name of a small drawing before it. */
  icon?: string;
}

/** A term of a post; with where a press on it leads, where terms are to be chosen. */
export interface LabelView {
  label: string;
  link: Link | null;
}

/** What stands in a row of a card's words. */
type RowContent =
  | { form: 'title'; text: TextPiece[]; level: number; lines: number }
  | { form: 'text'; text: TextPiece[]; lines: number }
  | { form: 'terms'; labels: LabelView[] }
  | { form: 'facts'; facts: FactView[] }
  | { form: 'mark'; words: string }
  | { form: 'button'; label: string };

/** A row of a card's words, with the places of the parts that stand in it. */
export type CardRow = RowContent & { at: number[] };

export interface PictureView {
  /** Null where a drawing stands in for it. */
  address: string | null;
  /** The same picture at other widths, and how wide it is drawn, as HTML has them; null for one alone. */
  sizes: { srcset: string; sizes: string } | null;
  /** Empty where the words beside it say what is to be seen. */
  alt: string;
  aspect: string;
  fit: string;
  at: number[];
}

export interface CardView {
  id: string;
  /** Null where the post leads nowhere, or the card does not lead there. */
  href: string | null;
  /** Whether all of the card leads there, the title and the pictures, or a button alone. */
  leads: 'card' | 'title' | 'button' | 'none';
  /** Of a link that opens beside the page: what is said of it. */
  newTab: string | null;
  pictures: PictureView[];
  /** Words over the pictures. */
  badges: FactView[];
  /** Whether the pictures stand beside the words. */
  beside: boolean;
  rows: CardRow[];
  /** Whether it is likely on the first screen, so that its picture should not wait. */
  soon: boolean;
  /** What marks the post, so that one finds it again; null where it can't be marked. */
  mark: { label: string; on: boolean } | null;
  /** Whether that stands in the card's corner, and not among its words. */
  marksApart: boolean;
}

/**
 * The cards of a page, in their order.
 * @param items  the posts, by default those that match
 */
export function cardViews(shown: Shown, items: readonly Item[] = shown.answer.items): CardView[] {
  const { settings } = shown;
  const hasMark = settings.card.some(({ show }) => show === 'mark') || settings.facets.some((facet) => facet.marks);
  const canMark = shown.marks !== null && hasMark;
  return items.map((item, i) => cardView(item, shown, i < shown.placed.columns * 2, canMark));
}

function cardView(item: Item, shown: Shown, soon: boolean, canMark: boolean): CardView {
  const { settings, resolve, marks } = shown;
  const { link, newTab } = settings.cardLink;
  const { arrangement, picture } = shown.placed;
  // a list is of lines: what takes more room than that is left out
  const isList = arrangement === 'list';
  const fits = ({ show }: CardPart) =>
    show === 'picture' ? !isList && picture !== 'none' : show !== 'text' || !isList;
  const has = (part: CardPart) => {
    if (part.show === 'mark') return canMark;
    return valueOf(part, item) !== undefined || (part.show === 'picture' && part.whenEmpty === 'drawing');
  };
  const parts = settings.card.filter((part) => fits(part) && has(part));
  const pictures = parts.filter((part) => part.show === 'picture');
  // in a table each part has a cell of its own
  const isTable = arrangement === 'table';
  const badges = isTable ? [] : parts.filter((part) => part.show === 'yes-no' && part.as === 'badge');
  const others = parts.filter((part) => part.show !== 'picture' && !badges.includes(part));
  const rows = (isTable ? others.map((part) => [part]) : cardRows(others)).flatMap((row) => {
    const view = rowView(row, item, shown);
    return view ? { ...view, at: row.map((part) => settings.card.indexOf(part)) } : [];
  });
  const hasTitle = others.some((part) => part.show === 'title');
  const title: CardRow = { form: 'title', text: [{ text: item.title, marked: false }], level: 3, lines: 0, at: [] };
  return {
    id: item.id,
    // looked at again here: an answer may come from a server that let more through
    href: item.link === null || link === 'none' ? null : resolve(item.link),
    leads: link,
    newTab: newTab ? settings.texts.newTab : null,
    pictures: pictures.flatMap((part) => pictureView(part, item, shown) ?? []),
    badges: badges.flatMap((part) => factOf(part, item.fields[part.field]!, shown) ?? []),
    beside: pictures.some(({ place }) => place === 'side'),
    rows: hasTitle ? rows : [title, ...rows],
    soon,
    marksApart: !others.some(({ show }) => show === 'mark'),
    mark: canMark ? { label: fill(settings.texts.mark, { title: item.title }), on: marks!.has(item.id) } : null,
  };
}

/** A picture of a post; null where it has none that a page should show. */
function pictureView(part: CardPartOf<'picture'>, item: Item, { settings, resolve }: Shown): PictureView | null {
  const value = valueOf(part, item);
  const address = value === undefined ? null : resolve(plain(value));
  if (address === null && part.whenEmpty === 'nothing') return null;
  const alt = part.alt === '' ? undefined : own(item.fields, part.alt);
  const bare = part.width > 0 && address !== null ? [candidate(address, part.width)] : [];
  const others = part.sizes.flatMap(({ field, width }) => {
    const value = own(item.fields, field);
    const other = value === undefined ? null : resolve(plain(value));
    return other === null ? [] : candidate(other, width);
  });
  const srcset = [...bare, ...others].join(', ');
  return {
    address,
    sizes: others.length === 0 ? null : { srcset, sizes: settings.pictureSizes },
    alt: alt === undefined ? '' : plain(alt),
    aspect: part.aspect,
    fit: part.fit,
    at: [settings.card.indexOf(part)],
  };
}

/** An address and its width as `srcset` lists them: a comma or a blank in it would begin another. */
function candidate(address: string, width: number): string {
  return `${address.replace(/[\s,]/g, encodeURIComponent)} ${width}w`;
}

/** What a post has for a part; undefined where that is nothing. A button needs nothing. */
function valueOf(part: CardPart, { fields, link }: Item): ItemValue | undefined {
  if (part.show === 'button') return link ?? undefined;
  const value = own(fields, part.field);
  if (value !== undefined) return value;
  if (part.show === 'text' && part.orElse !== '') return own(fields, startKey(part.orElse, part.characters));
  return part.show === 'reading-time' ? own(fields, minutesKey(part.from)) : undefined;
}

function rowView(row: readonly CardPart[], item: Item, shown: Shown): RowContent | null {
  const [part] = row as [CardPart];
  if (part.show === 'title') {
    return { form: 'title', text: marked(item.title, item, part.field), level: part.level, lines: part.lines };
  }
  if (part.show === 'text') {
    const text = cutText(plain(valueOf(part, item)!), part.characters);
    // what stands in for a field is not what was searched
    const isOwn = own(item.fields, part.field) !== undefined;
    const pieces = isOwn ? marked(text, item, part.field) : [{ text, marked: false }];
    return { form: 'text', text: withWords(part, pieces), lines: part.lines };
  }
  if (part.show === 'mark') return { form: 'mark', words: part.words };
  if (part.show === 'button') return { form: 'button', label: part.words || shown.settings.texts.readOn };
  if (part.show === 'terms' && part.as !== 'text') return labelsOf(row, item, shown);
  const facts = row.flatMap((one) => factOf(one, valueOf(one, item)!, shown) ?? []);
  return facts.length === 0 ? null : { form: 'facts', facts };
}

function labelsOf(row: readonly CardPart[], item: Item, shown: Shown): RowContent | null {
  const labels = row.flatMap((part) => {
    if (part.show !== 'terms') return [];
    const value = item.fields[part.field]!;
    const terms = Array.isArray(value) ? value : [{ slug: null, label: plain(value) }];
    const facet = shown.settings.facets.find(({ field, visible }) => visible && field === part.field);
    return terms.slice(0, part.most || terms.length).map(({ slug, label }): LabelView => {
      const leads = part.as === 'links' && facet && slug !== null;
      return { label, link: leads ? linkTo(shown, choose(shown.choices, facet.key, [slug])) : null };
    });
  });
  return labels.length === 0 ? null : { form: 'terms', labels };
}

function factOf(part: CardPart, value: ItemValue, shown: Shown): FactView | null {
  const fact = bareFact(part, value, shown);
  return fact && part.icon !== 'none' ? { ...fact, icon: part.icon } : fact;
}

function bareFact(part: CardPart, value: ItemValue, { settings, now }: Shown): FactView | null {
  const { before, words } = part;
  const around = (text: string) => [before, text, words].filter((one) => one !== '').join(' ');
  if (part.show === 'date' && typeof value === 'string') {
    return { text: around(dateText(value, settings, part.style, now)), datetime: value };
  }
  if (part.show === 'yes-no') return value === true ? { text: words || settings.texts.yes } : null;
  if (part.show === 'reading-time' && typeof value === 'number' && words === '')
    return { text: around(minutes(settings.language, value)) };
  if (typeof value === 'number') return { text: around(figure(settings.language, value)) };
  if (part.show === 'terms' && Array.isArray(value))
    return { text: around(plain(value.slice(0, part.most || undefined))) };
  if (value === false || value === true) return { text: around(value ? settings.texts.yes : settings.texts.no) };
  return { text: around(plain(value)) };
}

/** Words before and after a text, which no search has marked. */
function withWords({ before, words }: CardPart, text: TextPiece[]): TextPiece[] {
  const piece = (one: string): TextPiece[] => (one === '' ? [] : [{ text: one, marked: false }]);
  return [...piece(before && `${before} `), ...text, ...piece(words && ` ${words}`)];
}

/** A text with what a search matched in it set off. */
function marked(text: string, { marks }: Item, field: string): TextPiece[] {
  const pieces: TextPiece[] = [];
  let at = 0;
  for (const [start, end] of (marks && own(marks, field)) ?? []) {
    if (start >= text.length) break;
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
