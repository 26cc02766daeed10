import type { FieldPreview, MendMade } from '@ivy/client';
import type { FieldChange, FieldDescription } from '@ivy/core';
import { api } from '../api/api.js';

const pathOf = (slug: string, key: string) =>
  `/api/v1/sources/${encodeURIComponent(slug)}/fields/${encodeURIComponent(key)}`;

async function send(path: string, change: FieldChange, signal?: AbortSignal): Promise<FieldPreview> {
  const headers = { 'content-type': 'application/json' };
  const response = await api.fetch(path, {
    method: 'PATCH',
    headers,
    body: JSON.stringify(change),
    ...(signal && { signal }),
  });
  return (await response.json()) as FieldPreview;
}

/** What a change of a field would come to. */
export function previewField(
  slug: string,
  key: string,
  change: FieldChange,
  signal: AbortSignal,
): Promise<FieldPreview> {
  return send(`${pathOf(slug, key)}?preview=1`, change, signal);
}

/** Changes a field for good. */
export function keepField(slug: string, key: string, change: FieldChange): Promise<FieldPreview> {
  return send(pathOf(slug, key), change);
}

/** All that would be said to have a field as it is now: what undoes a change of it. */
export function changeBack(field: FieldDescription): FieldChange {
  const { type, role, label, separator, pathSeparator, left = false } = field;
  const { dateOrder = null, parent = null, end = null, unit = null, words = null, reference = null, by = null } = field;
  return {
    type,
    role,
    label,
    separator,
    pathSeparator,
    dateOrder,
    parent,
    end,
    unit,
    words,
    reference,
    by,
    left,
  };
}

async function sendMend(slug: string, wanted: object, keeps: boolean): Promise<MendMade> {
  const path = `/api/v1/sources/${encodeURIComponent(slug)}/mends${keeps ? '' : '?preview=1'}`;
  const headers = { 'content-type': 'application/json' };
  const response = await api.fetch(path, { method: 'POST', headers, body: JSON.stringify(wanted) });
  return (await response.json()) as MendMade;
}

/** What a mend of a finding would do; with `keeps`, it is done. */
export function mend(slug: string, finding: string, id: string, keeps: boolean): Promise<MendMade> {
  return sendMend(slug, { finding, mend: id }, keeps);
}

/** The same for all findings of a kind, each mended in the way that is advised for it. */
export function mendAll(slug: string, code: string, keeps: boolean): Promise<MendMade> {
  return sendMend(slug, { code }, keeps);
}

/** The same for values that a person wrote something else for. */
export function writeValues(
  slug: string,
  field: string,
  values: Record<string, string>,
  keeps: boolean,
): Promise<MendMade> {
  return sendMend(slug, { field, values }, keeps);
}

/** Takes a mend back: values are read as they came. */
export async function unmend(slug: string, id: string): Promise<void> {
  await api.ask('delete', '/api/v1/sources/{slug}/mends/{id}', { slug, id });
}
