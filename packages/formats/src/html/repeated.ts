import { addTo } from '../add-to.js';
import type { RawRecord } from '@ivy/core';
import {
  absolute,
  attribute,
  childrenOf,
  classesOf,
  elementsOf,
  ownWords,
  pictureOf,
  within,
  wordsOf,
  type documentOf,
  type Element,
} from './elements.js';

/** Elements alike from which on they are a list, and elements looked at in each. */
const least = 3;
const mostParts = 400;

/** Parts of a page that frame it, whose lists lead elsewhere. */
const framing = new Set(['nav', 'header', 'footer', 'aside', 'select', 'head', 'form', 'menu']);

/**
 * Reads a page that marks nothing by what repeats on it: of all elements with three children alike or more, those whose
 * children say most and lead somewhere are the posts; their parts are fields, called by what they are.
 */
export function recordsInRepeated(document: ReturnType<typeof documentOf>, base: string): RawRecord[] {
  let best: { items: Element[]; weight: number } | null = null;
  for (const element of elementsOf(document)) {
    if (isFramed(element)) continue;
    for (const items of alikeIn(element)) {
      const weight = weigh(items);
      if (weight > (best?.weight ?? 0)) best = { items, weight };
    }
  }
  return best ? recordsOf(best.items, base) : [];
}

function isFramed(element: Element): boolean {
  for (let node: Element | null = element; node; node = parentOf(node)) if (framing.has(node.tagName)) return true;
  return false;
}

function parentOf(element: Element): Element | null {
  const { parentNode } = element;
  return parentNode && 'tagName' in parentNode ? parentNode : null;
}

/** Children of an element by what they are: tag and first class. */
function alikeIn(element: Element): Element[][] {
  const groups = new Map<string, Element[]>();
  for (const one of childrenOf(element)) {
    const name = `${one.tagName}.${classesOf(one)[0] ?? ''}`;
    addTo(groups, name, one);
  }
  return [...groups.values()].filter(({ length }) => length >= least);
}

/** How much a group of elements is like a list of posts. */
function weigh(items: readonly Element[]): number {
  const [first] = items;
  if (!first || /^(?:script|style|option|br|p|td|th|col|source)$/.test(first.tagName)) return 0;
  const some = items.slice(0, 30);
  const words = some.map((item) => wordsOf(item).length);
  const average = words.reduce((sum, length) => sum + length, 0) / some.length;
  const leading = some.filter((item) => item.tagName === 'a' || hasLink(item)).length / some.length;
  const parts = some.reduce((sum, item) => sum + Math.min(20, [...within(item)].length), 0) / some.length;
  if (average < 8) return 0;
  return Math.sqrt(items.length) * Math.min(average, 400) * (0.3 + leading) * Math.log2(2 + parts);
}

function hasLink(item: Element): boolean {
  for (const one of within(item)) if (one.tagName === 'a' && attribute(one, 'href') !== '') return true;
  return false;
}

interface Part {
  /** What it is called, if it says so. */
  name: string;
  value: string;
}

function recordsOf(items: readonly Element[], base: string): RawRecord[] {
  const all = items.map((item) => partsOf(item, base));
  return all.map((parts) => {
    const record: RawRecord = {};
    for (const { name, value } of parts) {
      const before = record[name];
      if (before === undefined) record[name] = value;
      else if (name !== 'url' && name !== 'image' && name !== 'title') record[name] = [...[before].flat(), value];
    }
    return record;
  });
}

/** What an element of a list says, part by part. */
function partsOf(item: Element, base: string): Part[] {
  const parts: Part[] = [];
  const add = (name: string, value: string) => {
    if (value !== '') parts.push({ name, value });
  };
  if (item.tagName === 'a') add('url', absolute(attribute(item, 'href'), base));
  if (item.tagName === 'tr') {
    const heads = headsOf(item);
    childrenOf(item).forEach((cell, i) => add(heads[i] ?? `column ${i + 1}`, wordsOf(cell)));
  }
  let count = 0;
  const isTitled = [...within(item)].some(({ tagName }) => /^h[1-6]$/.test(tagName));
  for (const element of within(item, (into) => !/^h[1-6]$/.test(into.tagName) && into.tagName !== 'time')) {
    if (++count > mostParts) break;
    const { tagName } = element;
    if (/^h[1-6]$/.test(tagName)) {
      add('title', wordsOf(element));
      for (const one of within(element)) if (one.tagName === 'a') add('url', absolute(attribute(one, 'href'), base));
    } else if (tagName === 'time') add('date', attribute(element, 'datetime') || wordsOf(element));
    else if (tagName === 'img') add('image', pictureOf(element, base));
    else if (tagName === 'a' && attribute(element, 'href') !== '') {
      add('url', absolute(attribute(element, 'href'), base));
      const name = nameOf(element);
      if (item.tagName !== 'tr') add(name === 'text' && !isTitled ? 'title' : name, ownWords(element));
    } else if (tagName === 'data') add(nameOf(element), attribute(element, 'value'));
    else if (item.tagName !== 'tr') add(nameOf(element), ownWords(element));
  }
  if (!parts.some(({ name }) => name === 'title') && item.tagName === 'a') add('title', ownWords(item));
  if (parts.length === 0) add('text', wordsOf(item));
  return parts;
}

/** What the columns of the table are called that a row stands in. */
function headsOf(row: Element): (string | undefined)[] {
  let table: Element | null = row;
  while (table && table.tagName !== 'table') table = parentOf(table);
  if (!table) return [];
  for (const one of within(table, (into) => into.tagName !== 'td')) {
    if (one.tagName !== 'tr') continue;
    const cells = childrenOf(one);
    if (cells.length === 0 || !cells.every(({ tagName }) => tagName === 'th')) return [];
    return cells.map((cell) => wordsOf(cell).slice(0, 60) || undefined);
  }
  return [];
}

/** What a part is called: by its class, if that is words; else it is text. */
function nameOf(element: Element): string {
  for (let node: Element | null = element, up = 0; node && up < 2; node = parentOf(node), up++) {
    const named = classesOf(node).find((one) => /^[a-z][a-z]*(?:[_-]+[a-z]+)*$/i.test(one) && one.length > 1);
    if (named !== undefined) {
      const last = named
        .split(/__|--|_|-/)
        .filter((part) => part.length > 1)
        .at(-1);
      return (last ?? named).toLowerCase();
    }
    if (node.tagName === 'dd') return termBefore(node) || 'text';
    if (!/^(?:span|b|i|em|strong|small|a)$/.test(node.tagName)) break;
  }
  return 'text';
}

/** What stands before a value in a list of terms and values. */
function termBefore(element: Element): string {
  const parent = parentOf(element);
  if (!parent) return '';
  const all = childrenOf(parent);
  const before = all.slice(0, all.indexOf(element)).findLast(({ tagName }) => tagName === 'dt');
  return before ? wordsOf(before).replace(/:$/, '').toLowerCase().slice(0, 60) : '';
}
