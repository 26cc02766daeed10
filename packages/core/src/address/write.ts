import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import { selectionsOf, type Query } from '../lens/query.js';
import { sortOf } from '../lens/sort.js';
import type { Selection } from '../model/selection.js';
import { encodePart } from '../text/parameters.js';

/**
 * Writes the canonical address of a query: facets in the lens's order, then sort, then how many a page, then page. Defaults are left
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
  readonly #size: string;

  /** @param selections  those of the query, by facet */
  constructor(query: Query, selections = selectionsOf(query)) {
    const { lens, sort, page, size } = query;
    this.#query = query;
    for (let i = 0; i < selections.length; i++) this.#choices.push(choice(lens, lens.facets[i]!, selections[i]));
    const isDefault = sort === null || sort === sortOf({ ...query, sort: null })?.key;
    this.#sort = isDefault ? '' : parameter(lens, lens.address.sort, encodePart(sort));
    this.#size = size === undefined ? '' : parameter(lens, lens.address.size, String(size));
    this.whole = joined(this.#written(-1), page > 1 ? parameter(lens, lens.address.page, String(page)) : '');
  }

  /** The address without the choice in a facet, which leads to the first page. */
  without(facet: Facet): string {
    if (kindOf(facet).finding) {
      // a sort that differs from that of a search may be the default without one
      const { [facet.key]: _, ...selections } = this.#query.selections;
      return writeAddress({ ...this.#query, selections, page: 1 });
    }
    return this.#written(this.#query.lens.facets.indexOf(facet));
  }

  #written(without: number): string {
    const { lens } = this.#query;
    let address = '';
    for (let i = 0; i < this.#choices.length; i++) {
      address = joined(address, i === without ? choice(lens, lens.facets[i]!, undefined) : this.#choices[i]!);
    }
    return joined(joined(address, this.#sort), this.#size);
  }
}

function joined(address: string, part: string): string {
  if (part === '') return address;
  return address === '' ? part : `${address}&${part}`;
}

function choice(lens: Lens, facet: Facet, selection: Selection | undefined): string {
  const written = kindOf(facet).write(facet, selection);
  return written === '' ? '' : parameter(lens, facet.key, written);
}

function parameter({ address }: Lens, name: string, value: string): string {
  return `${encodePart(address.prefix + name)}=${value}`;
}
