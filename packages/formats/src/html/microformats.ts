import { addTo } from '../add-to.js';
import { fieldKeyOf, type RawRecord } from '@ivy/core';
import {
  absolute,
  attribute,
  classesOf,
  elementsOf,
  innerHtml,
  pictureOf,
  within,
  wordsOf,
  type documentOf,
  type Element,
} from './elements.js';

/** What is listed by them, the likeliest first. */
const roots = ['h-entry', 'h-event', 'h-product', 'h-review', 'h-recipe', 'h-item', 'h-card'];

/** Properties that have a name here which JSON Feed has for them too. */
const names: Readonly<Record<string, string>> = {
  'p-name': 'title',
  'p-summary': 'summary',
  'e-content': 'content_html',
  'u-url': 'url',
  'u-uid': 'id',
  'u-photo': 'image',
  'u-featured': 'image',
  'dt-published': 'date_published',
  'dt-updated': 'date_modified',
  'dt-start': 'start',
  'dt-end': 'end',
  'p-category': 'tags',
  'p-author': 'authors',
  'p-organizer': 'organizer',
};
const lists = new Set(['tags', 'authors']);

/** What a page marks by microformats2: its entries, else its events, and so on, each a record. */
export function recordsInMicroformats(document: ReturnType<typeof documentOf>, base: string): RawRecord[] {
  const found = new Map<string, Element[]>();
  for (const element of elementsOf(document)) {
    const classes = classesOf(element);
    const root = roots.find((one) => classes.includes(one));
    // one that is said of another (`p-author h-card`) is a part of it
    if (root === undefined || classes.some((one) => /^(?:p|u)-(?!entry$|item$)[a-z]/.test(one))) continue;
    addTo(found, root, element);
  }
  const root = roots.find((one) => found.has(one));
  return root === undefined ? [] : found.get(root)!.map((element) => recordOf(element, base));
}

function recordOf(root: Element, base: string): RawRecord {
  const record: RawRecord = {};
  const isRoot = (element: Element) => classesOf(element).some((one) => roots.includes(one));
  for (const element of within(root, (into) => !isRoot(into))) {
    for (const one of classesOf(element)) {
      const [, prefix, name] = /^(p|u|dt|e)-([a-z][a-z0-9-]*)$/.exec(one) ?? [];
      if (prefix === undefined) continue;
      const key = names[one] ?? fieldKeyOf(name!.replaceAll('-', '_'));
      const value = valueOf(prefix, element, base, isRoot(element));
      if (value === '') continue;
      const before = record[key];
      if (before === undefined) record[key] = lists.has(key) ? [value] : value;
      else if (Array.isArray(before)) before.push(value);
      else if (key !== 'image' && key !== 'title' && key !== 'url') record[key] = [before, value];
    }
  }
  // what is not said follows from what there is, as the format has it
  record.title ??= titleIn(root);
  record.url ??= linkIn(root, base);
  return Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined && value !== ''));
}

function titleIn(root: Element): string | undefined {
  for (const element of within(root)) if (/^h[1-6]$/.test(element.tagName)) return wordsOf(element);
  return undefined;
}

function linkIn(root: Element, base: string): string | undefined {
  if (root.tagName === 'a') return absolute(attribute(root, 'href'), base);
  for (const element of within(root)) if (element.tagName === 'a') return absolute(attribute(element, 'href'), base);
  return undefined;
}

function valueOf(prefix: string, element: Element, base: string, isRoot: boolean): string {
  const said = (name: string) => attribute(element, name);
  switch (prefix) {
    case 'u': {
      if (element.tagName === 'img') return pictureOf(element, base);
      const address = said('href') || said('src') || said('data') || said('value');
      return address === '' ? wordsOf(element) : absolute(address, base);
    }
    case 'dt':
      return said('datetime') || said('title') || said('value') || wordsOf(element);
    case 'e':
      return innerHtml(element);
    default: {
      // a person within is said by the name
      if (isRoot) {
        for (const one of within(element)) if (classesOf(one).includes('p-name')) return wordsOf(one);
      }
      if (element.tagName === 'abbr' && said('title') !== '') return said('title');
      if (element.tagName === 'data' && said('value') !== '') return said('value');
      return element.tagName === 'img' ? said('alt') : wordsOf(element);
    }
  }
}
