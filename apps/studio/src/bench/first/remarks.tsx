import { Check, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';

interface Props {
  /** Slug of the lens. */
  slug: string;
  /** Whether something is chosen; whether a setting was changed; whether there is a release. */
  done: { chosen: boolean; changed: boolean; released: boolean };
}

const place = (slug: string) => `ivy-remarks ${slug}`;

interface Kept {
  chosen?: boolean;
  changed?: boolean;
  away?: boolean;
}

/** Three remarks beside a first lens. Each goes once it is done; none is in the way. */
export function Remarks({ slug, done }: Props) {
  const [kept, setKept] = useState<Kept>(() => read(slug));
  // what was done once stays done, though it is taken back
  const chosen = (kept.chosen ?? false) || done.chosen;
  const changed = (kept.changed ?? false) || done.changed;
  if (chosen !== (kept.chosen ?? false) || changed !== (kept.changed ?? false)) setKept({ ...kept, chosen, changed });
  useEffect(() => localStorage.setItem(place(slug), JSON.stringify(kept)), [slug, kept]);
  if (done.released || kept.away) return null;
  const remarks = [
    { id: 'chosen', isDone: chosen, words: 'Tick something on the page: its address above says it.' },
    { id: 'changed', isDone: changed, words: 'Change a setting on the right: the page follows.' },
    { id: 'released', isDone: false, words: 'Publish, and put one line on your page.' },
  ];
  return (
    <aside aria-label="Your first lens" className="mx-2.5 my-3 border border-rule-2 bg-raised px-3 py-2">
      <p className="flex items-center justify-between">
        <Link to="/help/first-filter" className="remark text-[15px] hover:underline">
          Your first lens
        </Link>
        <button
          type="button"
          className="icon-button -me-1.5"
          aria-label="Put the remarks away"
          onClick={() => setKept({ ...kept, away: true })}
        >
          <X size={14} />
        </button>
      </p>
      <ol>
        {remarks.map(({ id, isDone, words }, i) => (
          <li key={id} className={`flex gap-2 py-0.5 text-[13px] ${isDone ? 'text-ink-3 line-through' : 'text-ink'}`}>
            <span className="w-[14px] shrink-0">
              {isDone ? <Check size={13} className="mt-[3px] text-ivy" aria-label="Done" /> : `${i + 1}.`}
            </span>
            {words}
          </li>
        ))}
      </ol>
    </aside>
  );
}

function read(slug: string): Kept {
  try {
    return JSON.parse(localStorage.getItem(place(slug)) ?? '{}') as Kept;
  } catch {
    return {};
  }
}
