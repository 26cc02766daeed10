import type { AddressesImported, SavedAddressView } from '@ivy/client';
import { useState, type DragEvent, type FormEvent } from 'react';
import { api } from '../api/api.js';
import { countOf } from '../shared/figures.js';

interface Props {
  slug: string;
  onDone: (words: string, added: readonly SavedAddressView[]) => void;
}

/** Characters a list may have. */
const most = 4_000_000;

/** Brings in a list of addresses: pasted, dropped, or from a file. Each must find from now on what it finds today. */
export function BringIn({ slug, onDone }: Props) {
  const [text, setText] = useState('');
  const [folder, setFolder] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [skipped, setSkipped] = useState<AddressesImported['skipped']>([]);
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > most) return setProblem('That file is larger than 4 MB. Bring in a part of it.');
    setText(await file.text());
    if (folder === '') setFolder(file.name.replace(/\.[^.]+$/, '').slice(0, 80));
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    void take(event.dataTransfer.files[0]);
  };
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    setProblem('');
    try {
      const made = await api.ask(
        'post',
        '/api/v1/lenses/{slug}/addresses/import',
        { slug },
        { body: { text, ...(folder.trim() !== '' && { folder: folder.trim() }) } },
      );
      const words = `${countOf(made.added.length, 'address', 'addresses')} brought in.`;
      if (made.skipped.length === 0) return onDone(words, made.added);
      setSkipped(made.skipped);
      onDone(
        `${words} ${countOf(made.skipped.length, 'line')} passed over: ${made.skipped[0]!.reason} (line ${made.skipped[0]!.line})`,
        made.added,
      );
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="border-b border-rule bg-paper px-4 py-3"
      aria-label="Bring in a list"
      onSubmit={(event) => void submit(event)}
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
      <label className="block">
        <span className="remark text-ink-2">
          One link a line, a CSV file with a column of them, or a sitemap: paste it, or drop it here
        </span>
        <textarea
          className="field mono mt-1 block h-[110px] w-full py-1.5 text-[12.5px]"
          aria-label="List of addresses"
          value={text}
          maxLength={most}
          spellCheck={false}
          onChange={({ target }) => setText(target.value)}
        />
      </label>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <label className="link cursor-pointer focus-within:outline-2">
          From a file
          <input
            type="file"
            className="sr-only"
            accept=".csv,.tsv,.txt,.xml"
            onChange={({ target }) => void take(target.files?.[0])}
          />
        </label>
        <label className="flex items-center gap-2">
          <span className="remark text-ink-2">into the folder</span>
          <input
            className="field w-[170px]"
            aria-label="Into the folder"
            value={folder}
            maxLength={80}
            onChange={({ target }) => setFolder(target.value)}
          />
        </label>
        <button type="submit" className="button button-main ms-auto" disabled={busy || text.trim() === ''}>
          {busy ? 'Checking…' : 'Bring in'}
        </button>
      </div>
      <div role="alert">
        {problem !== '' && <p className="mt-2 bg-bad-soft px-2.5 py-1.5 text-bad">{problem}</p>}
        {skipped.length > 0 && (
          <p className="mt-2 text-[13px] text-ink-2">{skipped.map(({ line }) => line).join(', ')}</p>
        )}
      </div>
    </form>
  );
}
