import { cellText, fieldWithRole, type FieldRole, type RawRecord } from '@ivy/core';
import { feedVersion, recordKey, recordNamespace } from '@ivy/formats';
import type { Source } from '../../database/source.entity.js';
import { xml, xmlJson } from '../../shared/xml.js';

/** What records are written as: what stands before, between and after them, and how such a file is called. */
export interface Writer {
  type: string;
  /** Of its name, where that is another than what is asked for. */
  ending?: string;
  head: (source: Source, keys: readonly string[]) => string;
  line: (record: RawRecord, keys: readonly string[], source: Source) => string;
  between?: string;
  foot?: string;
}

export const writers: Record<string, Writer> = {
  csv: {
    type: 'text/csv; charset=utf-8',
    head: (_source, keys) => `${keys.map(quoted).join(',')}\r\n`,
    line: (record, keys) => `${keys.map((key) => quoted(cellOf(record, key))).join(',')}\r\n`,
  },
  ndjson: {
    type: 'application/x-ndjson; charset=utf-8',
    head: () => '',
    line: (record, keys) => `${JSON.stringify(inOrder(record, keys))}\n`,
  },
  jsonfeed: {
    type: 'application/feed+json; charset=utf-8',
    ending: 'json',
    head: ({ name, site }) => {
      const feed = JSON.stringify({ version: feedVersion, title: name, ...(site !== null && { home_page_url: site }) });
      return `${feed.slice(0, -1)},"items":[\n`;
    },
    line: (record, keys, source) => JSON.stringify(feedItem(record, keys, source)),
    between: ',\n',
    foot: '\n]}\n',
  },
  atom: {
    type: 'application/atom+xml; charset=utf-8',
    head: ({ name, slug, site, updatedAt }) =>
      `<?xml version="1.0" encoding="UTF-8"?>\n<feed xmlns="http://www.w3.org/2005/Atom" xmlns:ivy="${recordNamespace}">` +
      `<id>urn:ivy-lens:source:${xml(slug)}</id><title>${xml(name)}</title><updated>${updatedAt.toISOString()}</updated>` +
      `${site === null ? '' : `<link href="${xml(site)}"/>`}<author><name>${xml(name)}</name></author>\n`,
    line: (record, keys, source) => atomEntry(record, keys, source),
    foot: '</feed>\n',
  },
};

/** A post as Atom 1.0 has it for whoever reads feeds, with the whole record in it, which comes in again. */
function atomEntry(record: RawRecord, keys: readonly string[], source: Source): string {
  const { id, url, title, summary, date_published: published, authors } = feedItem(record, keys, source);
  const when = published ?? source.updatedAt.toISOString();
  const isAddress = /^[a-z][a-z0-9+.-]*:/i.test(String(id));
  return (
    `<entry><id>${xml(isAddress ? String(id) : `urn:ivy-lens:post:${encodeURIComponent(String(id))}`)}</id>` +
    `<title>${xml(title ?? String(id))}</title>${url ? `<link href="${xml(url)}"/>` : ''}<updated>${when}</updated>` +
    `${published ? `<published>${published}</published>` : ''}` +
    `${authors ? authors.map(({ name }) => `<author><name>${xml(name)}</name></author>`).join('') : ''}` +
    `${summary ? `<summary>${xml(summary)}</summary>` : ''}` +
    `<ivy:record>${xmlJson(inOrder(record, keys))}</ivy:record></entry>\n`
  );
}

/** An item of a JSON Feed, as far as it is written. */
interface FeedItem {
  id?: string;
  url?: string;
  title?: string;
  summary?: string;
  date_published?: string;
  authors?: { name: string }[];
  [recordKey]: RawRecord;
}

/** A record by the order of the fields: the database keeps none. */
function inOrder(record: RawRecord, keys: readonly string[]): RawRecord {
  return Object.fromEntries(keys.flatMap((key) => (Object.hasOwn(record, key) ? [[key, record[key]] as const] : [])));
}

/** A post as JSON Feed 1.1 has it for whoever reads feeds, with the whole record beside it, which comes in again. */
function feedItem(record: RawRecord, keys: readonly string[], { fields, site }: Source): FeedItem {
  const said = (role: FieldRole) => {
    const field = fieldWithRole(fields, role);
    return field ? cellOf(record, field.key).trim() : '';
  };
  const address = (role: FieldRole) => {
    const text = said(role);
    return text !== '' && URL.canParse(text, site ?? undefined) ? new URL(text, site ?? undefined).href : '';
  };
  const published = Date.parse(said('published'));
  const item = {
    ...{ id: said('id') || said('link') || said('title'), url: address('link'), title: said('title') },
    ...{ summary: said('summary'), content_text: said('body') || said('summary') || said('title') },
    ...{ image: address('image'), date_published: Number.isNaN(published) ? '' : new Date(published).toISOString() },
  };
  const author = said('author');
  const own = Object.entries(item).filter(([, value]) => value !== '');
  return {
    ...Object.fromEntries(own),
    ...(author && { authors: [{ name: author }] }),
    [recordKey]: inOrder(record, keys),
  };
}

/** A value as one cell: lists as their texts, with a bar between. */
function cellOf(record: RawRecord, key: string): string {
  const raw = Object.hasOwn(record, key) ? record[key] : '';
  return typeof raw === 'string' ? raw : cellText(raw);
}

/** A cell as RFC 4180 writes it. */
function quoted(text: string): string {
  return /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}
