import type { RawRecord } from '@ivy/core';

/** Terms that are offered at most. */
const most = 200;

/**
 * Draws facets where the page has places for them, as plain controls that the page's own rules reach. In a place that has
 * controls of the page's own they stand in their stead.
 * @param name  of the list
 */
export function drawFacets(name: string, records: readonly RawRecord[], page: ParentNode): void {
  const places = page.querySelectorAll<HTMLElement>(`[data-ivy-facet][data-ivy-for="${CSS.escape(name)}"]`);
  for (const place of places) {
    const { ivyFacet: field = '', ivyLabel: label = field, ivyKind: kind = 'checkboxes' } = place.dataset;
    const values = kind === 'checkboxes' || kind === 'radios' || kind === 'dropdown' ? termsOf(records, field) : [];
    const before = place.querySelector(':scope > [data-ivy-drawn]');
    const written = JSON.stringify([kind, label, values]);
    // drawn anew only where something else is to be drawn: whoever stands in it stays there
    if (before?.getAttribute('data-ivy-drawn') === written) continue;
    before?.remove();
    for (const own of place.children) if (own instanceof HTMLElement && own.tagName !== 'LEGEND') own.hidden = true;
    const drawn = draw(place.dataset.ivyAs ?? field, field, isTitled(place) ? null : label, kind, values);
    drawn.setAttribute('data-ivy-drawn', written);
    place.append(drawn);
  }
}

/** Whether a place says itself what it is called. */
function isTitled(place: HTMLElement): boolean {
  return place instanceof HTMLFieldSetElement && place.querySelector(':scope > legend') !== null;
}

/** The values of a field, those of most items first. */
function termsOf(records: readonly RawRecord[], field: string): string[] {
  const counts = new Map<string, number>();
  for (const record of records) {
    const value = Object.hasOwn(record, field) ? record[field] : [];
    for (const one of new Set([value].flat().map(String))) counts.set(one, (counts.get(one) ?? 0) + 1);
  }
  const sorted = [...counts].sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1));
  return sorted.slice(0, most).map(([value]) => value);
}

/** @param label  null where the place says itself what it is called */
function draw(name: string, field: string, label: string | null, kind: string, values: readonly string[]): HTMLElement {
  const called = label ?? field;
  if (kind === 'dropdown' || kind === 'search') {
    const box = kind === 'search' ? input('search', name) : select(name, values);
    box.dataset.ivyReads = field;
    if (kind === 'search') box.dataset.ivySearch = field;
    if (label === null) box.setAttribute('aria-label', called);
    return element('label', label === null ? [box] : [`${label} `, box]);
  }
  const group = label === null ? element('span', []) : element('fieldset', [element('legend', [label])]);
  group.dataset.ivyReads = field;
  if (kind === 'dates' || kind === 'numbers') {
    const ends = (['from', 'to'] as const).map((end) => {
      const box = input(kind === 'dates' ? 'date' : 'number', name);
      box.dataset.ivyEnd = end;
      box.setAttribute('aria-label', `${called} ${end === 'from' ? '≥' : '≤'}`);
      return box;
    });
    group.append(ends[0]!, ' – ', ends[1]!);
    return group;
  }
  for (const value of values) {
    const box = input(kind === 'radios' ? 'radio' : 'checkbox', name);
    box.value = value;
    const number = element('small', []);
    number.dataset.ivyNumber = '';
    group.append(element('label', [box, ` ${value} `, number]), ' ');
  }
  return group;
}

function select(name: string, values: readonly string[]): HTMLSelectElement {
  const box = document.createElement('select');
  box.name = name;
  box.append(new Option('—', ''), ...values.map((value) => new Option(value, value)));
  return box;
}

function input(type: string, name: string): HTMLInputElement {
  const box = document.createElement('input');
  box.type = type;
  box.name = name;
  return box;
}

function element(tag: string, children: (Node | string)[]): HTMLElement {
  const made = document.createElement(tag);
  made.append(...children);
  return made;
}
