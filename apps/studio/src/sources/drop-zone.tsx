import { useState } from 'react';
import { useNavigate } from 'react-router';
import { mutate } from 'swr';
import type { SourceSummary } from '@ivy/client';
import { holdFile } from './replace/held-file.js';
import { FileDrop } from './file-drop.js';
import { bringIn, type IntakeStage } from './bring-in.js';
import { IntakeProgress } from './intake-progress.js';

type State =
  | { at: 'rest' }
  | { at: 'reading'; file: string; stage: IntakeStage; stop: AbortController }
  | { at: 'asking'; file: File; source: SourceSummary }
  | { at: 'failed'; file: string; words: string };

/** Where a file is dropped, or chosen, to become a source. */
export function DropZone({ sources, shape = 'row' }: { sources: readonly SourceSummary[]; shape?: 'row' | 'lens' }) {
  const [state, setState] = useState<State>({ at: 'rest' });
  const navigate = useNavigate();

  /** A file that was brought in before may be meant to take the place of what it brought then. */
  const offer = (file: File) => {
    const source = sources.find(({ fileName }) => fileName === file.name);
    if (source) setState({ at: 'asking', file, source });
    else void take(file);
  };
  const replace = (file: File, slug: string) => {
    holdFile(file, slug);
    void navigate(`/sources/${slug}/replace`);
  };
  const take = async (file: File) => {
    const stop = new AbortController();
    const report = (stage: IntakeStage) => setState({ at: 'reading', file: file.name, stage, stop });
    try {
      const source = await bringIn(file, stop.signal, report);
      await mutate('/api/v1/sources');
      await navigate(`/sources/${source.slug}`);
    } catch (error) {
      if (stop.signal.aborted) setState({ at: 'rest' });
      else setState({ at: 'failed', file: file.name, words: (error as Error).message });
    }
  };

  return (
    <FileDrop
      label="File of posts"
      shape={shape}
      onFile={offer}
      instead={
        state.at === 'reading' ? (
          <button type="button" className="button" onClick={() => state.stop.abort()}>
            Cancel
          </button>
        ) : state.at === 'asking' ? (
          <span className="flex flex-col gap-1.5">
            <button
              type="button"
              className="button button-main"
              autoFocus
              onClick={() => replace(state.file, state.source.slug)}
            >
              Replace its posts
            </button>
            <button type="button" className="button" onClick={() => void take(state.file)}>
              A new source
            </button>
          </span>
        ) : undefined
      }
    >
      <div className="min-w-0 flex-1 max-sm:basis-3/5" aria-live="polite">
        {state.at === 'reading' ? (
          <IntakeProgress file={state.file} stage={state.stage} />
        ) : state.at === 'asking' ? (
          <p className="serif text-[17px] font-semibold">
            {state.file.name} was brought in before, as {state.source.name}
          </p>
        ) : (
          <p className="serif text-[17px] font-semibold">Drop a file of posts here</p>
        )}
        {state.at === 'failed' ? (
          <p className="mt-0.5 text-bad" role="alert">
            <b className="font-semibold">{state.file}:</b> {state.words} Nothing was changed.
          </p>
        ) : state.at === 'asking' ? (
          <p className="mt-0.5 text-ink-2">Is it to take the place of those posts? What it changes is shown first.</p>
        ) : state.at === 'reading' ? null : (
          <p className="mt-0.5 text-ink-2">
            CSV or JSON. Every field is read as it really is, and nothing is kept of a file that can’t be read.
          </p>
        )}
      </div>
    </FileDrop>
  );
}
