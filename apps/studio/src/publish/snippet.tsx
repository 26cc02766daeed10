import { Check, Copy } from 'lucide-react';
import { useApi } from '../api/api.js';
import { useCopy } from '../shared/use-copy.js';

/** The lines that put a lens on a page. */
export function snippetFor(slug: string, origin: string): string {
  return `<script type="module" src="${origin}/embed/ivy-lens.js"></script>\n<ivy-lens name="${slug}" style="display:block;min-height:100vh"></ivy-lens>`;
}

export function Snippet({ slug }: { slug: string }) {
  const { copied, copy } = useCopy();
  // pages elsewhere may reach the server by another name than the studio does
  const { data: about } = useApi('/api/v1/about', {});
  const snippet = snippetFor(slug, about?.publicUrl ?? location.origin);
  return (
    <section className="section">
      <h2 className="serif text-[16.5px] font-semibold">Snippet</h2>
      <p className="mt-0.5 text-[13px] text-ink-2">
        Put it where the listing should stand. It always shows the newest release.
      </p>
      <pre
        className="mono mt-2 overflow-x-auto rounded-[2px] border border-rule bg-sunk p-3 text-[12px] leading-relaxed whitespace-pre-wrap [overflow-wrap:anywhere]"
        tabIndex={0}
      >
        {snippet}
      </pre>
      <div className="mt-2 flex items-center justify-between">
        <span className="text-[13px] text-ink-3">One script, no other file, no cookies.</span>
        <button type="button" className="button button-small" onClick={() => void copy(snippet)}>
          {copied ? <Check size={14} /> : <Copy size={14} />} {copied ? 'Copied' : 'Copy'}
        </button>
      </div>
    </section>
  );
}
