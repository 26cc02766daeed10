import { zoneDays } from '../dates/zone.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Reading } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import type { Notice } from '../model/notice.js';
import type { Selection } from '../model/selection.js';
import { sizesOf } from '../paging/paging.js';
import { splitAddress, type Parameter } from '../text/parameters.js';

/** Most characters an address may have; beyond, a server answers 414. */
export const maxAddress = 8192;

export interface AddressReading {
  query: Query;
  notices: Notice[];
  /** Parameters that are not the lens's, as they came, in their order. */
  foreign: string[];
}

/**
 * Reads an address into a query. Never throws: what can't be read is dropped and noted, and the rest applies.
 * @param address  the page's whole query string, with or without `?`
 * @param index    where terms and posts are looked up
 * @param now      milliseconds: the moment that "today" follows from, in the lens's zone
 */
export function readAddress(address: string, lens: Lens, index: PostIndex, now: number): AddressReading {
  const notices: Notice[] = [];
  const names = parameterNames(lens);
  const foreign: string[] = [];
  const values = new Map<Facet, string[]>();
  let sort: string | null = null;
  let page = 1;
  let size: number | null = null;

  if (address.length > maxAddress) {
    notices.push({ code: 'too-long', text: `The address is longer than ${maxAddress} characters and was not read.` });
    return { query: { lens, selections: startOf(lens), sort, page }, notices, foreign };
  }

  for (const parameter of splitAddress(address)) {
    const target = names.get(parameter.name);
    if (!target) foreign.push(parameter.raw);
    else if (target === 'sort') sort = readSort(parameter, lens, notices) ?? sort;
    else if (target === 'page') page = readPage(parameter, notices);
    else if (target === 'size') size = readSize(parameter, lens, notices) ?? size;
    else {
      if (target.moved && parameter.value !== '') {
        notices.push({
          code: 'moved',
          facet: target.facet.key,
          value: parameter.name,
          text: `“${parameter.name}” is now called “${target.facet.key}”.`,
        });
      }
      const all = values.get(target.facet) ?? [];
      const parts = kindOf(target.facet).splits ? parameter.value.split(',') : [parameter.value];
      all.push(...parts.filter((value) => value.trim() !== ''));
      values.set(target.facet, all);
    }
  }

  const selections = startOf(lens);
  const { zone, language } = lens;
  const reading: Reading = { index, notices, zone, language, today: zoneDays(zone).dayAt(now) };
  for (const facet of lens.facets) {
    const found = values.get(facet);
    if (!found) continue;
    const selection = kindOf(facet).read(facet, found, reading);
    if (selection) selections[facet.key] = selection;
    else if (selection === null) delete selections[facet.key];
  }
  const query: Query = { lens, selections, sort, page };
  if (size !== null) query.size = size;
  return { query, notices, foreign };
}

/** What is chosen where an address says nothing. */
export function startOf(lens: Lens): Record<string, Selection> {
  const selections: Record<string, Selection> = {};
  for (const facet of lens.facets) {
    const start = kindOf(facet).start(facet);
    if (start) selections[facet.key] = start;
  }
  return selections;
}

type Target = 'sort' | 'page' | 'size' | { facet: Facet; moved: boolean };

/** Which parameter names are the lens's own, old names included. A present name wins over an old one. */
export function parameterNames(lens: Lens): Map<string, Target> {
  const { prefix } = lens.address;
  const names = new Map<string, Target>();
  for (const facet of lens.facets) {
    for (const alias of facet.aliases) names.set(prefix + alias, { facet, moved: true });
  }
  names.set(prefix + lens.address.page, 'page');
  names.set(prefix + lens.address.sort, 'sort');
  if (sizesOf(lens.paging).length > 0) names.set(prefix + lens.address.size, 'size');
  for (const facet of lens.facets) names.set(prefix + facet.key, { facet, moved: false });
  for (const { name, is } of lens.address.former) {
    const now = names.get(prefix + is);
    if (now && !names.has(name)) names.set(name, typeof now === 'object' ? { ...now, moved: true } : now);
  }
  return names;
}

function readSort(parameter: Parameter, lens: Lens, notices: Notice[]): string | null {
  const { value } = parameter;
  if (value === '') return null;
  const found = lens.sort.options.find(({ key, aliases }) => key === value || aliases.includes(value))?.key;
  if (found) return found;
  notices.push({ code: 'unknown-sort', value, text: `“${value}” is not an order this listing has.` });
  return null;
}

/** A size that visitors may choose; null where it says nothing, and for the lens's own, which need not be said. */
function readSize({ value }: Parameter, { paging }: Lens, notices: Notice[]): number | null {
  if (value === '') return null;
  const size = /^\d{1,4}$/.test(value) ? Number(value) : 0;
  if (sizesOf(paging).includes(size)) return size === paging.size ? null : size;
  notices.push({ code: 'unknown-size', value, text: `“${value}” is not a number of posts a page may have here.` });
  return null;
}

function readPage(parameter: Parameter, notices: Notice[]): number {
  const { value } = parameter;
  if (value === '') return 1;
  const page = /^\d{1,9}$/.test(value) ? Number(value) : 0;
  if (page >= 1) return page;
  notices.push({ code: 'page-clamped', value, text: `“${value}” is not a page, so page 1 is shown.` });
  return 1;
}
