import type { TermChangeView, TermEffect } from '@ivy/client';
import { api } from '../../api/api.js';

/** What is done to the terms of a field. */
export type TermAct =
  | { does: 'change'; term: string; body: TermBody }
  | { does: 'merge'; from: string; into: string }
  | { does: 'remove'; term: string }
  | { does: 'add'; body: { label: string; parent: string | null } };

/** What is to be another of a term. */
export interface TermBody {
  label?: string;
  slug?: string;
  parent?: string | null;
  position?: number;
  hidden?: boolean;
  picture?: string | null;
  colour?: string | null;
}

const methods = { change: 'PATCH', merge: 'POST', remove: 'DELETE', add: 'POST' };

/** Does something to terms, or only looks at what it would come to. */
export async function sendTerm(slug: string, field: string, act: TermAct, keeps: boolean): Promise<TermEffect> {
  const own = act.does === 'merge' ? '/merge' : act.does === 'add' ? '' : `/${encodeURIComponent(act.term)}`;
  const body = act.does === 'remove' ? null : act.does === 'merge' ? { from: [act.from], into: act.into } : act.body;
  const response = await api.fetch(`${termsAt(slug, field)}${own}${keeps ? '' : '?preview=1'}`, {
    method: methods[act.does],
    ...(body && { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  return (await response.json()) as TermEffect;
}

/** Takes the newest change back, or makes the last one that was taken back again. */
export async function stepTerms(slug: string, field: string, way: 'undo' | 'redo'): Promise<TermChangeView> {
  const response = await api.fetch(`${termsAt(slug, field)}/${way}`, { method: 'POST' });
  return (await response.json()) as TermChangeView;
}

function termsAt(slug: string, field: string): string {
  return `/api/v1/sources/${encodeURIComponent(slug)}/terms/${encodeURIComponent(field)}`;
}

/** Brings a taxonomy in, in SKOS. */
export function sendTaxonomy(slug: string, field: string, file: File): Promise<TermEffect> {
  const body = new FormData();
  body.append('file', file);
  return api.ask('post', '/api/v1/sources/{slug}/terms/{field}/import', { slug, field }, { body });
}
