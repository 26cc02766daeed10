import { FileText } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { FileInput } from '../shared/file-input.js';

interface Props {
  /** What the file input is called. */
  label: string;
  /** Called with what was dropped: one file, or as many as there were where several may be. */
  onFiles: (files: readonly File[]) => void;
  takesSeveral?: boolean;
  /** What stands beside the sign of a file. */
  children: ReactNode;
  /** What there is to press instead of the button that opens the dialog of files. */
  instead?: ReactNode;
  /** A row on a page that has more, or the lens itself where there is nothing yet. */
  shape?: 'row' | 'lens';
}

/** Where files are dropped, or chosen. */
export function FileDrop({ label, onFiles, takesSeveral = false, children, instead, shape = 'row' }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const take = (files: readonly File[]) => {
    if (files.length > 0) onFiles(takesSeveral ? files : files.slice(0, 1));
  };
  return (
    <div
      className={`squared relative ${shapes[shape].outer} ${isOver ? 'border-ivy' : shapes[shape].rest}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take([...event.dataTransfer.files]);
      }}
    >
      <div className={shapes[shape].inner}>
        <FileText size={30} strokeWidth={1.4} className="shrink-0 text-ivy" />
        {children}
        {instead ?? (
          <button type="button" className="button button-main" onClick={() => input.current?.click()}>
            Choose a file
          </button>
        )}
        <FileInput input={input} label={label} accept={readable} takesSeveral={takesSeveral} onFiles={take} />
      </div>
    </div>
  );
}

/** Endings of what is read. */
const readable =
  '.csv,.tsv,.txt,.json,.geojson,.ndjson,.jsonl,.xml,.rss,.rdf,.atom,.opml,.ics,.md,.markdown,.zip,.html,.htm,.xlsx';

const shapes = {
  row: {
    outer: 'rounded-[3px] border border-dashed p-3 sm:p-6',
    rest: 'border-rule-2',
    inner:
      'mx-auto flex max-w-2xl items-center gap-5 rounded-[2px] border border-rule bg-raised px-6 py-5 max-sm:flex-wrap max-sm:px-4',
  },
  lens: {
    outer: 'grid aspect-square w-full max-w-[420px] place-items-center rounded-full border-[5px] bg-raised!',
    rest: 'border-ivy',
    inner: 'grid max-w-[300px] justify-items-center gap-3 p-4 text-center max-sm:max-w-[250px]',
  },
};
