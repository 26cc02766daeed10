import type { Facet, Lens, TermFacet } from '../model/lens.js';
import { isFavourites, isRange, isSearch, isSingle, isSwitch } from '../model/lens.js';
import type { Notice, Query, Selection } from '../model/query.js';
import { zoneDays } from '../dates/zone.js';
import { cleanSearch, maxWords, readWords } from '../search/wanted.js';
import { wellFormed } from '../text/clean-text.js';
import { byCodeUnits } from '../text/slug.js';
import { readDays, readNumbers } from './ranges.js';
import { splitAddress, type Parameter } from './parameters.js';

/** Most values one facet takes from an address. */
export const maxValues = 50;
/** Most marked posts an address takes. */
export const maxPosts = 200;
/** Most characters an address may have; beyond, a server answers 414. */
export const maxAddress = 8192;
/** Most characters of a search. */
export const maxSearch = 200;

/** What reading an address asks of an index: which terms a field has. */
export interface Vocabulary {
  /** The term's present slug when `slug` is one, or was one before; null when the field never had it. */
  termOf(field: string, slug: string): string | null;
  /** Slugs of the terms above a term, nearest first. */
  ancestorsOf(field: string, slug: string): readonly string[];
  hasPost(id: string): boolean;
}

export interface AddressReading {
  query: Query;
  notices: Notice[];
  /** Parameters that are not the lens's, as they came, in their order. */
  foreign: string[];
}

/**
 * Reads an address into a query. Never throws: what can't be read is dropped and noted, and the rest applies.
 * @param address  the page's whole query string, with or without `?`
 * @param now      milliseconds: the moment "today" is told by, in the lens's zone
 */
export function readAddress(address: string, lens: Lens, vocabulary: Vocabulary, now: number): AddressReading {
  const notices: Notice[] = [];
  const names = parameterNames(lens);
  const foreign: string[] = [];
  const values = new Map<Facet, string[]>();
  let sort: string | null = null;
  let page = 1;

  if (address.length > maxAddress) {
    notices.push({ code: 'too-long', text: `The address is longer than ${maxAddress} characters and was not read.` });
    return { query: { lens, selections: startOf(lens), sort, page }, notices, foreign };
  }

  for (const parameter of splitAddress(address)) {
    const target = names.get(parameter.name);
    if (!target) foreign.push(parameter.raw);
    else if (target === 'sort') sort = readSort(parameter, lens, notices) ?? sort;
    else if (target === 'page') page = readPage(parameter, notices);
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
      // a comma parts terms; in a search or a range it is a character like any other
      const parts = isSearch(target.facet) || isRange(target.facet) ? [parameter.value] : parameter.value.split(',');
      all.push(...parts.filter((value) => value.trim() !== ''));
      values.set(target.facet, all);
    }
  }

  const selections = startOf(lens);
  const today = zoneDays(lens.zone).dayAt(now);
  for (const facet of lens.facets) {
    const found = values.get(facet);
    if (!found) continue;
    if (isSwitch(facet) && leavesOpen(found)) delete selections[facet.key];
    const selection = readSelection(facet, found, { vocabulary, notices, today });
    if (selection) selections[facet.key] = selection;
  }
  return { query: { lens, selections, sort, page }, notices, foreign };
}

/** What is chosen where an address says nothing: the switches that start as yes or no. */
export function startOf(lens: Lens): Record<string, Selection> {
  const selections: Record<string, Selection> = {};
  for (const facet of lens.facets) {
    if (isSwitch(facet) && facet.start !== 'either')
      selections[facet.key] = { type: 'switch', on: facet.start === 'yes' };
  }
  return selections;
}

/** What a switch takes to choose neither. */
export const either = 'either';

/** A form whose box is not ticked sends nothing after the name; links say it in a word. */
function leavesOpen(values: readonly string[]): boolean {
  return values.length === 0 || values.includes(either);
}

type Target = 'sort' | 'page' | { facet: Facet; moved: boolean };

/** Which parameter names are the lens's own, old names included. A present name wins over an old one. */
export function parameterNames(lens: Lens): Map<string, Target> {
  const { prefix } = lens.address;
  const names = new Map<string, Target>();
  for (const facet of lens.facets) {
    for (const alias of facet.aliases) names.set(prefix + alias, { facet, moved: true });
  }
  names.set(prefix + lens.address.page, 'page');
  names.set(prefix + lens.address.sort, 'sort');
  for (const facet of lens.facets) names.set(prefix + facet.key, { facet, moved: false });
  return names;
}

