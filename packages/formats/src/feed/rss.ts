import type { RawRecord } from '@ivy/core';
import type { Format, GivenText, Reading } from '../format.js';
import { readItems, withExtras, withoutEmpty } from './items.js';
import { child, childrenOf, textOf, type Element } from './xml.js';

export const rss: Format = {
  name: 'rss',
  label: 'RSS',
  endings: ['rss', 'rdf'],
  types: ['application/rss+xml', 'application/rdf+xml'],
  isPlain: true,
  begins: (start) => /<rss\b/.test(start) || (/<rdf:RDF\b/.test(start) && /purl\.org\/rss\/1\.0\//.test(start)),
  read: readRss,
};

const ns = {
  content: 'http://purl.org/rss/1.0/modules/content/',
  dc: 'http://purl.org/dc/elements/1.1/',
  dcterms: 'http://purl.org/dc/terms/',
  media: 'http://search.yahoo.com/mrss/',
  itunes: 'http://www.itunes.com/dtds/podcast-1.0.dtd',
  geo: 'http://www.w3.org/2003/01/geo/wgs84_pos#',
  georss: 'http://www.georss.org/georss',
  rdf: 'http://www.w3.org/1999/02/22-rdf-syntax-ns#',
};
const known = new Set(Object.values(ns));

/**
 * Reads RSS 2.0 (and 0.9x) and RSS 1.0 with the modules that are met most: content, Dublin Core, media, itunes, geo. Fields
 * have the names that JSON Feed has for them, so that a source can change from one to the other.
 */
function readRss({ text }: GivenText): Reading {
  const parts = { roots: ['rss', 'RDF'], item: 'item', label: 'RSS', items: 'items' };
  return { records: readItems(text, parts, recordOf) };
}

function recordOf(item: Element): RawRecord {
  const own = (local: string) =>
    item.children.find((one) => one.local === local && !known.has(one.uri))?.text.trim() ?? '';
  const guid = item.children.find(({ local }) => local === 'guid');
  const guidText = guid?.text.trim() ?? '';
  const link = own('link') || (guid?.attributes.isPermaLink !== 'false' && /^https?:/.test(guidText) ? guidText : '');
  const full = textOf(item, 'encoded', ns.content);
  const short = own('description');
  const enclosure = item.children.find(({ local }) => local === 'enclosure');
  const media = mediaOf(item);
  const record: RawRecord = {
    id: guidText || item.attributes[`{${ns.rdf}}about`] || link,
    url: link,
    title: own('title') || textOf(item, 'title', ns.dc) || textOf(item, 'title', ns.itunes),
    summary: short,
    content_html: full,
    image: media.image || (isPicture(enclosure) ? enclosure!.attributes.url! : ''),
    date_published: own('pubDate') || textOf(item, 'date', ns.dc) || textOf(item, 'issued', ns.dcterms),
    date_modified: textOf(item, 'modified', ns.dcterms),
    authors: namesOf(item),
    tags: tagsOf(item),
    language: textOf(item, 'language', ns.dc),
    comments: own('comments'),
    attachment: enclosure && !isPicture(enclosure) ? (enclosure.attributes.url ?? '') : media.file,
    duration: textOf(item, 'duration', ns.itunes),
    season: textOf(item, 'season', ns.itunes),
    episode: textOf(item, 'episode', ns.itunes),
    latitude: textOf(item, 'lat', ns.geo) || textOf(item, 'point', ns.georss).split(/\s+/)[0]!,
    longitude: textOf(item, 'long', ns.geo) || (textOf(item, 'point', ns.georss).split(/\s+/)[1] ?? ''),
  };
  return withExtras(withoutEmpty(record), item, new Set(ownNames), known);
}

/** Elements whose values have a field already. */
const ownNames = ['guid', 'link', 'title', 'description', 'pubDate', 'author', 'category', 'enclosure', 'comments'];

function namesOf(item: Element): string[] {
  const said = [
    ...childrenOf(item, 'creator', ns.dc),
    ...childrenOf(item, 'author', ns.itunes),
    ...item.children.filter(({ local, uri }) => local === 'author' && !known.has(uri)),
  ].map(({ text }) => nameOf(text.trim()));
  return [...new Set(said.filter((name) => name !== ''))];
}

/** `mail@example.org (A Name)` is how RSS says who wrote something. */
function nameOf(text: string): string {
  return /^\S+@\S+\s*\((.+)\)$/.exec(text)?.[1]?.trim() ?? (/^\S+@\S+$/.test(text) ? '' : text);
}

function tagsOf(item: Element): string[] {
  const categories = item.children.filter(({ local, uri }) => local === 'category' && !known.has(uri));
  const subjects = childrenOf(item, 'subject', ns.dc);
  const keywords = textOf(item, 'keywords', ns.media).split(',');
  const all = [...categories, ...subjects].map(({ text }) => text.trim());
  return [...new Set([...all, ...keywords.map((word) => word.trim())].filter((word) => word !== ''))];
}

function mediaOf(item: Element): { image: string; file: string } {
  const groups = [item, ...childrenOf(item, 'group', ns.media)];
  const contents = groups.flatMap((one) => childrenOf(one, 'content', ns.media));
  const thumbnail = groups.map((one) => child(one, 'thumbnail', ns.media)).find(Boolean);
  const picture = contents.find(isPicture) ?? contents.find(({ attributes }) => !attributes.type && !attributes.medium);
  const file = contents.find((one) => !isPicture(one) && one !== picture);
  const cover = child(item, 'image', ns.itunes)?.attributes.href;
  return {
    image: picture?.attributes.url ?? thumbnail?.attributes.url ?? cover ?? '',
    file: file?.attributes.url ?? '',
  };
}

function isPicture(element: Element | undefined): boolean {
  return element?.attributes.medium === 'image' || /^image\//.test(element?.attributes.type ?? '');
}
