import { BookmarkPlus, ListChecks } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { urlOf } from '@ivy/client';
import { api } from '../../api/api.js';

interface Props {
  slug: string;
  address: string;
  /** How many posts it finds: what it must find from now on. */
  matched: number | undefined;
}

/** How long, in ms, is said what was saved. */
const shownFor = 6000;

/** Keeps the address with what it finds, in one press, and leads to all that are kept. */
export function SaveAddress({ slug, address, matched }: Props) {
  const { mutate } = useSWRConfig();
  const [said, setSaid] = useState<{ words: string; isBad: boolean } | null>(null);
  useEffect(() => {
    if (!said) return;
    const timer = setTimeout(() => setSaid(null), shownFor);
    return () => clearTimeout(timer);
  }, [said]);
  const save = async () => {
    try {
      await api.ask(
        'post',
        '/api/v1/lenses/{slug}/addresses',
        { slug },
        { body: { address, expect: { matched: matched! } } },
      );
      setSaid({ words: `Saved: must find exactly ${matched}`, isBad: false });
      await mutate(urlOf('/api/v1/lenses/{slug}/addresses', { slug }));
    } catch (error) {
      setSaid({ words: (error as Error).message, isBad: true });
    }
  };
  return (
    <span className="relative flex items-center">
      <button
        type="button"
        className="icon-button"
        aria-label="Save this address"
        title="Save this address with what it finds"
        disabled={matched === undefined}
        onClick={() => void save()}
      >
        <BookmarkPlus size={16} />
      </button>
      <Link to={`/lenses/${slug}/addresses`} className="icon-button" aria-label="Addresses" title="Addresses">
        <ListChecks size={16} />
      </Link>
      <span role="status" className="absolute end-0 top-[38px] z-20 whitespace-nowrap">
        {said && (
          <span
            className={`block border border-rule-2 px-3 py-1.5 ${said.isBad ? 'bg-bad-soft text-bad' : 'bg-ivy-soft text-ink'}`}
          >
            {said.words}
          </span>
        )}
      </span>
    </span>
  );
}
