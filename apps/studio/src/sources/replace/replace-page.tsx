import type { RunMade, RunView, SourceView } from '@ivy/client';
import { FileText } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { refreshAll, useApi } from '../../api/api.js';
import { AppBar } from '../../app/app-bar.js';
import { countOf, figure } from '../../shared/figures.js';
import { Failed, Loading } from '../../shared/states.js';
import { ChooseFile } from './choose-file.js';
import { DiffBands } from './diff-bands.js';
import { heldFile, releaseFile } from './held-file.js';
import { Moves } from './moves.js';
import { changeWords, Rings } from './rings.js';
import { sendPosts } from './send-posts.js';

/** Next month’s file: what it would change, before it does. */
export function ReplacePage() {
  const { slug = '' } = useParams();
  const { data: source, error, mutate: again } = useApi('/api/v1/sources/{slug}', { slug });
  const { data: runs } = useApi('/api/v1/sources/{slug}/runs', { slug });
  const crumbs = [
    { label: 'Sources', to: '/sources' },
    { label: source?.name ?? slug, to: `/sources/${slug}` },
    { label: 'Replace' },
  ];
  if (error || !source || !runs) {
    return (
      <>
        <AppBar crumbs={crumbs} />
        {error ? <Failed error={error} retry={() => void again()} /> : <Loading words="Fetching the source" />}
      </>
    );
  }
  return <Replacing source={source} runs={runs} crumbs={crumbs} />;
}

interface Props {
  source: SourceView;
  runs: readonly RunView[];
  crumbs: { label: string; to?: string }[];
}

function Replacing({ source, runs, crumbs }: Props) {
  const [file, setFile] = useState(() => heldFile(source.slug));
  const [keepsMissing, setKeepsMissing] = useState(false);
  const [looked, setLooked] = useState<RunMade | null>(null);
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const navigate = useNavigate();
  useEffect(releaseFile, []);
  useEffect(() => {
    if (!file) return;
    const stop = new AbortController();
    sendPosts(source.slug, file, { keeps: false, keepsMissing, signal: stop.signal })
      .then((made) => {
        setLooked(made);
        setProblem('');
      })
      .catch((failure: unknown) => !stop.signal.aborted && setProblem((failure as Error).message));
    return () => stop.abort();
  }, [file, keepsMissing, source.slug]);

  const keep = async () => {
    setBusy(true);
    try {
      await sendPosts(source.slug, file!, { keeps: true, keepsMissing });
      await refreshAll();
      await navigate(`/sources/${source.slug}`);
    } catch (failure) {
      setProblem((failure as Error).message);
      setBusy(false);
    }
  };
  const posts = looked?.total ?? 0;
  const isSame = looked !== null && looked.added + looked.changed + looked.removed === 0;
  return (
    <div className="flex h-full flex-col">
      <AppBar crumbs={crumbs}>{file && <span className="text-[13px] text-rust">nothing kept yet</span>}</AppBar>
      <section
        aria-label="The file"
        className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 border-b border-rule bg-raised px-4"
      >
        <FileText size={16} className="shrink-0 text-ink-3" />
        <span className="mono truncate text-[13px] font-semibold">{file?.name ?? 'no file yet'}</span>
        <span className="remark text-ink-2">in place of</span>
        <span className="mono truncate text-[13px]">{source.fileName}</span>
        {looked && (
          <span className="ms-auto shrink-0">
            <b className="serif text-[21px] font-semibold">{changeWords(looked)}</b>{' '}
            <span className="serif text-[15px] text-ink-2">of {countOf(posts, 'post')}</span>
          </span>
        )}
      </section>
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <Rings runs={runs} coming={looked && { posts, words: changeWords(looked) }} />
        <main className="min-w-0 flex-1 bg-raised lg:overflow-y-auto">
          {!file ? (
            <ChooseFile
              words="Drop the new file here"
              hint={`It takes the place of all ${countOf(source.posts, 'post')}. What it changes is shown before it is kept.`}
              onFile={setFile}
            />
          ) : looked ? (
            <DiffBands looked={looked} keepsMissing={keepsMissing} onKeepMissing={setKeepsMissing} />
          ) : (
            !problem && <Loading words="Reading the file beside what there is" />
          )}
          {problem && (
            <p className="m-5 text-bad" role="alert">
              <b className="font-semibold">{file?.name}:</b> {problem} Nothing was changed.{' '}
              <button type="button" className="link" onClick={() => setFile(null)}>
                Choose another file
              </button>
            </p>
          )}
        </main>
        {looked && <Moves looked={looked} source={source} />}
      </div>
      <footer className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-rule bg-paper px-4 py-3">
        <Link to={`/sources/${source.slug}`} className="button">
          Put back
        </Link>
        <span className="remark min-w-0 flex-1 text-[14px] text-ink-2" role="status">
          {isSame
            ? 'The file says what is there already.'
            : looked
              ? 'What there is now stays one ring in: it can be undone.'
              : ''}
        </span>
        <button
          type="button"
          className="button button-main"
          disabled={!looked || isBusy || isSame || problem !== ''}
          onClick={() => void keep()}
        >
          {isBusy ? 'Keeping' : 'Keep'} <b className="serif ms-1">{looked ? figure(posts) : ''}</b>
        </button>
      </footer>
    </div>
  );
}
