import type { LensView, SourceView } from '@ivy/client';
import type { Answer, Lens } from '@ivy/core';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useMemo, useReducer, useState } from 'react';
import { Link } from 'react-router';
import { refreshAll, useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { benchReducer, startBench } from '../bench/bench-state.js';
import { huesOf } from '../bench/edits.js';
import { LensPlace } from '../bench/lens-place.js';
import { Overtaking } from '../bench/overtaking.js';
import { SavingWords } from '../bench/saving-words.js';
import { useSaving } from '../bench/use-saving.js';
import { useDryRuns } from '../dry-run/use-dry-runs.js';
import { Steps } from '../shared/steps.js';
import { useUndoKeys } from '../shared/use-undo-keys.js';
import type { DryRuns } from '../dry-run/dry-runs.js';
import { FoundBand } from './found-band.js';
import { nameRows, usesOf } from './names.js';
import { Plate } from './plate.js';
import { SavedAddresses } from './saved-addresses.js';

/** What a lens's addresses may say, and the addresses that someone relies on. */
export function AddressesPage() {
  return (
    <LensPlace words="Reading the addresses">
      {(lens, source) => <Addresses key={lens.slug} loaded={lens} source={source} />}
    </LensPlace>
  );
}

const nothing = () => undefined;

function Addresses({ loaded, source }: { loaded: LensView; source: SourceView }) {
  const { slug } = loaded;
  const [state, dispatch] = useReducer(benchReducer, loaded.draft, (draft) => startBench(draft));
  const { lens } = state;
  const { saving, saver } = useSaving(slug, lens, loaded, refreshSoon);
  const dryRuns = useDryRuns(loaded, source);
  const answer = useFirstAnswer(dryRuns, lens);
  const saved = useApi('/api/v1/lenses/{slug}/addresses', { slug });
  const hues = huesOf(lens.facets);
  const uses = useMemo(() => usesOf(saved.data ?? []), [saved.data]);
  const undo = () => dispatch({ type: 'undo' });
  const redo = () => dispatch({ type: 'redo' });
  useUndoKeys(undo, redo);
  const edit = (next: Lens, topic?: string) =>
    dispatch({ type: 'edit', lens: next, ...(topic !== undefined && { topic }) });
  return (
    <div className="flex h-full flex-col max-[900px]:h-auto">
      <AppBar
        crumbs={[
          { label: 'Sources', to: '/sources' },
          { label: source.name, to: `/sources/${source.slug}` },
          { label: loaded.name, to: `/lenses/${slug}` },
          { label: 'Addresses' },
        ]}
      >
        <SavingWords saving={saving} />
        <Steps canUndo={state.past.length > 0} canRedo={state.future.length > 0} onUndo={undo} onRedo={redo} />
        <Link to={`/lenses/${slug}`} className="button" aria-label="Back to the bench">
          <ArrowLeft size={15} /> <span className="max-sm:sr-only">Back to the bench</span>
        </Link>
      </AppBar>
      <Overtaking {...{ slug, saving, saver, dispatch }} />
      <div className="flex min-h-0 flex-1 max-[900px]:block">
        <Plate {...{ slug, lens, hues, uses }} rows={nameRows(lens, source.fields, answer)} onEdit={edit} />
        <main className="flex min-w-0 flex-1 flex-col bg-raised">
          <SavedAddresses
            {...{ slug, lens, hues }}
            saved={saved.data}
            error={saved.error}
            retry={() => void saved.mutate()}
            hasRelease={loaded.release !== null}
          />
        </main>
      </div>
      <FoundBand {...{ slug, lens, hues, dryRuns, answer }} name={loaded.name} onEdit={edit} />
    </div>
  );
}

/** Once the draft is saved, all that is told of it is told anew. */
function refreshSoon(): void {
  void refreshAll().catch(nothing);
}

/** What the lens answers where an address says nothing: examples of values come from it. */
function useFirstAnswer(dryRuns: DryRuns, lens: Lens): Answer | undefined {
  const [answer, setAnswer] = useState<Answer>();
  useEffect(() => {
    const left = new AbortController();
    dryRuns
      .run(lens, '', left.signal)
      .then((dryRun) => setAnswer(dryRun.answer))
      // settings that can't work have no examples; the Bench says what is wrong
      .catch(nothing);
    return () => left.abort();
  }, [dryRuns, lens]);
  return answer;
}
