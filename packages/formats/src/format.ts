import type { Records, Rejection } from '@ivy/core';
import type { Join } from './endpoint/joins.js';

/** What posts can come in. One module each, registered in `formats.ts`. */
export const fileFormats = [
  'csv',
  'tsv',
  'json',
  'ndjson',
  'jsonfeed',
  'rss',
  'atom',
  'markdown',
  'html',
  'ics',
  'xlsx',
] as const;
export type FileFormat = (typeof fileFormats)[number];

/** Encodings that texts come in, by the names that WHATWG's Encoding Standard has for them. */
export const encodings = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1250',
  'windows-1251',
  'windows-1252',
  'macintosh',
] as const;
export type Encoding = (typeof encodings)[number];

/** How a file is read, where that is not what was found: each is told by itself where it is not said. */
export interface ReadOptions {
  encoding?: Encoding;
  /** Sign between cells, and the one around a cell that holds it. */
  delimiter?: ',' | ';' | '\t' | '|';
  quote?: '"' | "'";
  /** Whether a line names the columns, and how many lines stand above it. */
  header?: boolean;
  skip?: number;
  /** Where in JSON the list of posts stands, as a JSON pointer. */
  path?: string;
  /** Whether folders of Markdown files become terms. */
  folders?: boolean;
  /** Months from today on up to which events that recur are listed. */
  months?: number;
}

/** A list in a JSON document that could be the posts. */
export interface JsonList {
  /** Its JSON pointer. */
  path: string;
  records: number;
  /** The first few names its objects have. */
  names: string[];
}

/** One file, or one of several. */
export interface GivenFile {
  /** With the folders it is in, where it comes from a packed file. */
  name: string;
  bytes: Uint8Array;
  /** Where it came from, and the media type it came as. */
  address?: string;
  type?: string;
  /** What the field calls it that tells of which file, or feed, a post is. */
  label?: string;
}

/** Records as a format reads them. */
export interface Reading {
  records: Records;
  /** Rows that could not be read, and why. */
  rejected?: Rejection[];
  /** How they were read, so that it can be shown and said otherwise. */
  options?: ReadOptions;
  /** Of JSON: all lists there are, where there are several; and ids that others of them have names for. */
  lists?: JsonList[];
  joins?: Join[];
}

/** A text to be read, and what is known about where it came from. */
export interface GivenText {
  name: string;
  text: string;
  /** Where it came from, which what it says is relative to. */
  address?: string;
  options: ReadOptions;
  /** The day it is, `YYYY-MM-DD`, where events recur without end. */
  today: string;
}

/** One format: how it is told from others, and how it is read. */
export interface Format {
  readonly name: FileFormat;
  /** As people call it. */
  readonly label: string;
  /** Endings of file names, without their dots, and media types. */
  readonly endings: readonly string[];
  readonly types: readonly string[];
  /** Whether a text that begins so could be of this format; and whether it is, whatever it is called. */
  readonly begins?: (start: string) => boolean;
  readonly isPlain?: boolean;
  /** @throws FileProblem with a sentence for people */
  readonly read: (given: GivenText) => Reading;
}
