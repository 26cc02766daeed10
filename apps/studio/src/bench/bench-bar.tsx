import type { LensView, SourceView } from '@ivy/client';
import { changesBetween, keepNames } from '@ivy/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { countOf } from '../shared/figures.js';
import { Steps } from '../shared/steps.js';
import type { BenchState } from './bench-state.js';
import type { Saving } from './draft-saver.js';
import { SavingWords } from './saving-words.js';

interface Props {
  loaded: LensView;
  source: SourceView;
  state: BenchState;
  saving: Saving;
  undo: () => void;
  redo: () => void;
  onPublish: () => void;
}

/** What stands above the Bench: where one is, what is not released yet, steps back, and publishing. */
export function BenchBar({ loaded, source, state, saving, undo, redo, onPublish }: Props) {
  const since = useSinceRelease(loaded.slug, state.lens);
  return (
    <AppBar
      crumbs={[
        { label: 'Sources', to: '/sources' },
        { label: source.name, to: `/sources/${source.slug}` },
        { label: loaded.name },
      ]}
    >
      <SavingWords saving={saving} />
      {since !== '' && (
        <Link
          to={`/lenses/${loaded.slug}/publish`}
          className="me-1 text-[13px] font-semibold text-rust hover:underline max-[700px]:sr-only"
        >
          {since}
        </Link>
      )}
      <Steps canUndo={state.past.length > 0} canRedo={state.future.length > 0} onUndo={undo} onRedo={redo} />
      <button type="button" className="button button-main order-last" onClick={onPublish}>
        Publish
      </button>
    </AppBar>
  );
}

/** How far a lens is from what visitors have. */
function useSinceRelease(slug: string, lens: BenchState['lens']): string {
  const releases = useApi('/api/v1/lenses/{slug}/releases', { slug });
  const newest = releases.data?.[0];
  const changes = useMemo(
    () => (newest ? changesBetween(newest.config, keepNames(lens, [newest.config])) : []),
    [newest, lens],
  );
  if (!releases.data) return '';
  if (!newest) return 'Not released yet';
  return changes.length > 0 ? `${countOf(changes.length, 'change')} since release ${newest.number}` : '';
}
