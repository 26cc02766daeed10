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
 * The format of a text: by how it begins, since names and media types are often wrong; then by them; and a table if none
 * says anything.
 * @param type  the media type it came as, if it came as one
 */
export function formatOf(name: string, text: string, type = ''): Format {
  const start = text
    .slice(0, looked)
    .replace(/^\ufeff/, '')
    .trimStart();
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? '';
  const media = type.split(';')[0]!.trim().toLowerCase();
  const byName = formats.find(({ endings }) => endings.includes(ending));
  const byType = formats.find(({ types }) => types.includes(media));
  // a line of JSON and a text between rules are met in tables too: whoever says they are tables is believed
  const begins = formats.find(({ begins }) => begins?.(start));
  const said = byName ?? byType;
  if (begins && said && begins.name === 'json' && (said.name === 'ndjson' || said.name === 'jsonfeed')) return said;
  if (begins && said && begins.name === 'ndjson' && said.name === 'json') return begins;
  if (begins && said && begins.name === 'markdown' && said.name !== 'markdown') return said;
  if (begins && (begins.name === 'html' || begins.name === 'rss' || begins.name === 'atom')) return begins;
  if (begins && (begins.name === 'ics' || begins.name === 'jsonfeed')) return begins;
  if (begins && said && begins.name === 'json' && (said.name === 'csv' || said.name === 'tsv') && ending !== 'txt')
    return said;
  return begins ?? said ?? csv;
}
