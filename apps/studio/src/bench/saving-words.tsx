import type { Saving } from './draft-saver.js';

/** Where saving stands, in a few words. */
export function SavingWords({ saving }: { saving: Saving }) {
  const words = {
    saved: '',
    saving: 'saving',
    offline: 'The server does not answer. Trying again.',
    overtaken: '',
    refused: 'Not saved: see the wiring.',
  }[saving.at];
  return (
    <span
      className={`text-[13px] ${saving.at === 'saving' ? 'remark text-ink-3' : 'font-semibold text-bad'}`}
      role="status"
      data-saving={saving.at}
    >
      {words}
    </span>
  );
}

/** Two people at one bench: nothing is lost in silence, one of them chooses. */
export function Overtaken({ onTheirs, onMine }: { onTheirs: () => void; onMine: () => void }) {
  return (
    <div className="flex items-center gap-3 border-b border-rule bg-rust-soft px-4 py-2" role="alert">
      <span>
        <b className="font-semibold text-rust">Someone else saved this lens meanwhile.</b> Your change is not saved yet.
      </span>
      <button type="button" className="button button-small" onClick={onTheirs}>
        Take theirs
      </button>
      <button type="button" className="button button-small" onClick={onMine}>
        Keep mine
      </button>
    </div>
  );
}
