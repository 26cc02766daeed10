import { answered, holdsTerms, suitableFields, type FieldDescription } from '@ivy/core';
import { FileText } from 'lucide-react';
import { useRef, useState, type FormEvent, type KeyboardEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { mutate } from 'swr';
import { api, useApi } from '../api/api.js';
import type { SourceView } from '@ivy/client';
import { AppBar } from '../app/app-bar.js';
import { countOf, figure } from '../shared/figures.js';
import { keyNamed } from '../keys/key-table.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { Failed, Loading } from '../shared/states.js';
import { LiveSettings } from './live/live-settings.js';
import { LiveLine } from './live/live-line.js';
import { Findings } from './findings/findings.js';
import { Loupe, underLoupe } from './findings/loupe.js';
import { kindWords, Specimen } from './specimen.js';

/** One source: its fields on the tray, what wants a look, and a way to start a lens. */
export function SourcePage() {
  const { slug = '' } = useParams();
  const { data: source, error, mutate: again } = useApi('/api/v1/sources/{slug}', { slug });
  return (
    <div className="flex h-full flex-col">
      <AppBar crumbs={[{ label: 'Sources', to: '/sources' }, { label: source?.name ?? slug }]} />
      {error ? (
        <Failed error={error} retry={() => void again()} />
      ) : source ? (
        <Tray source={source} onMended={() => again()} />
      ) : (
        <Loading words="Laying the fields out" />
      )}
    </div>
  );
}

function Tray({ source, onMended }: { source: SourceView; onMended: () => Promise<unknown> }) {
  const suitable = suitableFields(answered(source.fields));
  const hues = new Map(suitable.map((field, i) => [field.key, i + 1]));
  const [chosen, setChosen] = useState(suitable[0]?.key ?? source.fields[0]?.key ?? '');
  const field = source.fields.find((one) => one.key === chosen);
  const notes = useRef<HTMLElement>(null);
  const [isAddressed, setAddressed] = useState(false);
  const choose = (key: string) => {
    setChosen(key);
    // on a narrow screen they stand below all fields, where nobody would look for them
    if (notes.current && getComputedStyle(notes.current.parentElement!).flexDirection === 'column') {
      notes.current.scrollIntoView({ block: 'start' });
      notes.current.focus({ preventScroll: true });
    }
  };
  const walk = (event: KeyboardEvent) => {
    const name = keyNamed(event, ['tray']);
    const next =
      name && source.fields[source.fields.findIndex((one) => one.key === chosen) + (name === 'right' ? 1 : -1)];
    if (!next) return;
    event.preventDefault();
    choose(next.key);
    event.currentTarget.querySelectorAll<HTMLElement>('li > button')[source.fields.indexOf(next)]?.focus();
  };
  return (
    <>
      <section
        aria-label="How it was read"
        className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 border-b border-rule bg-raised px-4"
      >
        <FileText size={16} className="shrink-0 text-ink-3" />
        <span className="mono truncate text-[13px] font-semibold">{source.fileName}</span>
        <span className="remark text-ink-2">read as</span>
        <span className="mono border-b-2 border-rule-2 px-1 text-[13px] font-medium">{source.format}</span>
        {source.rejected.length > 0 && (
          <span
            className="text-rust"
            title={source.rejected
              .slice(0, 5)
              .map(
                ({ record, line, reason }) => `${line === undefined ? `Record ${record}` : `Line ${line}`}: ${reason}`,
              )
              .join('\n')}
          >
            {countOf(source.rejected.length, 'record')} left out
          </span>
        )}
        <span className="ms-auto flex shrink-0 items-center gap-2 py-1.5">
          <Link to={`/sources/${source.slug}/posts`} className="link text-[13px]">
            Posts
          </Link>
          <Link to={`/sources/${source.slug}/runs`} className="link text-[13px]">
            History
          </Link>
          {!source.live && (
            <>
              <button
                type="button"
                className="act text-[13px]"
                aria-expanded={isAddressed}
                onClick={() => setAddressed(!isAddressed)}
              >
                From an address
              </button>
              <Link to={`/sources/${source.slug}/replace`} className="button button-small">
                Replace posts
              </Link>
            </>
          )}
        </span>
        <span className="shrink-0">
          <b className="serif text-[23px] font-semibold">{figure(source.posts)}</b>{' '}
          <span className="serif text-[15px] text-ink-2">posts, </span>
          <b className="serif text-[23px] font-semibold">{source.fields.length}</b>{' '}
          <span className="serif text-[15px] text-ink-2">fields</span>
        </span>
      </section>
      {source.live ? (
        <LiveLine slug={source.slug} posts={source.posts} live={source.live} />
      ) : (
        isAddressed && <LiveSettings slug={source.slug} live={null} onDone={() => setAddressed(false)} />
      )}
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <main className="squared min-w-0 flex-1 px-4 pt-4 pb-8 lg:overflow-y-auto">
          <p className="mb-3 flex flex-wrap items-baseline gap-x-3">
            <span className="serif text-[23px] font-semibold">
              {countOf(source.fields.length, 'field')} on the tray
            </span>
            <span className="remark text-[15px] text-ink-2">
              {suitable.length === 0
                ? 'None sorts the posts into groups.'
                : `${figure(suitable.length)} would make good facets.`}
            </span>
          </p>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(158px,1fr))] gap-x-2.5 gap-y-4" onKeyDown={walk}>
            {source.fields.map((one, i) => (
              <Specimen
                key={one.key}
                number={i + 1}
                source={source}
                field={one}
                hue={hues.get(one.key) ?? null}
                findings={source.findings.filter((finding) => finding.field === one.key)}
                chosen={one.key === chosen}
                onChoose={() => choose(one.key)}
              />
            ))}
          </ul>
        </main>
        <aside
          ref={notes}
          tabIndex={-1}
          className="flex shrink-0 scroll-mt-2 flex-col outline-none border-t border-rule bg-paper lg:w-[372px] lg:border-s lg:border-t-0"
          aria-label="The field in hand"
        >
          <div className="min-h-0 flex-1 lg:overflow-y-auto">
            {field && <FieldNotes source={source} field={field} hue={hues.get(field.key) ?? null} />}
            <Findings source={source} chosen={chosen} onChoose={setChosen} hues={hues} onMended={onMended} />
          </div>
          <StartLens source={source} />
        </aside>
      </div>
    </>
  );
}

