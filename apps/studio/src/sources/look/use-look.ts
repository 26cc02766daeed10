import type { LookView } from '@ivy/client';
import { useEffect, useState } from 'react';
import { api } from '../../api/api.js';

/** What is looked at: files, or an address with headers for it. */
export type Given =
  { kind: 'files'; files: readonly File[] } | { kind: 'address'; url: string; headers: Record<string, string> };

/** How it is read, where that is said. */
export interface ReadSettings {
  format?: LookView['format'];
  options: LookView['options'];
}

export type LookState =
  | { at: 'looking'; before: LookView | null }
  | { at: 'there'; look: LookView }
  | { at: 'failed'; words: string; before: LookView | null };

/**
 * Looks at what is given, again whenever it is to be read otherwise.
 * @param given, settings  the same objects as long as nothing changes
 */
export function useLook(given: Given, settings: ReadSettings): LookState {
  const [state, setState] = useState<LookState>({ at: 'looking', before: null });
  useEffect(() => {
    const stop = new AbortController();
    setState((was) => ({ at: 'looking', before: was.at === 'there' ? was.look : was.before }));
    look(given, settings, stop.signal).then(
      (found) => setState({ at: 'there', look: found }),
      (error: unknown) => {
        if (stop.signal.aborted) return;
        setState((was) => ({
          at: 'failed',
          words: (error as Error).message,
          before: was.at === 'there' ? was.look : was.before,
        }));
      },
    );
    return () => stop.abort();
  }, [given, settings]);
  return state;
}

async function look(given: Given, { format, options }: ReadSettings, signal: AbortSignal): Promise<LookView> {
  if (given.kind === 'address') {
    const { url, headers } = given;
    const body = { url, headers, options, ...(format && { format }) };
    return api.ask('post', '/api/v1/looks', {}, { body, signal });
  }
  const body = new FormData();
  if (format) body.append('format', format);
  body.append('options', JSON.stringify(options));
  for (const file of given.files) body.append('file', file);
  return (await (await api.fetch('/api/v1/looks', { method: 'POST', body, signal })).json()) as LookView;
}
