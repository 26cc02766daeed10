import type { FieldDescription, Finding, Lens, Rejection } from '@ivy/core';

export interface SourceSummary {
  slug: string;
  name: string;
  posts: number;
  fieldCount: number;
  findingCount: number;
  fileName: string;
  updatedAt: string;
}

export interface SourceView {
  slug: string;
  name: string;
  posts: number;
  format: string;
  fileName: string;
  site: string | null;
  updatedAt: string;
  fields: FieldDescription[];
  findings: Finding[];
  rejected: Rejection[];
}

export interface TermView {
  slug: string;
  label: string;
  parent: string | null;
  count: number;
  hidden: boolean;
  aliases: string[];
}

export interface LensSummary {
  slug: string;
  name: string;
  source: string;
  release: number | null;
  changed: boolean;
  updatedAt: string;
}

export interface LensView extends LensSummary {
  draft: Lens;
  draftRevision: number;
}

export interface ReleaseView {
  number: number;
  note: string;
  createdAt: string;
  config: Lens;
}

export interface JobView {
  id: string;
  state: 'running' | 'done' | 'failed' | 'cancelled';
  /** How many others come before it. */
  waits: number;
  done: number;
  /** 0 while it is not known. */
  total: number;
  rate: number;
  result?: unknown;
  problem?: { status: number; code: string; detail: string };
}

export interface AboutView {
  version: string;
  /** Origin that pages elsewhere reach the server by. */
  publicUrl: string | null;
}
