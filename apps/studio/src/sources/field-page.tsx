import type { FieldPreview, SourceView } from '@ivy/client';
import { answered, suitableFields, type FieldChange, type FieldDescription } from '@ivy/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useParams } from 'react-router';
import { useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { Failed, Loading } from '../shared/states.js';
import { changeBack, keepField, previewField } from './change-field.js';
import { FieldEffects } from './field-effects.js';
import { FieldSettings } from './field-settings.js';
import { FieldValues } from './field-values.js';
import { kindWords } from './specimen.js';

/** One field taken from its tray: how it is read, and how it could be, on its own values. */
export function FieldPage() {
  const { slug = '', key = '' } = useParams();
  const { data: source, error, mutate } = useApi('/api/v1/sources/{slug}', { slug });
  const field = source?.fields.find((one) => one.key === key);
  const crumbs = [
    { label: 'Sources', to: '/sources' },
    { label: source?.name ?? slug, to: `/sources/${slug}` },
    { label: key },
  ];
  if (!source || !field) {
    const missing =
      source && new Error(`There is no field “${key}” in this source. It may have been renamed in its file.`);
    return (
      <>
        <AppBar crumbs={crumbs} />
        {(error ?? missing) ? (
          <Failed error={error ?? missing} retry={() => void mutate()} />
        ) : (
          <Loading words="Taking the field in hand" />
        )}
      </>
    );
  }
  return <InHand key={`${slug} ${key}`} source={source} field={field} crumbs={crumbs} onKept={() => mutate()} />;
}

interface Props {
  source: SourceView;
  field: FieldDescription;
  crumbs: readonly { label: string; to?: string }[];
  onKept: () => Promise<unknown>;
}

function InHand({ source, field, crumbs, onKept }: Props) {
  const [change, setChange] = useState<FieldChange>({});
  const [looked, setLooked] = useState<{ of: string; preview: FieldPreview } | null>(null);
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const [kept, setKept] = useState<{ back: FieldChange; words: string } | null>(null);
  // what is asked, and of which state of the source, as one text: the same is not asked twice
  const asked = JSON.stringify({ change, at: source.updatedAt });
  useEffect(() => {
    const stop = new AbortController();
    const later = setTimeout(() => {
      const said = (JSON.parse(asked) as { change: FieldChange }).change;
      previewField(source.slug, field.key, said, stop.signal)
        .then((preview) => {
          setLooked({ of: asked, preview });
          setProblem('');
        })
        .catch((error: unknown) => !stop.signal.aborted && setProblem((error as Error).message));
    }, 150);
    return () => {
      clearTimeout(later);
      stop.abort();
    };
  }, [asked, source.slug, field.key]);

  const isChanged = Object.keys(change).length > 0;
  const preview = looked?.preview;
  const broken = preview?.lenses.find((one) => one.problem !== null);
  const send = async (body: FieldChange, words: string, back: FieldChange | null) => {
    setBusy(true);
    setProblem('');
    try {
      await keepField(source.slug, field.key, body);
      await onKept();
      setChange({});
      setKept(back && { back, words });
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const keep = () => void send(change, 'Kept. The values as they came stay underneath.', changeBack(field));
  const heading = useRef<HTMLHeadingElement>(null);
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape' && isChanged) {
      setChange({});
      heading.current?.focus();
    }
  };
  const hues = new Map(suitableFields(answered(source.fields)).map((one, i) => [one.key, i + 1]));
  const hue = hues.get(field.key) ?? null;
  return (
    <div className="flex h-full flex-col" onKeyDown={keys} {...(hue === null ? {} : hueAttribute(hue))}>
      <AppBar crumbs={crumbs}>{isChanged && <span className="text-[13px] text-rust">not kept yet</span>}</AppBar>
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <nav
          aria-label="On the tray"
          className="squared shrink-0 overflow-x-auto border-b border-rule px-4 py-3 lg:w-[212px] lg:overflow-y-auto lg:border-e lg:border-b-0"
        >
          <h2 className="remark mb-2 hidden text-[16px] lg:block">On the tray</h2>
          <ul className="flex gap-2 lg:flex-col">
            {source.fields.map((one) => (
              <li key={one.key} className="shrink-0">
                <Link
                  to={`/sources/${source.slug}/fields/${encodeURIComponent(one.key)}`}
                  aria-current={one.key === field.key}
                  className={`flex items-center gap-2 rounded-[2px] border bg-raised px-2.5 py-1.5 text-ink ${one.key === field.key ? 'border-hue shadow-[0_0_0_1px_var(--h)]' : 'border-rule-2 hover:border-ink-3'} ${one.left ? 'border-dashed opacity-75' : ''}`}
                  {...(hues.has(one.key) ? hueAttribute(hues.get(one.key)!) : {})}
                >
                  {hues.has(one.key) ? (
                    <Seed hue={hues.get(one.key)!} size={10} />
                  ) : (
                    <span className="h-2 w-2 rounded-full border-2 border-ink-3" />
                  )}
                  <span className="mono truncate text-[12.5px] font-semibold">{one.key}</span>
                  <span className="remark ms-auto hidden truncate ps-2 text-[12.5px] text-ink-2 lg:inline">
                    {one.left ? 'left out' : kindWords(one).split(',')[0]}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        <main className="flex min-w-0 flex-1 flex-col bg-raised">
          <div className="min-h-0 flex-1 px-4 py-4 lg:overflow-y-auto lg:px-6">
            <h2 ref={heading} tabIndex={-1} className="serif text-[23px] font-semibold outline-none">
              {field.label}{' '}
              <span className="remark text-[15px] font-normal text-ink-2">
                {isChanged
                  ? 'See it first. Nothing changes until you keep it.'
                  : `read as ${field.left ? 'nothing: left out' : kindWords(field)}`}
              </span>
            </h2>
            <FieldSettings
              field={field}
              fields={source.fields}
              source={source.slug}
              change={change}
              types={preview?.types ?? null}
              onChange={(more) => setChange(without(field, { ...change, ...more }))}
            />
            {preview ? (
              <FieldValues preview={preview} isChanged={isChanged} isStale={looked?.of !== asked} />
            ) : (
              !problem && <Loading words="Reading its values" />
            )}
          </div>
          <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-rule bg-paper px-4 py-3 lg:px-6">
            <button type="button" className="button" disabled={!isChanged} onClick={() => setChange({})}>
              Leave as it is
            </button>
            <span
              role="status"
              className={`min-w-0 flex-1 text-[13px] ${problem ? 'font-semibold text-bad' : 'text-ink-2'}`}
            >
              {problem ||
                (broken && isChanged
                  ? `${broken.name} can’t work with that: ${broken.problem}. ${broken.of === 'release' ? 'Change that lens and publish it first.' : 'Change its draft first.'}`
                  : !isChanged && kept
                    ? kept.words
                    : '')}
              {!problem && !isChanged && kept && (
                <button
                  type="button"
                  className="link ms-2"
                  disabled={isBusy}
                  onClick={() => void send(kept.back, '', null)}
                >
                  Undo
                </button>
              )}
            </span>
            <button
              type="button"
              className="button button-main"
              disabled={!isChanged || isBusy || broken !== undefined || looked?.of !== asked}
              onClick={keep}
            >
              {isBusy ? 'Keeping…' : 'Keep'}
            </button>
          </div>
        </main>
        <FieldEffects preview={preview ?? null} isChanged={isChanged} />
      </div>
    </div>
  );
}

/** What is said that differs from how the field is; saying what is so already changes nothing. */
function without(field: FieldDescription, change: FieldChange): FieldChange {
  const now = changeBack(field) as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(change).filter(([name, value]) => value !== undefined && value !== now[name]),
  );
}
