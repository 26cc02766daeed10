import { ics } from './calendar/ics.js';
import { atom } from './feed/atom.js';
import { rss } from './feed/rss.js';
import type { FileFormat, Format } from './format.js';
import { html } from './html/html.js';
import { jsonfeed } from './json/json-feed.js';
import { json } from './json/json.js';
import { ndjson } from './json/ndjson.js';
import { markdown } from './markdown/markdown.js';
import { csv, tsv } from './table/csv.js';

/** Formats that are read from text, the most particular first: what more than one could be is the first of them. */
const formats: readonly Format[] = [jsonfeed, ics, atom, rss, html, ndjson, markdown, json, tsv, csv];

export function formatNamed(name: FileFormat): Format | undefined {
  return formats.find((format) => format.name === name);
}

/** What people call a format. */
export function labelOf(name: FileFormat): string {
  return name === 'xlsx' ? 'a workbook (XLSX)' : (formatNamed(name)?.label ?? name);
}

/** Characters at the beginning that tell a format. */
const looked = 4096;

/**
 * The format of a text: by how it begins where that leaves no doubt, since names and media types are often wrong; then by
 * those; then by what it could begin like; and a table if none says anything.
 * @param type  the media type it came as, if it came as one
 */
export function formatOf(name: string, text: string, type = ''): Format {
  const start = text
    .slice(0, looked)
    .replace(/^\ufeff/, '')
    .trimStart();
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? '';
  const media = type.split(';')[0]!.trim().toLowerCase();
  const begins = formats.find((format) => format.begins?.(start));
  if (begins?.isPlain) return begins;
  const said =
    formats.find(({ endings }) => endings.includes(ending)) ?? formats.find(({ types }) => types.includes(media));
  return said ?? begins ?? csv;
}
