import { isRemark, type FieldDescription, type Finding, type Rejection } from '@ivy/core';
import type { LiveView } from '../live/live.view.js';
import type { Source } from '../../database/source.entity.js';

/** What a field holds, and how many posts have it. */
export interface FieldGlance {
  key: string;
  label: string;
  type: FieldDescription['type'];
  filled: number;
}

/** Fields of a source that a list shows at most. */
const fieldsShown = 24;

/** A source in a list. */
export interface SourceSummary {
  slug: string;
  name: string;
  posts: number;
  /** How many fields it has. */
  fieldCount: number;
  /** How many findings it has. */
  findingCount: number;
  /** Its first fields, as far as one sees at a glance. */
  fields: FieldGlance[];
  fileName: string;
  /** Moment, as ISO 8601 writes it. */
  updatedAt: string;
  /** How it is with one that comes from an address; null for one of a file. */
  live: LiveView['state'] | null;
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
  /** Where it comes from by itself; null for one of a file. */
  live: LiveView | null;
}

export function summaryOf(source: Source, live: LiveView | null): SourceSummary {
  const { slug, name, posts, fileName } = source;
  return {
    slug,
    name,
    posts,
    fileName,
    fieldCount: source.fields.length,
    findingCount: source.findings.filter((finding) => !isRemark(finding)).length,
    fields: source.fields.slice(0, fieldsShown).map(({ key, label, type, filled }) => ({ key, label, type, filled })),
    updatedAt: source.updatedAt.toISOString(),
    live: live?.state ?? null,
  };
}

export function viewOf(source: Source, live: LiveView | null): SourceView {
  const { slug, name, posts, format, fileName, site, fields, findings, rejected } = source;
  return {
    slug,
    name,
    posts,
    format,
    fileName,
    site,
    fields: fields.map((field) => ({ ...field, left: field.left ?? false })),
    findings,
    rejected,
    live,
    updatedAt: source.updatedAt.toISOString(),
  };
}
