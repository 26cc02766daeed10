import { encodePart, loose, splitAddress } from '@ivy/core';
import { boxesOf } from './controls.js';
import type { Facet, Setup } from './setup.js';

/** What of a page's address is the list's, as the engine reads it; and the parameters that are others'. */
export interface Split {
  own: string;
  foreign: string[];
}

/**
 * Reads a page's address: names and values as the page writes them become those of the engine, whatever their case. A form
 * without the script sends the former, a shared link has the latter.
 */
export function readAddress(search: string, setup: Setup): Split {
  const { prefix, sort, page } = setup.lens.address;
  const own: string[] = [];
  const foreign: string[] = [];
  const ends = new Map<string, string[]>();
  for (const { name, value, raw } of splitAddress(search)) {
    const bare = name.startsWith(prefix) ? name.slice(prefix.length) : null;
    const facet =
      bare === null
        ? undefined
        : setup.facets.find(
            ({ key, group }) => key === bare || [group.name, ...group.was].some((one) => loose(one) === loose(bare)),
          );
    if (facet) {
      // a form sends both ends of a range, under one name or two
      if (facet.kind.endsWith('range') && !value.includes('/') && facet.group.controls.length > 1) {
        const sent = ends.get(facet.key) ?? [];
        ends.set(facet.key, sent);
        if (bare === facet.group.name || bare === facet.key) sent.push(value);
        else sent[boxesOf(facet.group).find((box) => box.name === bare)?.dataset.ivyEnd === 'to' ? 1 : 0] = value;
      } else if (value !== '') own.push(parameter(prefix + facet.key, readValues(facet, value)));
    } else if (bare === sort) own.push(parameter(prefix + sort, setup.orders.get(value) ?? value));
    else if (bare === page) own.push(parameter(prefix + page, value));
    else foreign.push(raw);
  }
  for (const [key, values] of ends) {
    const [from = '', to = ''] = values;
    // a form sends both; alone it is a period, as a shared link has it
    if (values.length === 1 && from !== '') own.push(parameter(prefix + key, from));
    else if (from !== '' || to !== '') own.push(parameter(prefix + key, `${from || '..'}/${to || '..'}`));
  }
  return { own: own.join('&'), foreign };
}

function readValues(facet: Facet, value: string): string {
  if (facet.kind === 'search' || facet.kind.endsWith('range')) return value;
  // a value may hold a comma itself, as the page writes it
  if (facet.slugs.has(value)) return facet.slugs.get(value)!;
  return value
    .split(',')
    .map((one) => slugIn(facet, one))
    .join(',');
}

function slugIn({ slugs }: Facet, value: string): string {
  const same = [...slugs].find(([own, slug]) => own === value || slug === value || loose(own) === loose(value));
  return same?.[1] ?? value;
}

/** Writes an address for the page, by the names its own controls have. */
export function writeAddress(own: string, foreign: readonly string[], { lens, facets, orders }: Setup): string {
  const { prefix, sort } = lens.address;
  const parts = splitAddress(own).map(({ name, value, raw }) => {
    const facet = facets.find(({ key }) => prefix + key === name);
    if (facet) return `${encodePart(prefix + facet.group.name)}=${raw.slice(raw.indexOf('=') + 1)}`;
    if (name !== prefix + sort) return raw;
    return parameter(name, [...orders].find(([, key]) => key === value)?.[0] ?? value);
  });
  return [...foreign, ...parts].join('&');
}

export function parameter(name: string, value: string): string {
  return `${encodePart(name)}=${encodePart(value)}`;
}

/** What the controls say now, as the engine reads it. */
export function addressOfControls(
  setup: Setup,
  sort: HTMLSelectElement | null,
  isOn: (facet: Facet, value: string) => boolean,
): string {
  const { prefix, sort: sortName } = setup.lens.address;
  const parts = setup.facets.flatMap((facet) => {
    const value = valueOf(facet, isOn);
    return value === '' ? [] : parameter(prefix + facet.key, value);
  });
  const order = sort && setup.orders.get(sort.value);
  if (order) parts.push(parameter(prefix + sortName, order));
  return parts.join('&');
}

function valueOf(facet: Facet, isOn: (facet: Facet, value: string) => boolean): string {
  const { kind, group, choices, slugs } = facet;
  const boxes = boxesOf(group);
  if (kind === 'search') return boxes[0]!.value.trim();
  if (kind.endsWith('range')) {
    const end = (which: string) => boxes.find((one) => one.dataset.ivyEnd === which)?.value ?? '';
    const alone = boxes.find((one) => one.dataset.ivyEnd === undefined)?.value ?? '';
    if (alone !== '') return alone;
    return end('from') === '' && end('to') === '' ? '' : `${end('from') || '..'}/${end('to') || '..'}`;
  }
  return [...new Set(choices.filter(({ value }) => isOn(facet, value)).map(({ value }) => slugs.get(value)!))].join(
    ',',
  );
}

/** The parts of an address but for those of a name, and for its page: that is another matter once something is chosen. */
function without(own: string, names: readonly string[]): string[] {
  return own.split('&').filter((part) => part !== '' && !names.some((name) => part.startsWith(`${name}=`)));
}

/** What is chosen without what is in a facet, on the first page. */
export function withoutFacet(own: string, facet: Facet | undefined, { lens }: Setup): string {
  const { prefix, page } = lens.address;
  return without(own, [prefix + page, ...(facet ? [prefix + facet.key] : [])]).join('&');
}

/** What is chosen, on another page. */
export function onPage(own: string, page: number, { lens }: Setup): string {
  const name = lens.address.prefix + lens.address.page;
  return [...without(own, [name]), ...(page > 1 ? [parameter(name, String(page))] : [])].join('&');
}
