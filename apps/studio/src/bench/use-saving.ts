import type { Lens } from '@ivy/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiProblem, Unreachable } from '@ivy/client';
import { api } from '../api/api.js';
import type { LensView } from '@ivy/client';

export type Saving =
  | { at: 'saved' }
  | { at: 'saving' }
  /** The server does not answer; it is tried again. */
  | { at: 'offline' }
  /** Someone else saved first. */
  | { at: 'overtaken' }
  | { at: 'refused'; problem: ApiProblem };

const pauseBeforeSaving = 350;
const pauseBeforeRetry = 2500;

/**
 * Saves the draft in the background, one save at a time, each made from the revision before it.
 * @returns where saving stands, and `keepMine`, which saves over what someone else saved
 */
export function useSaving(slug: string, lens: Lens, loaded: LensView, onSaved: (view: LensView) => void) {
  const [saving, setSaving] = useState<Saving>({ at: 'saved' });
  const revision = useRef(loaded.draftRevision);
  const kept = useRef<Lens>(loaded.draft);
  const newest = useRef(lens);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  newest.current = lens;
  const tell = useRef(onSaved);
  tell.current = onSaved;

  const save = useCallback(async () => {
    if (busy.current || newest.current === kept.current) return;
    busy.current = true;
    const sent = newest.current;
    setSaving({ at: 'saving' });
    try {
      const view = await api.ask(
        'put',
        '/api/v1/lenses/{slug}/draft',
        { slug },
        {
          body: { config: sent },
          headers: { 'if-match': `"${revision.current}"` },
        },
      );
      revision.current = view.draftRevision;
      kept.current = sent;
      tell.current(view);
      setSaving({ at: 'saved' });
      busy.current = false;
      // what was changed meanwhile
      void save();
    } catch (error) {
      busy.current = false;
      if (error instanceof Unreachable) {
        setSaving({ at: 'offline' });
        timer.current = setTimeout(() => void save(), pauseBeforeRetry);
      } else if (error instanceof ApiProblem && error.status === 412) setSaving({ at: 'overtaken' });
      else if (error instanceof ApiProblem) setSaving({ at: 'refused', problem: error });
      else throw error;
    }
  }, [slug]);

  useEffect(() => {
    if (lens === kept.current) {
      // undone to what is saved: nothing is refused any more, nor is there anything to save
      setSaving((now) => (now.at === 'refused' || (now.at === 'saving' && !busy.current) ? { at: 'saved' } : now));
      return;
    }
    setSaving((now) => (now.at === 'overtaken' ? now : { at: 'saving' }));
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void save(), pauseBeforeSaving);
    return () => clearTimeout(timer.current);
  }, [lens, save]);

  useEffect(() => {
    // closing the tab asks first; going elsewhere in the studio saves on the way out
    const leave = (event: BeforeUnloadEvent) => {
      if (newest.current !== kept.current) event.preventDefault();
    };
    addEventListener('beforeunload', leave);
    return () => {
      removeEventListener('beforeunload', leave);
      void save();
    };
  }, [save]);

  /** Takes a draft as the saved one. */
  const adopt = useCallback((view: LensView) => {
    revision.current = view.draftRevision;
    kept.current = view.draft;
    setSaving({ at: 'saved' });
  }, []);

  /** Saves over what someone else saved. */
  const keepMine = useCallback(
    (theirs: LensView) => {
      revision.current = theirs.draftRevision;
      void save();
    },
    [save],
  );

  /** Saves at once what is not saved yet, such as before publishing; true when all of it is. */
  const flush = useCallback(async () => {
    clearTimeout(timer.current);
    await save();
    return newest.current === kept.current;
  }, [save]);

  return { saving, adopt, keepMine, flush };
}
