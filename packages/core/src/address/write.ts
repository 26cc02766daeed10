import { isSearch, isSwitch, type Facet, type Lens } from '../model/lens.js';
import { selectionsOf, type Query, type Selection } from '../model/query.js';
import { sortOf } from '../model/sort.js';
import { encodePart } from './parameters.js';
import { either } from './read.js';

/**
 * Writes the canonical address of a query: facets in the lens's order, then sort, then page. Defaults are left
 * out, so a query with nothing chosen gives ''. Parameters that are not the lens's are the caller's to keep.
 */
export function writeAddress(query: Query): string {
  return new AddressWriter(query).whole;
}

/** Writes an address, and those it leads to, of which most is the same. */
export class AddressWriter {
  readonly whole: string;
  readonly #query: Query;
  /** What is written of each of the lens's facets, '' where nothing is. */
  readonly #choices: string[] = [];
  readonly #sort: string;

  /** @param selections  those of the query, by facet */
  constructor(query: Query, selections = selectionsOf(query)) {
    const { lens, sort, page } = query;
    this.#query = query;
    for (let i = 0; i < selections.length; i++) this.#choices.push(choice(lens, lens.facets[i]!, selections[i]));
    const isDefault = sort === null || sort === sortOf({ ...query, sort: null })?.key;
    this.#sort = isDefault ? '' : parameter(lens, lens.address.sort, encodePart(sort));
    this.whole = joined(this.#written(-1), page > 1 ? parameter(lens, lens.address.page, String(page)) : '');
  }

  /** The address with the choice in a facet lifted, which leads to the first page. */
  without(facet: Facet): string {
    if (isSearch(facet)) {
      // a sort that differs from that of a search may be the default without one
      const { [facet.key]: _, ...selections } = this.#query.selections;
      return writeAddress({ ...this.#query, selections, page: 1 });
    }
    return this.#written(this.#query.lens.facets.indexOf(facet));
  }

  #written(lifted: number): string {
    const { lens } = this.#query;
    let address = '';
    for (let i = 0; i < this.#choices.length; i++) {
      address = joined(address, i === lifted ? choice(lens, lens.facets[i]!, undefined) : this.#choices[i]!);
    }
    return joined(address, this.#sort);
  }
}

function joined(address: string, part: string): string {
  if (part === '') return address;
  return address === '' ? part : `${address}&${part}`;
}

function choice(lens: Lens, facet: Facet, selection: Selection | undefined): string {
  if (isSwitch(facet) && facet.start !== either) {
    const chosen = selection ? writeSelection(selection) : either;
    return chosen === facet.start ? '' : parameter(lens, facet.key, chosen);
  }
  return selection ? parameter(lens, facet.key, writeSelection(selection)) : '';
}

function parameter({ address }: Lens, name: string, value: string): string {
  return `${encodePart(address.prefix + name)}=${value}`;
}

function writeList(values: readonly string[]): string {
  let written = '';
  for (const value of values) written = written === '' ? encodePart(value) : `${written},${encodePart(value)}`;
  return written;
}

function writeSelection(selection: Selection): string {
  switch (selection.type) {
    case 'terms':
      return writeList(selection.terms);
    case 'posts':
      return writeList(selection.ids);
    case 'term':
      return encodePart(selection.term);
    case 'switch':
      return selection.on ? 'yes' : 'no';
    case 'search':
      return encodePart(selection.text);
    case 'days':
    case 'numbers':
      return `${selection.from ?? '..'}/${selection.to ?? '..'}`;
  }
}
