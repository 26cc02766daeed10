import { FileText } from 'lucide-react';
import { useRef, useState, type DragEvent } from 'react';
import { useNavigate } from 'react-router';
import { mutate } from 'swr';
import { bringIn, type IntakeStage } from './bring-in.js';
import { IntakeProgress } from './intake-progress.js';

type State =
  | { at: 'rest' }
  | { at: 'reading'; file: string; stage: IntakeStage; stop: AbortController }
  | { at: 'failed'; file: string; words: string };

/** Where a file is dropped, or chosen, to become a source. */
export function DropZone() {
  const [state, setState] = useState<State>({ at: 'rest' });
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();

  const take = async (file: File | undefined) => {
    if (!file) return;
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
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void take(event.dataTransfer.files[0]);
  };

  return (
    <div
      className={`squared relative rounded-[3px] border border-dashed p-6 ${over ? 'border-ivy' : 'border-rule-2'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <div className="mx-auto flex max-w-2xl items-center gap-5 rounded-[2px] border border-rule bg-raised px-6 py-5">
        <FileText size={30} strokeWidth={1.4} className="shrink-0 text-ivy" />
        <div className="min-w-0 flex-1" aria-live="polite">
          {state.at === 'reading' ? (
            <IntakeProgress file={state.file} stage={state.stage} />
          ) : (
            <p className="serif text-[17px] font-semibold">Drop a file of posts here</p>
          )}
          {state.at === 'failed' ? (
            <p className="mt-0.5 text-bad" role="alert">
              <b className="font-semibold">{state.file}:</b> {state.words} Nothing was changed.
            </p>
          ) : state.at === 'reading' ? null : (
            <p className="mt-0.5 text-ink-2">
              CSV or JSON. Every field is read as it really is, and nothing is kept of a file that can’t be read.
            </p>
          )}
        </div>
        {state.at === 'reading' ? (
          <button type="button" className="button" onClick={() => state.stop.abort()}>
            Cancel
          </button>
        ) : (
          <button type="button" className="button button-main" onClick={() => input.current?.click()}>
            Choose a file
          </button>
        )}
        <input
          ref={input}
          type="file"
          className="sr-only"
          tabIndex={-1}
          aria-label="File of posts"
          accept=".csv,.tsv,.json,.ndjson,.jsonl,text/csv,application/json"
          onChange={(event) => {
            void take(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
    </div>
  );
}
