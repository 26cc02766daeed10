import { Check, Copy } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useApi } from '../api/api.js';
import { useCopy } from '../shared/use-copy.js';

/** The lines that put a lens on a page. */
export function snippetFor(slug: string, origin: string): string {
  return `<script type="module" src="${origin}/embed/ivy-lens.js"></script>\n<ivy-lens name="${slug}" style="display:block;min-height:100vh"></ivy-lens>`;
}

/** The line that has a page of its own read what is marked on it in the studio. */
export function mappedLineFor(slug: string, origin: string): string {
  return `<script type="module" src="${origin}/embed/ivy-page.js" data-ivy-name="${slug}"></script>`;
}

export function Snippet({ slug }: { slug: string }) {
  return (
    <Line
      title="Snippet"
      says="Put it where the listing should stand. It always shows the newest release."
      foot="One script, no other file, no cookies."
      lineFor={(origin) => snippetFor(slug, origin)}
    />
  );
}

/** The same for a lens that is mapped on a page. */
export function MappedLine({ slug }: { slug: string }) {
  return (
    <>
      <Line
        title="The line"
        says="Put it in the head of the page. Nothing else there changes."
        foot="It reads the newest release."
        lineFor={(origin) => mappedLineFor(slug, origin)}
      />
      <p className="section">
        <Link to={`/lenses/${slug}/page`} className="link">
          See what is marked on the page
        </Link>
      </p>
    </>
  );
}

/** Where the newest posts can be followed by a reader of feeds. */
export function FeedLine({ slug }: { slug: string }) {
  const at = `/api/v1/lenses/${slug}/feed`;
  return (
    <Line
      title="To follow"
      says="The newest 50 posts, for readers of feeds. Put choices after a question mark, as in an address of the page, and it is a feed of those."
      foot={
        <a className="link" href={`${at}.json`}>
          The same as JSON Feed
        </a>
      }
      lineFor={(origin) => `${origin}${at}.atom`}
    />
  );
}

interface LineProps {
  title: string;
  says: string;
  foot: ReactNode;
  lineFor: (origin: string) => string;
}

function Line({ title, says, foot, lineFor }: LineProps) {
  const { copied, copy } = useCopy();
  // pages elsewhere may reach the server by another name than the studio does
  const { data: about } = useApi('/api/v1/about', {});
  const snippet = lineFor(about?.publicUrl ?? location.origin);
  return (
    <section className="section">
      <h2 className="serif text-[16.5px] font-semibold">{title}</h2>
      <p className="mt-0.5 text-[13px] text-ink-2">{says}</p>
      <pre
        className="mono mt-2 overflow-x-auto rounded-[2px] border border-rule bg-sunk p-3 text-[12px] leading-relaxed whitespace-pre-wrap [overflow-wrap:anywhere]"
        tabIndex={0}
      >
        {snippet}
      </pre>
      <div className="mt-2 flex items-center justify-between">
        <span className="text-[13px] text-ink-3">{foot}</span>
        <button type="button" className="button button-small" onClick={() => void copy(snippet)}>
          {copied ? <Check size={14} /> : <Copy size={14} />} {copied ? 'Copied' : 'Copy'}
        </button>
      </div>
    </section>
  );
}
