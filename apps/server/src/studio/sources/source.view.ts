import type { FieldDescription, Finding, Rejection, TermColumn } from '@ivy/core';
import { ApiProperty } from '@nestjs/swagger';
import type { Source } from '../../database/source.entity.js';

/** A source in a list. */
export class SourceSummary {
  @ApiProperty() slug: string;
  @ApiProperty() name: string;
  @ApiProperty() posts: number;
  @ApiProperty({ description: 'How many fields it has.' }) fieldCount: number;
  @ApiProperty({ description: 'How many findings it has.' }) findingCount: number;
  @ApiProperty() fileName: string;
  @ApiProperty({ format: 'date-time' }) updatedAt: string;
}

/** A source with all that was found in it. */
export class SourceView {
  @ApiProperty() slug: string;
  @ApiProperty() name: string;
  @ApiProperty() posts: number;
  @ApiProperty() format: string;
  @ApiProperty() fileName: string;
  @ApiProperty({ type: String, nullable: true }) site: string | null;
  @ApiProperty({ format: 'date-time' }) updatedAt: string;
  @ApiProperty({ type: 'array', items: { type: 'object' } }) fields: FieldDescription[];
  @ApiProperty({ type: 'array', items: { type: 'object' } }) findings: Finding[];
  @ApiProperty({ type: 'array', items: { type: 'object' } }) rejected: Rejection[];
}

/** A term of a source, and how many posts stand under it. */
export class TermView {
  @ApiProperty() slug: string;
  @ApiProperty() label: string;
  @ApiProperty({ type: String, nullable: true }) parent: string | null;
  @ApiProperty() count: number;
  @ApiProperty() hidden: boolean;
  @ApiProperty({ type: [String] }) aliases: string[];
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
