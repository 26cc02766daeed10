import { useEffect, useRef, type ReactNode } from 'react';

interface Props {
  label: string;
  /** Where it stands and how large it is. */
  className: string;
  onClose: () => void;
  children: ReactNode;
}

/** Something that stands above all else until it is shut: it holds the keyboard, and gives it back. */
export function Modal({ label, className, onClose, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      aria-label={label}
      className={`bg-raised text-ink ${className}`}
      onClose={onClose}
      onClick={({ target }) => target === dialog.current && dialog.current?.close()}
    >
      {children}
    </dialog>
  );
}

/** Shuts the modal that something stands in, as Escape and a press beside it do. */
export function closeModal(within: Element | null): void {
  within?.closest('dialog')?.close();
}
