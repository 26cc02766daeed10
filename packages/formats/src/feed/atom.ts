import type { RawRecord } from '@ivy/core';
import type { Format, GivenText, Reading } from '../format.js';
import { readItems, withExtras, withoutEmpty } from './items.js';
import { child, childrenOf, textOf, type Element } from './xml.js';

export const atom: Format = {
  name: 'atom',
  label: 'Atom',
  endings: ['atom'],
  types: ['application/atom+xml'],
  isPlain: true,
  begins: (start) => /<feed\b/.test(start) && /www\.w3\.org\/2005\/Atom|purl\.org\/atom/.test(start),
  read: readAtom,
};

/** Where an entry of a feed of ours keeps the record it was made from. */
export const recordNamespace = 'urn:ivy-lens:record';
const media = 'http://search.yahoo.com/mrss/';
const xmlBase = '{http://www.w3.org/XML/1998/namespace}base';

/** Reads Atom 1.0 (RFC 4287), with the names JSON Feed has for fields. */
function readAtom({ text }: GivenText): Reading {
  const parts = { roots: ['feed', 'entry'], item: 'entry', label: 'Atom', items: 'entries' };
  return { records: readItems(text, parts, recordOf) };
}

const ownNames = 'id title summary content link author contributor category updated published rights source record';
const read = new Set(ownNames.split(' '));

function recordOf(entry: Element): RawRecord {
  const whole = recordIn(entry);
  if (whole) return whole;
  const base = entry.attributes[xmlBase] ?? '';
  const links = childrenOf(entry, 'link');
  const alternate = links.find(({ attributes: { rel = 'alternate' } }) => rel === 'alternate');
  const enclosure = links.find(({ attributes: { rel } }) => rel === 'enclosure');
  const isPicture = /^image\//.test(enclosure?.attributes.type ?? '');
  const thumbnail =
    child(entry, 'thumbnail', media) ?? childrenOf(entry, 'group', media).map((one) => child(one, 'thumbnail'))[0];
  const categories = childrenOf(entry, 'category').map(({ attributes }) => attributes.label || attributes.term || '');
  const record: RawRecord = {
    id: textOf(entry, 'id'),
    url: within(alternate?.attributes.href ?? '', base),
    title: plainOf(child(entry, 'title')),
    summary: written(child(entry, 'summary')),
    content_html: written(child(entry, 'content')),
    image: isPicture ? within(enclosure!.attributes.href ?? '', base) : (thumbnail?.attributes.url ?? ''),
    date_published: textOf(entry, 'published') || textOf(entry, 'updated'),
    date_modified: textOf(entry, 'updated'),
    authors: childrenOf(entry, 'author')
      .map((author) => textOf(author, 'name'))
      .filter((name) => name !== ''),
    tags: [...new Set(categories.map((term) => term.trim()).filter((term) => term !== ''))],
    attachment: enclosure && !isPicture ? (enclosure.attributes.href ?? '') : '',
    rights: textOf(entry, 'rights'),
  };
  return withExtras(withoutEmpty(record), entry, read, new Set([media]));
}

/** The record that an entry of ours was made from. */
function recordIn(entry: Element): RawRecord | null {
  const text = textOf(entry, 'record', recordNamespace);
  if (text === '') return null;
  try {
    const record: unknown = JSON.parse(text);
    return typeof record === 'object' && record !== null && !Array.isArray(record) ? (record as RawRecord) : null;
  } catch {
    return null;
  }
}

/** Markup as it is written: Atom holds it escaped, or as XHTML. */
function written(element: Element | undefined): string {
  if (!element) return '';
  if (element.markup !== undefined) return element.markup.trim();
  return element.text.trim();
}

function plainOf(element: Element | undefined): string {
  const text = written(element);
  const isMarkup = element?.markup !== undefined || /html/.test(element?.attributes.type ?? '');
  return isMarkup ? text.replace(/<[^>]*>/g, '').trim() : text;
}

function within(address: string, base: string): string {
  return base !== '' && URL.canParse(address, base) ? new URL(address, base).href : address;
}
