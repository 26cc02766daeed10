import type { TermChangeView, TermView } from '@ivy/client';
import { useState } from 'react';
import { mutate } from 'swr';
import { useApi } from '../../api/api.js';
import { tellTabs } from '../../api/tabs.js';
import { sendTaxonomy, sendTerm, stepTerms, type TermAct } from './term-act.js';

/** The terms of a field in hand. */
export interface Shaping {
  slug: string;
  field: string;
  terms: readonly TermView[] | undefined;
  error: Error | undefined;
  retry: () => void;
  /** The newest first. */
  changes: readonly TermChangeView[];
  isBusy: boolean;
  /** What was done last, or why it could not be. */
  said: string;
  problem: string;
  /** @returns the term there is then; undefined where it could not be done */
  act: (act: TermAct) => Promise<string | null | undefined>;
  step: (way: 'undo' | 'redo') => Promise<void>;
  /** Has terms be as a taxonomy in SKOS has them; what it does not know stays. */
  bring: (file: File) => Promise<void>;
}

/** Does things to terms, one at a time, and asks anew for all that hangs on them. */
export function useShaping(slug: string, field: string): Shaping {
  const parts = { slug, field };
  const {
    data: terms,
    error,
    mutate: again,
  } = useApi('/api/v1/sources/{slug}/terms/{field}', parts, { keepPreviousData: true });
  const { data: changes = [] } = useApi('/api/v1/sources/{slug}/terms/{field}/changes', parts);
  const [isBusy, setBusy] = useState(false);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const run = async <T>(work: () => Promise<T>, say: (done: T) => string): Promise<T | undefined> => {
    if (isBusy) return undefined;
    setBusy(true);
    setProblem('');
    try {
      const done = await work();
      tellTabs();
      await mutate((key) => typeof key === 'string' && key.startsWith(`/api/v1/sources/${encodeURIComponent(slug)}`));
      setSaid(say(done));
      return done;
    } catch (failure) {
      setProblem((failure as Error).message);
      return undefined;
    } finally {
      setBusy(false);
    }
  };
  return {
    ...{ slug, field, terms, error, changes, isBusy, said, problem },
    retry: () => void again(),
    act: async (act) =>
      (
        await run(
          () => sendTerm(slug, field, act, true),
          ({ text }) => text,
        )
      )?.term,
    bring: async (file) => {
      await run(
        () => sendTaxonomy(slug, field, file),
        ({ text }) => text,
      );
    },
    step: async (way) => {
      await run(
        () => stepTerms(slug, field, way),
        ({ text }) => (way === 'undo' ? `Undone: ${text}` : `Done again: ${text}`),
      );
    },
  };
}
