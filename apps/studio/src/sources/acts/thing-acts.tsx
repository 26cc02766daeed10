import { useEffect, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { api, refreshAll } from '../../api/api.js';

interface Props {
  kind: 'source' | 'lens';
  slug: string;
  name: string;
  /** What goes with it where it is deleted. */
  goes: string;
  /** Called with what it is called since, or with null where it is gone. */
  onDone?: (name: string | null) => void;
  children?: ReactNode;
}

type Doing = 'nothing' | 'renaming' | 'deleting';

/** What can be done with a source or a lens as a whole: called otherwise, copied, deleted for a day. */
export function ThingActs({ kind, slug, name, goes, onDone, children }: Props) {
  const [doing, setDoing] = useState<Doing>('nothing');
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const work = async (act: () => Promise<unknown>, done: string | null) => {
    setBusy(true);
    setProblem('');
    try {
      await act();
      setDoing('nothing');
      await refreshAll();
      onDone?.(done);
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const path = kind === 'source' ? ('/api/v1/sources/{slug}' as const) : ('/api/v1/lenses/{slug}' as const);
  const copy = () =>
    kind === 'source'
      ? api.ask('post', '/api/v1/sources/{slug}/copies', { slug })
      : api.ask('post', '/api/v1/lenses', {}, { body: { from: slug } });
  const remove = () =>
    api.fetch(
      `/api/v1/${kind === 'source' ? 'sources' : 'lenses'}/${encodeURIComponent(slug)}${kind === 'source' ? '?lenses=1' : ''}`,
      {
        method: 'DELETE',
      },
    );
  return (
    <div className="text-[13px]">
      {doing === 'nothing' && (
        <p className="flex flex-wrap gap-x-3 gap-y-1">
          {children}
          <Act name={name} words="Rename" isBusy={isBusy} onPress={() => setDoing('renaming')} />
          <Act name={name} words="Duplicate" isBusy={isBusy} onPress={() => void work(copy, name)} />
          <Act name={name} words="Delete" isBusy={isBusy} onPress={() => setDoing('deleting')} />
        </p>
      )}
      {doing === 'renaming' && (
        <Renaming
          name={name}
          isBusy={isBusy}
          onName={(said) => void work(() => api.ask('patch', path, { slug }, { body: { name: said } }), said)}
          onLeave={() => setDoing('nothing')}
        />
      )}
      {doing === 'deleting' && (
        <Deleting
          goes={goes}
          isBusy={isBusy}
          onDelete={() => void work(remove, null)}
          onLeave={() => setDoing('nothing')}
        />
      )}
      {problem && (
        <p className="mt-1 text-bad" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

function Act({ name, words, isBusy, onPress }: { name: string; words: string; isBusy: boolean; onPress: () => void }) {
  return (
    <button type="button" className="act" disabled={isBusy} onClick={onPress}>
      {words}
      <span className="sr-only"> {name}</span>
    </button>
  );
}

interface RenamingProps {
  name: string;
  isBusy: boolean;
  onName: (name: string) => void;
  onLeave: () => void;
}

function Renaming({ name, isBusy, onName, onLeave }: RenamingProps) {
  const [said, setSaid] = useState(name);
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (said.trim() !== '') onName(said.trim());
  };
  return (
    <form className="flex flex-wrap gap-2" onSubmit={send} onKeyDown={(event) => event.key === 'Escape' && onLeave()}>
      <input
        className="field h-[28px] min-w-[140px] flex-1"
        aria-label={`New name of ${name}`}
        autoFocus
        value={said}
        maxLength={120}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setSaid(target.value)}
      />
      <button type="submit" className="button button-small" disabled={isBusy || said.trim() === ''}>
        Rename
      </button>
      <button type="button" className="button button-small" onClick={onLeave}>
        Leave it
      </button>
    </form>
  );
}

interface DeletingProps {
  goes: string;
  isBusy: boolean;
  onDelete: () => void;
  onLeave: () => void;
}

function Deleting({ goes, isBusy, onDelete, onLeave }: DeletingProps) {
  const leave = useRef<HTMLButtonElement>(null);
  // the harmless one first, for whoever presses Enter without reading
  useEffect(() => leave.current?.focus(), []);
  return (
    <div className="flex flex-wrap items-center gap-2" onKeyDown={(event) => event.key === 'Escape' && onLeave()}>
      <span role="status">{goes} It lies a day in the bottom drawer.</span>
      <button ref={leave} type="button" className="button button-small" onClick={onLeave}>
        Leave it
      </button>
      <button type="button" className="button button-small text-bad" disabled={isBusy} onClick={onDelete}>
        Delete
      </button>
    </div>
  );
}
