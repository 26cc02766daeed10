import {
  answerItems,
  applyMarks,
  controlsOf,
  drawFacets,
  itemsIn,
  nextPage,
  Notes,
  readItems,
  setUp,
  type Setup,
} from '@ivy/page/reading';
import { readQuestion, type FieldType, type Mark, type RawRecord } from '@ivy/core';
import { pageDocument } from './found/page-document.js';

/** A page as it was sent. */
export interface FetchedPage {
  /** Empty for one that came as a file. */
  address: string;
  html: string;
}

/** What a field holds in all items. */
export interface FieldReading {
  key: string;
  type: FieldType;
  filled: number;
  /** Terms with how many items have them, those of most first; empty for what has none. */
  terms: { label: string; count: number }[];
  samples: string[];
  /** Places of items that have none, from 0. */
  lacks: number[];
}

/** What a control of the page offers, and what of that the items have. */
export interface ControlReading {
  /** Its name in the address. */
  key: string;
  kind: string;
  field: string;
  values: { value: string; words: string; count: number; term: string | null }[];
}

/** What the page script will find on the pages, by the same code. */
export interface PageReading {
  /** Items a page. */
  perPage: number[];
  items: Element[];
  records: RawRecord[];
  /** Per mark: how many elements, or items, it is found in on the first page. */
  found: number[];
  fields: FieldReading[];
  controls: ControlReading[];
  orders: number;
  /** What does not fit, in words. */
  notes: readonly string[];
  /** Where the list goes on after the last of these pages; null where it does not. */
  next: string | null;
  setup: Setup | null;
}

/** The name the list has while it is read here. */
export const listName = 'list';

/** Reads pages as the page script will, with some marks on them. */
export function readPages(pages: readonly FetchedPage[], marks: readonly Mark[]): PageReading {
  const documents = pages.map(({ html }) => pageDocument(html));
  const found = documents.map((page) => applyMarks(page, listName, marks));
  const lists = documents.map((page) => page.querySelector(`[data-ivy-list="${listName}"]`));
  const items = lists.map((list) => (list ? itemsIn(list) : []));
  const notes = new Notes(listName, () => {});
  const all = items.flat();
  const read = readItems(all, notes);
  drawFacets(listName, read.records, documents[0]!);
  const setup =
    all.length > 0
      ? setUp(read, controlsOf(listName, documents[0]), { prefix: '', size: 0, stacks: false }, notes)
      : null;
  return {
    perPage: items.map((one) => one.length),
    items: all,
    records: read.records,
    found: found[0] ?? [],
    fields: setup ? fieldsOf(setup, read.records) : [],
    controls: setup ? controlsIn(setup, all) : [],
    orders: setup?.orders.size ?? 0,
    notes: notes.said,
    next: nextPage(documents.at(-1)!, listName, 'next', pages.at(-1)!.address),
    setup,
  };
}

function fieldsOf({ index }: Setup, records: readonly RawRecord[]): FieldReading[] {
  return index.fields
    .filter(({ key }) => !key.startsWith('~'))
    .map(({ key, type }) => {
      const counts = new Map<string, number>();
      const values = records.map((record) => (Object.hasOwn(record, key) ? [record[key]].flat().map(String) : []));
      for (const one of values.flat()) counts.set(one, (counts.get(one) ?? 0) + 1);
      const terms = [...counts].map(([label, count]) => ({ label, count })).sort((a, b) => b.count - a.count);
      return {
        key,
        type,
        filled: values.filter((one) => one.length > 0).length,
        terms: type === 'terms' || type === 'boolean' ? terms : [],
        samples: [...counts.keys()].slice(0, 5),
        lacks: values.flatMap((one, i) => (one.length === 0 ? [i] : [])),
      };
    });
}

function controlsIn({ index, lens, facets }: Setup, items: readonly Element[]): ControlReading[] {
  const { query, notices } = readQuestion(index, lens, '', Date.now());
  const answer = answerItems(index, query, notices, items as HTMLElement[]);
  return facets.map(({ key, kind, field, choices, slugs }) => {
    const found = answer.facets.find((one) => one.key === key);
    const options = found && 'options' in found ? found.options : [];
    return {
      key,
      kind,
      field,
      values: (slugs.size === 0 || kind === 'switch' ? [] : choices).map(({ value, words }) => {
        const option = options.find((one) => one.value === slugs.get(value));
        return { value, words, count: option?.count ?? 0, term: option?.label ?? null };
      }),
    };
  });
}
