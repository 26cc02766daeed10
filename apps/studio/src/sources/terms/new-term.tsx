import type { TermView } from '@ivy/client';
import { useState, type FormEvent } from 'react';

interface Props {
  /** The term in hand, under which it may stand. */
  parent: TermView | null;
  isBusy: boolean;
  onAdd: (label: string, parent: string | null) => void;
  onLeave: () => void;
}

/** A term that no post has yet. */
export function NewTerm({ parent, isBusy, onAdd, onLeave }: Props) {
  const [label, setLabel] = useState('');
  const [isUnder, setUnder] = useState(false);
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (label.trim() !== '') onAdd(label.trim(), isUnder && parent ? parent.slug : null);
  };
  return (
    <form
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1.5 border border-dashed border-hue bg-raised px-3 py-2"
      onSubmit={add}
      onKeyDown={({ key }) => key === 'Escape' && onLeave()}
    >
      <label className="flex items-center gap-2">
        Called
        <input
          autoFocus
          className="field h-[30px] w-[200px]"
          value={label}
          maxLength={200}
          onChange={({ target }) => setLabel(target.value)}
        />
      </label>
      {parent && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={isUnder}
            onChange={({ target }) => setUnder(target.checked)}
          />
          under {parent.label}
        </label>
      )}
      <span className="ms-auto flex gap-2">
        <button type="submit" className="button button-small button-main" disabled={isBusy || label.trim() === ''}>
          Add
        </button>
        <button type="button" className="button button-small" onClick={onLeave}>
          Leave it
        </button>
      </span>
    </form>
  );
}
