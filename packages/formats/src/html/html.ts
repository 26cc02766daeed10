import type { RawRecord } from '@ivy/core';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenText, Reading } from '../format.js';
import { limits } from '../limits.js';
import { attribute, checkNesting, documentOf, elementsOf } from './elements.js';
import { thingsInJsonLd } from './json-ld.js';
import { thingsInMicrodata } from './microdata.js';
import { recordsInMicroformats } from './microformats.js';
import { recordsInRepeated } from './repeated.js';
import { recordOfThing } from './thing.js';

export const html: Format = {
  name: 'html',
  label: 'a page (HTML)',
  endings: ['html', 'htm', 'xhtml'],
  types: ['text/html', 'application/xhtml+xml'],
  isPlain: true,
  begins: (start) => /^(?:<!--[^]*?-->\s*)?(?:<!doctype html|<html|<head|<body)/i.test(start),
  read: readHtml,
};

/** Items from which on a page is a listing where it marks its items. */
const least = 2;

/**
 * Reads the listing on a page: by microformats2, microdata or JSON-LD, whichever marks most; and where it marks nothing, by
 * what repeats on it.
 */
function readHtml({ text, address = '' }: GivenText): Reading {
  const document = documentOf(text);
  checkNesting(document);
  const base = baseOf(document, address);
  const marked: RawRecord[][] = [
    recordsInMicroformats(document, base),
    thingsInMicrodata(document, base).map((thing) => recordOfThing(thing, base)),
    thingsInJsonLd(document).map((thing) => recordOfThing(thing, base)),
  ];
  const [most] = marked
    .map((list) => list.filter(saysSomething))
    .sort((a, b) => b.length - a.length || said(b) - said(a));
  const records = most!.length >= least ? most! : recordsInRepeated(document, base).filter(saysSomething);
  const all = records.length > 0 ? records : most!;
  if (all.length === 0) {
    const words =
      'Nothing on this page repeats as posts do. Give the address of a page that lists them, or press them there.';
    throw new FileProblem('no-posts', words);
  }
  if (all.length > limits.records) throw new FileProblem('too-many', `The page has more than ${limits.records} posts.`);
  return { records: all };
}

function saysSomething(record: RawRecord): boolean {
  return Object.keys(record).length > 0;
}

function said(records: readonly RawRecord[]): number {
  return records.slice(0, 20).reduce((sum, record) => sum + Object.keys(record).length, 0);
}

/** What addresses on a page are relative to. */
function baseOf(document: ReturnType<typeof documentOf>, address: string): string {
  for (const element of elementsOf(document)) {
    if (element.tagName !== 'base') continue;
    const href = attribute(element, 'href');
    return URL.canParse(href, address || undefined) ? new URL(href, address || undefined).href : address;
  }
  return address;
}
