import type { SavedAddressView } from '@ivy/client';
import { useState, type FormEvent } from 'react';

type Change = Partial<Pick<SavedAddressView, 'expect' | 'folder' | 'name'>>;

interface Props {
  saved: SavedAddressView;
  folders: readonly string[];
  onDone: (change: Change | null) => void;
}

const numbers = [
  { key: 'matched', label: 'exactly' },
  { key: 'min', label: 'at least' },
  { key: 'max', label: 'at most' },
] as const;
const lists = [
  { key: 'has', label: 'with the posts' },
  { key: 'lacks', label: 'without the posts' },
] as const;

/** What a saved address is called, where it is kept, and what it must find. */
export function ExpectationForm({ saved, folders, onDone }: Props) {
  const { expect } = saved;
  const [words, setWords] = useState({
    name: saved.name,
    folder: saved.folder,
    matched: said(expect.matched),
    min: said(expect.min),
    max: said(expect.max),
    has: (expect.has ?? []).join(', '),
    lacks: (expect.lacks ?? []).join(', '),
  });
  const set = (change: Partial<typeof words>) => setWords({ ...words, ...change });
  const next = expectationOf(words);
  const isNothing = Object.keys(next).length === 0;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!isNothing) onDone({ name: words.name, folder: words.folder, expect: next });
  };
  return (
    <form
      className="flex flex-wrap items-end gap-x-3 gap-y-2 border-t border-dashed border-rule-2 bg-paper px-3 py-2.5"
      onSubmit={submit}
      aria-label="What it must find"
    >
      <Box label="called" value={words.name} width={170} onChange={(name) => set({ name })} />
      <Box
        label="in the folder"
        value={words.folder}
        width={150}
        list={folders}
        onChange={(folder) => set({ folder })}
      />
      {numbers.map(({ key, label }) => (
        <Box key={key} label={label} value={words[key]} width={76} isNumber onChange={(text) => set({ [key]: text })} />
      ))}
      {lists.map(({ key, label }) => (
        <Box
          key={key}
          label={label}
          value={words[key]}
          width={170}
          placeholder="ids, with commas"
          onChange={(text) => set({ [key]: text })}
        />
      ))}
      <button type="submit" className="button button-main button-small" disabled={isNothing}>
        Keep
      </button>
      <button type="button" className="button button-small" onClick={() => onDone(null)}>
        Leave it
      </button>
    </form>
  );
}

function said(n: number | undefined): string {
  return n === undefined ? '' : String(n);
}

function expectationOf(words: Record<'matched' | 'min' | 'max' | 'has' | 'lacks', string>): SavedAddressView['expect'] {
  const next: SavedAddressView['expect'] = {};
  for (const { key } of numbers) {
    if (/^\d{1,7}$/.test(words[key].trim())) next[key] = Number(words[key]);
  }
  for (const { key } of lists) {
    const ids = words[key]
      .split(',')
      .map((id) => id.trim())
      .filter((id) => id !== '');
    if (ids.length > 0) next[key] = ids;
  }
  return next;
}

interface BoxProps {
  label: string;
  value: string;
  width: number;
  isNumber?: boolean;
  placeholder?: string;
  list?: readonly string[];
  onChange: (text: string) => void;
}

function Box({ label, value, width, isNumber = false, placeholder, list, onChange }: BoxProps) {
  return (
    <label className="text-[13px] text-ink-2">
      <span className="remark block">{label}</span>
      <input
        className="field"
        style={{ width }}
        inputMode={isNumber ? 'numeric' : 'text'}
        value={value}
        placeholder={placeholder}
        maxLength={isNumber ? 7 : 400}
        list={list && 'folders-there'}
        onChange={({ target }) => onChange(target.value)}
      />
      {list && (
        <datalist id="folders-there">
          {list
            .filter((one) => one !== '')
            .map((one) => (
              <option key={one} value={one} />
            ))}
        </datalist>
      )}
    </label>
  );
}
