import type { FieldPreview } from '@ivy/client';
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
export function changeBack({
  type,
  role,
  label,
  separator,
  pathSeparator,
  dateOrder,
  left,
}: FieldDescription): FieldChange {
  return { type, role, label, separator, pathSeparator, dateOrder: dateOrder ?? null, left: left ?? false };
}
