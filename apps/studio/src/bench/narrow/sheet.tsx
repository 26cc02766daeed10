import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { closeModal, Modal } from '../../shared/modal.js';

interface Props {
  label: string;
  /** From which edge it comes: the wiring from below, the outline from the side. */
  from: 'below' | 'side';
  onClose: () => void;
  children: ReactNode;
}

/** A part of the Bench that has no room beside the page, over it for as long as it is used. */
export function Sheet({ label, from, onClose, children }: Props) {
  const place =
    from === 'below'
      ? 'mt-auto mb-0 mx-0 h-[74vh] w-full max-w-full max-h-none border-t-2'
      : 'my-0 me-auto ms-0 h-full w-[min(270px,86vw)] max-h-none border-e-2';
  return (
    <Modal label={label} className={`${place} overflow-hidden border-rule-2 p-0`} onClose={onClose}>
      <div className="flex h-full flex-col bg-paper">
        <header className="flex h-[44px] shrink-0 items-center justify-between border-b border-rule ps-4 pe-1.5">
          <h2 className="remark text-[17px]">{label}</h2>
          <button
            type="button"
            className="icon-button !size-[40px]"
            aria-label={`Shut ${label.toLowerCase()}`}
            onClick={({ currentTarget }) => closeModal(currentTarget)}
          >
            <X size={18} />
          </button>
        </header>
        <div className="min-h-0 flex-1 overflow-y-auto">{children}</div>
      </div>
    </Modal>
  );
}
