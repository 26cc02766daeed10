import type { FieldDescription, Finding, Rejection, TermColumn } from '@ivy/core';
import type { Source } from '../../database/source.entity.js';

/** A source in a list. */
export interface SourceSummary {
  slug: string;
  name: string;
  posts: number;
  /** How many fields it has. */
  fieldCount: number;
  /** How many findings it has. */
  findingCount: number;
  fileName: string;
  /** Moment, as ISO 8601 writes it. */
  updatedAt: string;
}

/** A source with all that was found in it. */
export interface SourceView {
  slug: string;
  name: string;
  posts: number;
  format: string;
  fileName: string;
  /** Origin that links and pictures without one belong to. */
  site: string | null;
  /** Moment, as ISO 8601 writes it. */
  updatedAt: string;
  fields: FieldDescription[];
  findings: Finding[];
  rejected: Rejection[];
}

/** A term of a source, and how many posts stand under it. */
export interface TermView {
  slug: string;
  label: string;
  parent: string | null;
  count: number;
  hidden: boolean;
  aliases: string[];
}

/** All terms of a column, depth first in given order. */
export function termViews({ terms, sizes }: TermColumn): TermView[] {
  return terms.map(({ slug, label, parent, hidden = false, aliases = [] }, t) => ({
    slug,
    label,
    parent,
    count: sizes[t]!,
    hidden,
    aliases,
  }));
}

export function summaryOf(source: Source): SourceSummary {
  const { slug, name, posts, fileName } = source;
  return {
    slug,
    name,
    posts,
    fileName,
    fieldCount: source.fields.length,
    findingCount: source.findings.filter((finding) => finding.code !== 'gaps').length,
    updatedAt: source.updatedAt.toISOString(),
  };
}

export function viewOf(source: Source): SourceView {
  const { slug, name, posts, format, fileName, site, fields, findings, rejected } = source;
  return {
    slug,
    name,
    posts,
    format,
    fileName,
    site,
    fields,
    findings,
    rejected,
    updatedAt: source.updatedAt.toISOString(),
  };
}
