import type { LensView } from '@ivy/client';
import type { Dispatch } from 'react';
import { api } from '../api/api.js';
import type { BenchAction } from './bench-state.js';
import type { DraftSaver, Saving } from './draft-saver.js';
import { Overtaken } from './saving-words.js';

interface Props {
  slug: string;
  saving: Saving;
  saver: DraftSaver;
  dispatch: Dispatch<BenchAction>;
}

/** Asks whose draft is to stand, where someone else saved theirs meanwhile. */
export function Overtaking({ slug, saving, saver, dispatch }: Props) {
  if (saving.at !== 'overtaken') return null;
  const theirs = (): Promise<LensView> => api.ask('get', '/api/v1/lenses/{slug}', { slug });
  const take = async () => {
    const view = await theirs();
    saver.adopt(view);
    dispatch({ type: 'load', lens: view.draft });
  };
  return <Overtaken onTheirs={() => void take()} onMine={() => void theirs().then((view) => saver.keepMine(view))} />;
}
