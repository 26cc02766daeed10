import type { AddressCheck, SavedAddressView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { useState } from 'react';
import { api, refreshAll, useApi } from '../api/api.js';
import { countOf, figure } from '../shared/figures.js';
import { HelpLink } from '../shared/help-link.js';
import { Failed } from '../shared/states.js';
import { BringIn } from './bring-in.js';
import { SavedRow } from './saved-row.js';

interface Props {
  slug: string;
  lens: Lens;
  hues: ReadonlyMap<string, number>;
  saved: readonly SavedAddressView[] | undefined;
  error: Error | undefined;
  retry: () => void;
  hasRelease: boolean;
}

/** Addresses that someone relies on, in folders, with what each must find and what it finds. */
export function SavedAddresses({ slug, lens, hues, saved, error, retry, hasRelease }: Props) {
  const release = useApi(
    '/api/v1/lenses/{slug}/addresses/check',
    hasRelease && saved?.length ? { slug } : null,
    {},
    'of=release',
  );
  const draft = useApi('/api/v1/lenses/{slug}/addresses/check', saved?.length ? { slug } : null, {}, 'of=draft');
  const [isBringing, setBringing] = useState(false);
  const [said, setSaid] = useState<{ words: string; undo?: () => Promise<unknown> } | null>(null);
  const folders = [...new Set((saved ?? []).map(({ folder }) => folder))];
  const byId = (checks: readonly AddressCheck[] | undefined) => new Map(checks?.map((one) => [one.id, one]));
  const [ofRelease, ofDraft] = [byId(release.data), byId(draft.data)];
  const run = async (words: string, work: () => Promise<unknown>, undo?: () => Promise<unknown>) => {
    try {
      await work();
      setSaid(words === '' ? null : { words, ...(undo && { undo }) });
      await refreshAll();
    } catch (problem) {
      setSaid({ words: (problem as Error).message });
    }
  };
  const remove = (one: SavedAddressView) => {
    const { folder, name, address, expect } = one;
    const body = { folder, name, address, expect };
    return run(
      'Taken away.',
      () => api.ask('delete', '/api/v1/lenses/{slug}/addresses/{id}', { slug, id: one.id }),
      () => api.ask('post', '/api/v1/lenses/{slug}/addresses', { slug }, { body }),
    );
  };
  const change = (id: string, body: Partial<Pick<SavedAddressView, 'expect' | 'folder' | 'name'>>) =>
    run('', () => api.ask('patch', '/api/v1/lenses/{slug}/addresses/{id}', { slug, id }, { body }));
  return (
    <section aria-label="Saved addresses" className="min-h-0 flex-1 overflow-y-auto max-[900px]:overflow-visible">
      <header className="sticky top-0 z-10 flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule bg-raised px-4 py-3">
        <h2 className="serif text-[21px] font-semibold">
          Saved addresses{' '}
          <span className="remark ms-1 text-[15px] font-normal text-ink-2">and what each must find</span>
        </h2>
        <HelpLink page="share-page" />
        <span className="ms-auto flex items-center gap-4">
          <button
            type="button"
            className="button button-small"
            aria-expanded={isBringing}
            onClick={() => setBringing(!isBringing)}
          >
            Bring in a list
          </button>
          <Holding words={hasRelease ? 'release' : 'no release'} checks={release.data} />
          <Holding words="draft" checks={draft.data} />
        </span>
      </header>
      <div role="status">
        {said && (
          <p className="flex items-center gap-3 border-b border-rule bg-ivy-soft px-4 py-1.5">
            {said.words}
            {said.undo && (
              <button type="button" className="link" onClick={() => void run('', said.undo!)}>
                Undo
              </button>
            )}
          </p>
        )}
      </div>
      {isBringing && (
        <BringIn
          slug={slug}
          onDone={(words, added) => {
            setBringing(false);
            const ids = added.map(({ id }) => id);
            const undo = () => api.ask('post', '/api/v1/lenses/{slug}/addresses/remove', { slug }, { body: { ids } });
            setSaid({ words, ...(added.length > 0 && { undo }) });
            void refreshAll();
          }}
        />
      )}
      {error && <Failed error={error} retry={retry} />}
      {saved?.length === 0 && !isBringing && (
        <p className="max-w-lg px-4 py-6 text-ink-2">
          None yet. On the Bench, “Save this address” keeps the address with what it finds. Or bring in a list of links
          you know: a CSV file, or the sitemap of the site. Each is held to what it must find, before every release.
        </p>
      )}
      {folders.map((folder) => (
        <section
          key={folder}
          aria-label={folder || 'In no folder'}
          className="grid grid-cols-[112px_minmax(0,1fr)] border-b border-rule max-[620px]:block"
        >
          <FolderHead
            {...{ slug, folder }}
            all={(saved ?? []).filter((one) => one.folder === folder)}
            checks={ofDraft}
            onRename={(to) =>
              void run('', () =>
                api.ask('patch', '/api/v1/lenses/{slug}/addresses', { slug }, { body: { folder, to } }),
              )
            }
          />
          <ol className="min-w-0 border-s border-rule max-[620px]:border-s-0">
            {(saved ?? [])
              .filter((one) => one.folder === folder)
              .map((one) => (
                <SavedRow
                  key={one.id}
                  {...{ slug, lens, hues, folders }}
                  saved={one}
                  release={ofRelease.get(one.id)}
                  draft={ofDraft.get(one.id)}
                  onChange={(body) => void change(one.id, body)}
                  onRemove={() => void remove(one)}
                />
              ))}
          </ol>
        </section>
      ))}
    </section>
  );
}

/** How many hold. */
function Holding({ words, checks }: { words: string; checks: readonly AddressCheck[] | undefined }) {
  const holding = checks?.filter(({ holds }) => holds).length ?? 0;
  const isWhole = checks !== undefined && holding === checks.length;
  return (
    <span className="w-[64px] text-end text-[13px]">
      <span className="block text-ink-2">{words}</span>
      <b className={`block font-semibold ${checks && !isWhole ? 'text-bad' : 'text-ivy'}`}>
        {checks ? `${figure(holding)} of ${figure(checks.length)}` : '–'}
      </b>
    </span>
  );
}

interface FolderProps {
  folder: string;
  all: readonly SavedAddressView[];
  checks: ReadonlyMap<string, AddressCheck>;
  onRename: (to: string) => void;
}

function FolderHead({ folder, all, checks, onRename }: FolderProps) {
  const [isNaming, setNaming] = useState(false);
  const failing = all.filter(({ id }) => checks.get(id)?.holds === false).length;
  const done = (to: string) => {
    setNaming(false);
    if (to.trim() !== '' && to !== folder) onRename(to);
  };
  return (
    <header className="px-3 py-2.5 ps-4">
      {isNaming ? (
        <input
          autoFocus
          className="field w-full"
          aria-label="Name of the folder"
          defaultValue={folder}
          maxLength={80}
          onBlur={({ target }) => done(target.value)}
          onKeyDown={({ key, currentTarget }) => {
            if (key === 'Enter') done(currentTarget.value);
            if (key === 'Escape') setNaming(false);
          }}
        />
      ) : (
        <button
          type="button"
          className="remark text-start text-[16px] leading-tight hover:underline"
          title="Press to name the folder"
          onClick={() => setNaming(true)}
        >
          {folder || 'In no folder'}
        </button>
      )}
      <p className={`text-[13px] ${failing > 0 ? 'font-semibold text-bad' : 'text-ink-2'}`}>
        {failing > 0
          ? `${failing} of ${all.length} ${failing === 1 ? 'differs' : 'differ'}`
          : `${countOf(all.length, 'address', 'addresses')}`}
      </p>
    </header>
  );
}
