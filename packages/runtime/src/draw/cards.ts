import {
  cardRows,
  dateText,
  fill,
  own,
  safeAddress,
  type CardPart,
  type Item,
  type ItemValue,
  type Settings,
  type TermValue,
} from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { ifDefined } from 'lit/directives/if-defined.js';
import { repeat } from 'lit/directives/repeat.js';
import type { Listing } from '../listing/listing.js';

export function drawCards(listing: Listing): TemplateResult {
  const settings = listing.settings!;
  const canMark = settings.facets.some((facet) => facet.kind === 'favourites');
  return html`<ul class="ivy-cards">
    ${repeat(
      listing.answer!.items,
      (item) => item.id,
      (item, i) => drawCard(item, settings, i < settings.look.columns * 2, canMark ? drawMark(listing, item) : nothing),
    )}
  </ul>`;
}

/** @param soon  whether the card is likely on the first screen, so that its picture should not wait */
function drawCard(item: Item, settings: Settings, soon: boolean, mark: unknown): TemplateResult {
  const parts = settings.card.filter((part) => own(item.fields, part.field) !== undefined);
  const pictures = parts.filter((part) => part.show === 'picture');
  const others = parts.filter((part) => part.show !== 'picture');
  const hasTitle = others.some((part) => part.show === 'title');
  return html`<li class="ivy-card" data-post=${item.id}>
    ${pictures.map((part) => drawPicture(item.fields[part.field]!, soon))}
    <div class="ivy-card-text">
      ${hasTitle ? nothing : drawTitle(item)}
      ${cardRows(others).map((row) => (row[0]!.show === 'title' ? drawTitle(item, row[0]!.field) : drawRow(row, item, settings)))}
    </div>
    ${mark}
  </li>`;
}

/** A ribbon that marks a post, so that one finds it again. */
function drawMark(listing: Listing, item: Item): TemplateResult {
  const on = listing.marks.has(item.id);
  const label = fill(listing.settings!.texts.mark, { title: item.title });
  return html`<button
    type="button"
    class="ivy-ribbon"
    aria-pressed=${on}
    aria-label=${label}
    @click=${() => listing.mark(item.id)}
  >
    <span aria-hidden="true"></span>
  </button>`;
}

function drawRow(row: readonly CardPart[], item: Item, settings: Settings): TemplateResult | typeof nothing {
  const first = row[0]!;
  if (first.show === 'terms') {
    const terms = row.flatMap((part) => termsOf(item.fields[part.field]!));
    return terms.length === 0
      ? nothing
      : html`<ul class="ivy-terms">
          ${terms.map((term) => html`<li>${term.label}</li>`)}
        </ul>`;
  }
  if (first.show === 'text')
    return html`<p class="ivy-summary">${marked(plain(item.fields[first.field]!), marksOf(item, first.field))}</p>`;
  const facts = row.map((part) => factOf(part, item.fields[part.field]!, settings)).filter((fact) => fact !== nothing);
  return facts.length === 0
    ? nothing
    : html`<p class="ivy-facts">${facts.map((fact) => html`<span>${fact}</span>`)}</p>`;
}

function drawTitle(item: Item, field?: string): TemplateResult {
  const title = marked(item.title, field === undefined ? undefined : marksOf(item, field));
  // looked at again here: an answer may come from a server that let more through
  const link = item.link === null ? null : safeAddress(item.link);
  return html`<h3 class="ivy-title">${link === null ? title : html`<a href=${link}>${title}</a>`}</h3>`;
}

function marksOf({ marks }: Item, field: string): readonly [number, number][] | undefined {
  return marks && own(marks, field);
}

/** A text with what a search matched in it set off. */
function marked(text: string, marks: readonly [number, number][] | undefined): unknown {
  if (!marks) return text;
  const parts: unknown[] = [];
  let at = 0;
  for (const [start, end] of marks) {
    parts.push(text.slice(at, start), html`<mark class="ivy-mark">${text.slice(start, end)}</mark>`);
    at = end;
  }
  return [...parts, text.slice(at)];
}

function drawPicture(value: ItemValue, soon: boolean): TemplateResult | typeof nothing {
  const address = safeAddress(plain(value));
  if (address === null) return nothing;
  // the title beside it says the same in words, so the picture is passed over when read aloud
  return html`<div class="ivy-picture">
    <img
      src=${address}
      alt=""
      loading=${soon ? 'eager' : 'lazy'}
      decoding="async"
      width="320"
      height="180"
      fetchpriority=${ifDefined(soon ? undefined : ('low' as const))}
    />
  </div>`;
}

function factOf(part: CardPart, value: ItemValue, settings: Settings): TemplateResult | string | typeof nothing {
  if (part.show === 'date' && typeof value === 'string') {
    return html`<time datetime=${value}>${dateText(value, settings)}</time>`;
  }
  if (part.show === 'number' && typeof value === 'number') {
    const figure = new Intl.NumberFormat(settings.language).format(value);
    return part.words === '' ? figure : `${figure} ${part.words}`;
  }
  if (part.show === 'yes-no') return value === true ? part.words || settings.texts.yes : nothing;
  return plain(value);
}

function termsOf(value: ItemValue): TermValue[] {
  return Array.isArray(value) ? value : [{ slug: '', label: plain(value) }];
}

/** Any value as one line of text. */
function plain(value: ItemValue): string {
  return Array.isArray(value) ? value.map((term) => term.label).join(', ') : String(value);
}
