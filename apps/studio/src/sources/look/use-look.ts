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

/** What a look came to, and of what it was one. */
interface Looked {
  given: Given;
  settings: ReadSettings;
  /** Null where it failed, which `words` tell. */
  look: LookView | null;
  words: string;
  /** What was seen last. */
  seen: LookView | null;
}

/**
 * Looks at what is given, again whenever it is to be read otherwise.
 * @param given, settings  the same objects as long as nothing changes
 */
export function useLook(given: Given, settings: ReadSettings): LookState {
  const [looked, setLooked] = useState<Looked | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    const keep = (found: LookView | null, words: string) => {
      if (stop.signal.aborted) return;
      setLooked((was) => ({ given, settings, look: found, words, seen: found ?? was?.seen ?? null }));
    };
    look(given, settings, stop.signal).then(
      (found) => keep(found, ''),
      (error: unknown) => keep(null, (error as Error).message),
    );
    return () => stop.abort();
  }, [given, settings]);
  const before = looked?.seen ?? null;
  if (looked?.given !== given || looked.settings !== settings) return { at: 'looking', before };
  return looked.look ? { at: 'there', look: looked.look } : { at: 'failed', words: looked.words, before };
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
