import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { mutate } from 'swr';
import type { SourceSummary } from '@ivy/client';
import { alikeFile } from './look/alike.js';
import { holdFiles } from './look/given.js';
import { holdFile } from './replace/held-file.js';
import { FileDrop } from './file-drop.js';
import { bringIn, type IntakeStage } from './bring-in.js';
import { IntakeProgress } from './intake-progress.js';

/** What holds more than one list, or many files: it is looked at before it is kept. */
const mayBeOtherwise = /\.(?:zip|html?|xhtml|opml|xlsx|ics)$/i;

type State =
  | { at: 'rest' }
  | { at: 'reading'; file: string; stage: IntakeStage; stop: AbortController }
  /** Whether it goes by the name that the source was brought in by, or has its fields. */
  | { at: 'asking'; file: File; source: SourceSummary; by: 'name' | 'fields' }
  | { at: 'failed'; file: File; words: string };

/** Where a file is dropped, or chosen, to become a source. */
export function DropZone({ sources, shape = 'row' }: { sources: readonly SourceSummary[]; shape?: 'row' | 'lens' }) {
  const [state, setState] = useState<State>({ at: 'rest' });
  const navigate = useNavigate();
  const looksFirst = useRef(false);

  /** What is given is looked at first, and kept from there. */
  const lookAt = (files: readonly File[]) => {
    holdFiles(files);
    void navigate('/look');
  };
  const give = (files: readonly File[]) => {
    const [file] = files;
    const isLooked = looksFirst.current || files.length > 1 || mayBeOtherwise.test(file!.name);
    looksFirst.current = false;
    if (isLooked) lookAt(files);
    else offer(file!);
  };
  /** A file that was brought in before may be meant to take the place of what it brought then. */
  const offer = (file: File) => {
    const source = sources.find(({ fileName }) => fileName === file.name);
    if (source) setState({ at: 'asking', file, source, by: 'name' });
    else void offerByFields(file);
  };
  /** What comes each month goes by another name each time, and has the same fields. */
  const offerByFields = async (file: File) => {
    const stop = new AbortController();
    setState({ at: 'reading', file: file.name, stage: { at: 'sending' }, stop });
    try {
      const source = await alikeFile(file, sources, stop.signal);
      if (source) setState({ at: 'asking', file, source, by: 'fields' });
      else await take(file);
    } catch {
      setState({ at: 'rest' });
    }
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
      else setState({ at: 'failed', file, words: (error as Error).message });
    }
  };

  return (
    <FileDrop
      label="File of posts"
      shape={shape}
      onFiles={give}
      takesSeveral
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
            {state.by === 'name'
              ? `${state.file.name} was brought in before, as ${state.source.name}`
              : `${state.file.name} has the fields of ${state.source.name}`}
          </p>
        ) : (
          <p className="serif text-[17px] font-semibold">Drop a file of posts here</p>
        )}
        {state.at === 'failed' ? (
          <p className="mt-0.5 text-bad" role="alert">
            <b className="font-semibold">{state.file.name}:</b> {state.words} Nothing was changed.{' '}
            <button type="button" className="link font-semibold" onClick={() => lookAt([state.file])}>
              Read it otherwise
            </button>
          </p>
        ) : state.at === 'asking' ? (
          <p className="mt-0.5 text-ink-2">Is it to take the place of those posts? What it changes is shown first.</p>
        ) : state.at === 'reading' ? null : (
          <p className="mt-0.5 text-ink-2">
            A table, JSON, a feed, a calendar, a page, Markdown or a zip of them.{' '}
            <button
              type="button"
              className="link"
              onClick={(event) => {
                looksFirst.current = true;
                const drop = event.currentTarget.closest('.squared');
                drop?.querySelector<HTMLInputElement>('input[type=file]')?.click();
              }}
            >
              Look at it first
            </button>
          </p>
        )}
      </div>
    </FileDrop>
  );
}
