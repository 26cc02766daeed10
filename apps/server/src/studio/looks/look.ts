import { cellText, discoverFields, type FieldRole, type FieldType, type Rejection } from '@ivy/core';
import { labelOf, type FileFormat, type FileReading, type JsonList, type ReadOptions } from '@ivy/formats';

/** What a file or an address holds, before anything of it is kept. */
export interface LookView {
  format: FileFormat;
  /** What people call that format. */
  label: string;
  /** How it was read, so that it can be said otherwise. */
  options: ReadOptions;
  /** Lists in JSON that could be the posts, the likeliest first, where there are several. */
  lists: JsonList[];
  records: number;
  /** Rows that can’t be read: how many, and the first of them. */
  rejected: { count: number; first: Rejection[] };
  /** Fields as they would be read, and their values in the first rows. */
  fields: { key: string; label: string; type: FieldType; role: FieldRole | null }[];
  rows: string[][];
  /** Of an address: how its posts go on, what was found by trying, and whether all of them were looked at. */
  paging: string | null;
  found: string[];
  /** Feeds that a list of feeds names. */
  feeds: { address: string; name: string; under: string[] }[];
}

/** Rows, fields and letters of a value that are shown. */
const shown = { rows: 8, fields: 40, letters: 160, rejected: 8 };

export function lookOf(reading: FileReading): LookView {
  const { format, records, options = {}, lists = [], rejected = [] } = reading;
  const fields = discoverFields(records).slice(0, shown.fields);
  const rows: string[][] = [];
  for (const record of records) {
    if (rows.length === shown.rows) break;
    rows.push(fields.map(({ key }) => cellText(Object.hasOwn(record, key) ? record[key] : '').slice(0, shown.letters)));
  }
  return {
    ...{ format, label: labelOf(format), options, lists, records: records.length },
    rejected: { count: rejected.length, first: rejected.slice(0, shown.rejected) },
    fields: fields.map(({ key, label, type, role }) => ({ key, label, type, role })),
    ...{ rows, paging: null, found: [], feeds: [] },
  };
}

/** A list of feeds, of which none was read yet. */
export function lookOfFeeds(feeds: LookView['feeds']): LookView {
  return {
    ...{ format: 'rss', label: 'a list of feeds (OPML)', options: {}, lists: [], records: 0 },
    ...{ rejected: { count: 0, first: [] }, fields: [], rows: [], paging: null, found: [], feeds },
  };
}
