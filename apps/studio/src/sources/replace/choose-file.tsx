import { FileDrop } from '../file-drop.js';

interface Props {
  words: string;
  hint: string;
  onFile: (file: File) => void;
}

/** Where the file is dropped, or chosen, that takes the place of posts. */
export function ChooseFile({ words, hint, onFile }: Props) {
  return (
    <div className="p-5">
      <FileDrop label="New file of posts" onFiles={([file]) => onFile(file!)}>
        <p className="min-w-0 flex-1 max-sm:basis-3/5">
          <span className="serif block text-[17px] font-semibold">{words}</span>
          <span className="text-ink-2">{hint}</span>
        </p>
      </FileDrop>
    </div>
  );
}
