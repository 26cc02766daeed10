import { cardRows, dateText, own, type CardPart, type Item, type ItemValue, type Settings } from '@ivy/core';
import { html, type Markup } from './markup.js';
import type { Plain } from './plain-page.js';

/** The cards of a page, as the page script draws them. */
export function drawCards({ settings, answer, resolve }: Plain): Markup {
  return html`<ul class="ivy-cards">
    ${answer.items.map((item, i) => drawCard(item, settings, resolve, i < settings.look.columns * 2))}
  </ul>`;
}

/** @param soon  whether the card is likely on the first screen, so that its picture should not wait */
function drawCard(item: Item, settings: Settings, resolve: Plain['resolve'], soon: boolean): Markup {
  const parts = settings.card.filter((part) => own(item.fields, part.field) !== undefined);
  const pictures = parts.filter((part) => part.show === 'picture');
  const others = parts.filter((part) => part.show !== 'picture');
  const link = item.link === null ? null : resolve(item.link);
  const title = (field?: string) => {
    const text = marked(item.title, field === undefined ? undefined : marksOf(item, field));
    return html`<h3 class="ivy-title">${link === null ? text : html`<a href="${link}">${text}</a>`}</h3>`;
  };
  return html`<li class="ivy-card" data-post="${item.id}">
    ${pictures.map((part) => {
      const source = resolve(plain(item.fields[part.field]!));
      return (
        source !== null &&
        html`<div class="ivy-picture">
          <img src="${source}" alt="" loading="${soon ? 'eager' : 'lazy'}" decoding="async" width="320" height="180" />
        </div>`
      );
    })}
    <div class="ivy-card-text">
      ${!others.some((part) => part.show === 'title') && title()}
      ${cardRows(others).map((row) => (row[0]!.show === 'title' ? title(row[0]!.field) : drawRow(row, item, settings)))}
    </div>
  </li>`;
}

function drawRow(row: readonly CardPart[], item: Item, settings: Settings): Markup | false {
  const first = row[0]!;
  if (first.show === 'terms') {
    const labels = row.flatMap(({ field }) => {
      const value = item.fields[field]!;
      return Array.isArray(value) ? value.map((term) => term.label) : [String(value)];
    });
    return (
      labels.length > 0 &&
      html`<ul class="ivy-terms">
        ${labels.map((label) => html`<li>${label}</li>`)}
      </ul>`
    );
  }
  if (first.show === 'text') {
    return html`<p class="ivy-summary">${marked(plain(item.fields[first.field]!), marksOf(item, first.field))}</p>`;
  }
  const facts = row.flatMap((part) => factOf(part, item.fields[part.field]!, settings) ?? []);
  return facts.length > 0 && html`<p class="ivy-facts">${facts.map((fact) => html`<span>${fact}</span>`)}</p>`;
}

function factOf(part: CardPart, value: ItemValue, settings: Settings): Markup | string | null {
  if (part.show === 'date' && typeof value === 'string') {
    return html`<time datetime="${value}">${dateText(value, settings)}</time>`;
  }
  if (part.show === 'number' && typeof value === 'number') {
    const figure = new Intl.NumberFormat(settings.language).format(value);
    return part.words === '' ? figure : `${figure} ${part.words}`;
  }
  if (part.show === 'yes-no') return value === true ? part.words || settings.texts.yes : null;
  return plain(value);
}

function marksOf({ marks }: Item, field: string): readonly [number, number][] | undefined {
  return marks && own(marks, field);
}

/** A text with what a search matched in it set off. */
function marked(text: string, marks: readonly [number, number][] = []): (Markup | string)[] {
  const parts: (Markup | string)[] = [];
  let at = 0;
  for (const [start, end] of marks) {
    parts.push(text.slice(at, start), html`<mark class="ivy-mark">${text.slice(start, end)}</mark>`);
    at = end;
  }
  return [...parts, text.slice(at)];
}

/** Any value as one line of text. */
function plain(value: ItemValue): string {
  return Array.isArray(value) ? value.map((term) => term.label).join(', ') : String(value);
}
