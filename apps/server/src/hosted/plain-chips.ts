import { fill, rangeText, startOf, type Answer, type FacetAnswer, type Query, type Selection } from '@ivy/core';
import { html, type Markup } from './markup.js';
import { figure, hrefOf, type Plain } from './plain-page.js';

/** What is chosen, each a link to the same without it. */
export function drawChips(plain: Plain): Markup | false {
  const { settings, answer, query } = plain;
  const visible = answer.facets.filter((facet) => facet.visible);
  const chips = visible.flatMap((facet) => chipsOf(plain, facet));
  const start = startOf(query.lens);
  const selections = Object.fromEntries(
    answer.facets.flatMap(({ key, visible: seen }) => {
      const selection = seen ? start[key] : query.selections[key];
      return selection ? [[key, selection]] : [];
    }),
  );
  const cleared = hrefOf(plain, { ...query, selections, page: 1 });
  const isClear = cleared === hrefOf(plain, { ...query, page: 1 });
  if (chips.length === 0 && isClear) return false;
  return html`<ul class="ivy-chips" aria-label="${settings.texts.chosen}">
    ${chips.map(({ facet, label, without }) => {
      const name = fill(settings.texts.remove, { facet: facet.label, value: label });
      return html`<li>
        <a class="ivy-chip" href="${hrefOf(plain, without)}" aria-label="${name}"
          >${label} <span aria-hidden="true" class="ivy-cross"></span
        ></a>
      </li>`;
    })}
    ${!isClear && html`<li><a class="ivy-clear" href="${cleared}">${settings.texts.clearAll}</a></li>`}
  </ul>`;
}

interface Chip {
  facet: Answer['facets'][number];
  label: string;
  /** The query without what the chip stands for. */
  without: Query;
}

function chipsOf(plain: Plain, facet: FacetAnswer): Chip[] {
  const { query, settings } = plain;
  const selection = query.selections[facet.key];
  if (!selection) return [];
  const chip = (label: string, rest?: Selection): Chip => {
    const { [facet.key]: _gone, ...others } = query.selections;
    const selections = rest ? { ...others, [facet.key]: rest } : others;
    return { facet, label, without: { ...query, selections, page: 1 } };
  };
  const labelOf = (value: string) =>
    ('options' in facet && facet.options.find((option) => option.value === value)?.label) || value;
  switch (selection.type) {
    case 'search':
      return [chip(`“${selection.text}”`)];
    case 'posts':
      return [chip(fill(settings.texts.marked, { n: figure(plain, selection.ids.length) }))];
    case 'term':
      return [chip(labelOf(selection.term))];
    case 'terms':
      return selection.terms.map((term) => {
        const terms = selection.terms.filter((other) => other !== term);
        return chip(labelOf(term), terms.length > 0 ? { type: 'terms', terms } : undefined);
      });
    case 'switch': {
      const word = switchWord(plain, labelOf(selection.on ? 'yes' : 'no'));
      const isBare = word === settings.texts.yes || word === settings.texts.no;
      return [chip(isBare ? `${facet.label}: ${word.toLocaleLowerCase(settings.language)}` : word)];
    }
    case 'days':
    case 'numbers': {
      const kind = selection.type === 'days' ? 'date-range' : 'number-range';
      const own = settings.facets.find((one) => one.key === facet.key);
      return [chip(rangeText(kind, `${selection.from ?? '..'}/${selection.to ?? '..'}`, settings, own))];
    }
  }
}

/** Own words of the lens; without any, those of its language. */
export function switchWord({ settings: { texts } }: Plain, label: string): string {
  if (label === 'Yes') return texts.yes;
  return label === 'No' ? texts.no : label;
}