/** How sure it is how a field is to be read. */
const sureWords = { sure: 'Sure', likely: 'Likely', unsure: 'Not sure' };

function FieldNotes({ source, field, hue }: { source: SourceView; field: FieldDescription; hue: number | null }) {
  const found = source.findings.filter((finding) => finding.field === field.key);
  const seen = underLoupe(found, field.type === 'date' || field.type === 'datetime');
  return (
    <section className="section" {...(hue === null ? {} : hueAttribute(hue))}>
      <h2 className="flex items-center gap-2.5">
        {hue !== null && <Seed hue={hue} size={17} />}
        <span className="serif text-[21px] font-semibold">{field.label}</span>
        <span className="remark text-[15px] text-ink-2">{kindWords(field)}</span>
      </h2>
      {seen.length > 0 && <Loupe seen={seen} />}
      <Link
        to={`/sources/${source.slug}/fields/${encodeURIComponent(field.key)}`}
        className="button button-small float-end ms-2 mt-2"
      >
        Take in hand
      </Link>
      {holdsTerms(field) && !field.left && (
        <Link
          to={`/sources/${source.slug}/terms/${encodeURIComponent(field.key)}`}
          className="button button-small float-end clear-end ms-2 mt-2"
        >
          Shape its terms
        </Link>
      )}
      <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt className="text-ink-3">In the file</dt>
        <dd className="mono text-[12.5px]">{field.key}</dd>
        {field.because && (
          <>
            <dt className="text-ink-3">{sureWords[field.sureness ?? 'likely']}</dt>
            <dd>{field.because}</dd>
          </>
        )}
        <dt className="text-ink-3">Filled</dt>
        <dd>
          {figure(field.filled)} of {figure(source.posts)} posts
        </dd>
        <dt className="text-ink-3">Different</dt>
        <dd>{figure(field.distinct)}</dd>
        {field.separator && (
          <>
            <dt className="text-ink-3">Parted by</dt>
            <dd className="mono">{field.separator}</dd>
          </>
        )}
        {field.pathSeparator && (
          <>
            <dt className="text-ink-3">Branches by</dt>
            <dd className="mono">{field.pathSeparator}</dd>
          </>
        )}
      </dl>
    </section>
  );
}

function StartLens({ source }: { source: SourceView }) {
  const navigate = useNavigate();
  const [name, setName] = useState(source.name);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  const start = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    try {
      const lens = await api.ask('post', '/api/v1/lenses', {}, { body: { name: name.trim(), source: source.slug } });
      await mutate('/api/v1/lenses');
      await navigate(`/lenses/${lens.slug}`);
    } catch (error) {
      setProblem((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <form onSubmit={(event) => void start(event)} className="border-t border-rule bg-raised p-3.5">
      <label className="block text-[13px] font-semibold" htmlFor="lens-name">
        Name of the lens
      </label>
      <div className="mt-1.5 flex gap-2">
        <input
          id="lens-name"
          className="field h-[30px] flex-1"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="button button-main" disabled={busy || name.trim() === ''}>
          Start a lens
        </button>
      </div>
      {problem && (
        <p className="mt-2 text-bad" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}
