import { ask } from '../api/api.js';
import type { SourceView } from '../api/types.js';

/** Brings a file in as a new source. */
export function bringIn(file: File, signal: AbortSignal): Promise<SourceView> {
  const body = new FormData();
  body.append('file', file);
  return ask<SourceView>('/sources', { method: 'POST', body, signal });
}
