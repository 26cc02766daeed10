import type { RefObject } from 'react';

interface Props {
  /** Whoever opens the dialog clicks it. */
  input: RefObject<HTMLInputElement | null>;
  label: string;
  /** Endings of what may be chosen, as the input takes them. */
  accept: string;
  takesSeveral?: boolean;
  onFiles: (files: readonly File[]) => void;
}

/** The input behind a button that chooses files: nobody sees it, and the same file may be chosen twice in a row. */
export function FileInput({ input, label, accept, takesSeveral = false, onFiles }: Props) {
  return (
    <input
      ref={input}
      type="file"
      // away altogether: whatever is only out of sight still takes a place, by which a page can grow longer
      hidden
      aria-label={label}
      multiple={takesSeveral}
      accept={accept}
      onChange={({ target }) => {
        const files = [...(target.files ?? [])];
        target.value = '';
        if (files.length > 0) onFiles(files);
      }}
    />
  );
}
