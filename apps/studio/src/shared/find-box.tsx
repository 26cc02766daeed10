import { Search } from 'lucide-react';

interface Props {
  /** What it finds, for whoever can't see where it stands. */
  label: string;
  placeholder: string;
  value: string;
  /** Pixels. */
  width: number;
  most?: number;
  onFind: (words: string) => void;
}

/** A box to find something among what is listed. */
export function FindBox({ label, placeholder, value, width, most = 100, onFind }: Props) {
  return (
    <span className="relative">
      <Search size={14} className="absolute start-2 top-2 text-ink-3" aria-hidden="true" />
      <input
        type="search"
        className="field h-[30px] max-w-full ps-7"
        style={{ width }}
        aria-label={label}
        placeholder={placeholder}
        value={value}
        maxLength={most}
        onChange={({ target }) => onFind(target.value)}
      />
    </span>
  );
}
