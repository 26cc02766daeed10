import type { LensView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { DraftSaver, type Saving } from './draft-saver.js';

/**
 * Saves the draft in the background for as long as the Bench is open.
 * @param onSaved  called after each save; of later ones than the first given, none is heard
 */
export function useSaving(
  slug: string,
  lens: Lens,
  loaded: LensView,
  onSaved: () => void,
): { saving: Saving; saver: DraftSaver } {
  const [saver] = useState(() => new DraftSaver(slug, loaded, onSaved));
  const saving = useSyncExternalStore(saver.subscribe, saver.state);
  useEffect(() => saver.change(lens), [saver, lens]);
  useEffect(() => {
    // closing the tab asks first; going elsewhere in the studio saves on the way out
    const leave = (event: BeforeUnloadEvent) => {
      if (!saver.isSaved) event.preventDefault();
    };
    addEventListener('beforeunload', leave);
    return () => {
      removeEventListener('beforeunload', leave);
      void saver.flush();
    };
  }, [saver]);
  return { saving, saver };
}
