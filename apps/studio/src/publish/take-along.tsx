import { FolderDown } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { urlOf } from '@ivy/client';
import { api } from '../api/api.js';
import { HelpLink } from '../shared/help-link.js';

/** What became of the last time it was taken. */
type At = 'rest' | 'packing' | 'taken' | { problem: string };

/** The lens with its posts, as files that need no server. */
export function TakeAlong({ slug, release }: { slug: string; release: number }) {
  const [at, setAt] = useState<At>('rest');
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);

  const take = async () => {
    const { signal } = (running.current = new AbortController());
    setAt('packing');
    try {
      const reply = await api.fetch(urlOf('/api/v1/lenses/{slug}/bundle.zip', { slug }), { signal });
      save(await reply.blob(), `${slug}.zip`);
      setAt('taken');
    } catch (error) {
      setAt(signal.aborted ? 'rest' : { problem: (error as Error).message });
    }
  };
  return (
    <section className="section" aria-label="To take along">
      <div className="flex items-center justify-between">
        <h2 className="serif text-[16.5px] font-semibold">To take along</h2>
        <HelpLink page="without-server" />
      </div>
      <p className="mt-0.5 text-[13px] text-ink-2">
        Release {release} with its posts as they are now, in files that answer by themselves: for a site that asks no
        server. What it neither shows nor filters, sorts or searches by stays here.
      </p>
      <div className="mt-2 flex items-center justify-between gap-3">
        <span className="text-[13px] text-ink-3" aria-live="polite">
          {typeof at === 'object' ? (
            <span className="text-bad">{at.problem}</span>
          ) : (
            {
              rest: 'A page, one script, and what to do with them.',
              packing: 'Packing…',
              taken: `${slug}.zip is yours.`,
            }[at]
          )}
        </span>
        <button
          type="button"
          className="button button-small shrink-0"
          onClick={() => (at === 'packing' ? running.current?.abort() : void take())}
        >
          {at === 'packing' ? (
            'Cancel'
          ) : (
            <>
              <FolderDown size={14} /> Take it along
            </>
          )}
        </button>
      </div>
    </section>
  );
}

/** Has the browser keep a file. */
function save(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  // the browser has begun to read it by then
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
