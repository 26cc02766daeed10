import { X } from 'lucide-react';
import { closeModal, Modal } from '../shared/modal.js';
import { keyCaps, keyTable, type KeyEntry, type KeyPlace } from './key-table.js';

const titles: Record<KeyPlace, string> = {
  everywhere: 'Everywhere',
  bench: 'On the Bench',
  outline: 'In the outline',
  tray: 'On the tray',
  steps: 'Steps',
};

/** Which keys there are at a path of the studio. */
export function placesAt(path: string): KeyPlace[] {
  const everywhere: KeyPlace[] = ['everywhere'];
  if (/^\/lenses\/[^/]+$/.test(path)) return [...everywhere, 'bench', 'outline', 'steps'];
  if (/^\/sources\/[^/]+$/.test(path)) return [...everywhere, 'tray'];
  return /\/(addresses|page|terms\/[^/]+)$|^\/from-page$/.test(path) ? [...everywhere, 'steps'] : everywhere;
}

/** The keys of where one is. */
export function KeysSheet({ path, onClose }: { path: string; onClose: () => void }) {
  const all: KeyEntry[] = Object.values(keyTable);
  return (
    <Modal label="Keys" className="m-auto max-h-[86vh] w-[min(460px,94vw)] border border-ink-3 p-1" onClose={onClose}>
      <div className="border border-rule px-5 pt-3 pb-4">
        <header className="flex items-center justify-between">
          <h2 className="serif text-[21px] font-semibold">Keys</h2>
          <button
            type="button"
            className="icon-button"
            aria-label="Close"
            onClick={({ currentTarget }) => closeModal(currentTarget)}
          >
            <X size={16} />
          </button>
        </header>
        {placesAt(path).map((place) => (
          <section key={place} aria-label={titles[place]} className="mt-2">
            <h3 className="remark text-[16px] text-ink-2">{titles[place]}</h3>
            <dl className="mt-0.5">
              {all
                .filter((entry) => entry.place === place)
                .map((entry) => (
                  <div key={entry.keys} className="flex items-baseline gap-2 border-t border-rule py-1">
                    <dd className="min-w-0 flex-1">{entry.does}</dd>
                    <dt className="flex shrink-0 gap-1">
                      {keyCaps(entry).map((cap) => (
                        <kbd key={cap} className="key-cap">
                          {cap}
                        </kbd>
                      ))}
                    </dt>
                  </div>
                ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  );
}