/** Drops every chosen term that has a chosen term below it: choosing a child narrows its parent. */
export function deepest(terms: readonly string[], ancestorsOf: (term: string) => readonly string[]): string[] {
  const above = new Set(terms.flatMap((term) => ancestorsOf(term)));
  return terms.filter((term) => !above.has(term));
}

interface Reading {
  vocabulary: Vocabulary;
  notices: Notice[];
  /** Day number. */
  today: number;
}

function readSelection(facet: Facet, found: string[], reading: Reading): Selection | undefined {
  const { notices } = reading;
  if (isSearch(facet)) return readSearch(facet.key, found, notices);
  if (facet.kind === 'date-range') return readDays(facet.key, found, reading.today, notices);
  if (facet.kind === 'number-range') return readNumbers(facet.key, found, notices);
  let values = [...new Set(found)];
  const most = isFavourites(facet) ? maxPosts : maxValues;
  if (values.length > most) {
    notices.push({
      code: 'too-many',
      facet: facet.key,
      text: `Only the first ${most} choices of “${facet.key}” were taken.`,
    });
    values = values.slice(0, most);
  }
  if (isFavourites(facet)) return readPosts(facet.key, values, reading);
  if (isSwitch(facet)) return readSwitch(facet.key, values, notices);
  return readTerms(facet, values, reading.vocabulary, notices);
}

function readPosts(key: string, values: readonly string[], { vocabulary, notices }: Reading): Selection | undefined {
  const ids = values.filter((value) => {
    if (vocabulary.hasPost(value)) return true;
    notices.push({ code: 'unknown-post', facet: key, value, text: `There is no post “${value}” any more.` });
    return false;
  });
  return ids.length === 0 ? undefined : { type: 'posts', ids: ids.sort(byCodeUnits) };
}

function readSearch(key: string, found: string[], notices: Notice[]): Selection | undefined {
  let text = cleanSearch(found.join(' '));
  if (text.length > maxSearch) {
    notices.push({
      code: 'too-long',
      facet: key,
      text: `Only the first ${maxSearch} characters of the search were taken.`,
    });
    // a cut in the middle of a character outside the basic plane would leave half of it
    text = cleanSearch(text.slice(0, maxSearch).replace(/[\ud800-\udbff]$/, ''));
  }
  // an address can hold no lone surrogate, so none is kept
  text = wellFormed(text);
  const { wanted, isCut } = readWords(text);
  if (isCut) {
    notices.push({ code: 'too-many', facet: key, text: `Only the first ${maxWords} words of the search were taken.` });
  }
  return wanted.length === 0 ? undefined : { type: 'search', text };
}

function readSwitch(key: string, values: string[], notices: Notice[]): Selection | undefined {
  let on: boolean | undefined;
  for (const value of values) {
    if (value === either) continue;
    if (value !== 'yes' && value !== 'no') {
      notices.push({
        code: 'bad-switch',
        facet: key,
        value,
        text: `“${value}” was passed over: “${key}” takes yes, no or ${either}.`,
      });
    } else if (on === undefined) on = value === 'yes';
    else notices.push(singleChoice(key, value));
  }
  return on === undefined ? undefined : { type: 'switch', on };
}

function readTerms(
  facet: TermFacet,
  values: string[],
  vocabulary: Vocabulary,
  notices: Notice[],
): Selection | undefined {
  const terms: string[] = [];
  for (const value of values) {
    const term = vocabulary.termOf(facet.field, value);
    if (term === null) {
      notices.push({
        code: 'unknown-term',
        facet: facet.key,
        value,
        text: `“${value}” is not a term of “${facet.key}”, so it was passed over.`,
      });
      continue;
    }
    if (term !== value) {
      notices.push({ code: 'moved', facet: facet.key, value, text: `“${value}” is now called “${term}”.` });
    }
    if (!terms.includes(term)) terms.push(term);
  }
  if (terms.length === 0) return undefined;
  const kept = deepest(terms, (term) => vocabulary.ancestorsOf(facet.field, term));
  if (!isSingle(facet)) return { type: 'terms', terms: kept.sort(byCodeUnits) };
  for (const term of kept.slice(1)) notices.push(singleChoice(facet.key, term));
  return { type: 'term', term: kept[0]! };
}

function singleChoice(facet: string, value: string): Notice {
  return {
    code: 'single-choice',
    facet,
    value,
    text: `“${facet}” takes one choice, so “${value}” was passed over.`,
  };
}

function readSort(parameter: Parameter, lens: Lens, notices: Notice[]): string | null {
  const { value } = parameter;
  if (value === '') return null;
  if (lens.sort.options.some((option) => option.key === value)) return value;
  notices.push({ code: 'unknown-sort', value, text: `“${value}” is not an order this listing has.` });
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
