import type { RunMade } from '@ivy/client';
import { api } from '../../api/api.js';

/** A file in place of the posts of a source: what it would change, or done. */
export async function sendPosts(
  slug: string,
  file: File,
  { keeps, keepsMissing, signal }: { keeps: boolean; keepsMissing: boolean; signal?: AbortSignal },
): Promise<RunMade> {
  const body = new FormData();
  if (keepsMissing) body.append('keep', 'missing');
  body.append('file', file);
  const path = `/api/v1/sources/${encodeURIComponent(slug)}/posts${keeps ? '' : '?preview=1'}`;
  const response = await api.fetch(path, { method: 'PUT', body, ...(signal && { signal }) });
  return (await response.json()) as RunMade;
}

/** Puts the posts back to what they were before a run. */
export async function undoRun(slug: string, id: number): Promise<void> {
  await api.ask('post', '/api/v1/sources/{slug}/runs/{id}/undo', { slug, id });
}
