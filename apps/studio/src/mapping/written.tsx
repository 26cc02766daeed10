import type { Mark } from '@ivy/core';
import { Check, Copy } from 'lucide-react';
import { useApi } from '../api/api.js';
import { mappedLineFor } from '../publish/snippet.js';
import { useCopy } from '../shared/use-copy.js';
import { roleOf, writtenOf } from './marks.js';

/** What the page would carry: one line, or the attributes by hand. */
export function Written({ slug, marks, items }: { slug: string | null; marks: readonly Mark[]; items: number }) {
  const name = slug ?? 'name-of-the-lens';
  const { data: about } = useApi('/api/v1/about', {});
  const line = mappedLineFor(name, about?.publicUrl ?? location.origin);
  const byHand = marks
    .filter((mark) => roleOf(mark) !== 'item')
    .map((mark) => `${mark.in === 'item' ? '  in each item  ' : ''}${mark.at}   ${writtenOf(mark, name)}`)
    .join('\n');
  return (
    <section
      aria-label="On the page"
      className="grid shrink-0 gap-4 border-t lg:h-[132px] lg:grid-cols-2 border-rule bg-paper px-4 py-2.5"
    >
      <div className="min-w-0">
        <h2 className="serif flex items-baseline gap-2 text-[15.5px] font-semibold">
          On the page: one line <span className="remark font-normal text-ink-2">and no other change</span>
        </h2>
        <Code text={line} name="the line" isSoft={slug === null} />
        <p className="mt-1 text-[12.5px] text-ink-2">
          {slug === null
            ? 'The line is right once the mapping is kept.'
            : 'In the head of the page. What is published is what it reads.'}
        </p>
      </div>
      <div className="flex min-h-0 min-w-0 flex-col">
        <h2 className="serif flex items-baseline gap-2 text-[15.5px] font-semibold">
          Or by hand
          <span className="remark font-normal text-ink-2">
            {items > 0 ? `what each element would say` : 'nothing is marked yet'}
          </span>
        </h2>
        <Code text={byHand} name="the attributes" isTall />
      </div>
    </section>
  );
}

function Code({
  text,
  name,
  isTall = false,
  isSoft = false,
}: {
  text: string;
  name: string;
  isTall?: boolean;
  isSoft?: boolean;
}) {
  const { copied, copy } = useCopy();
  return (
    <div className={`relative mt-1 min-h-0 border border-rule bg-sunk ${isTall ? 'flex-1' : ''}`}>
      <pre
        tabIndex={0}
        className={`mono h-full overflow-auto py-1.5 ps-2 pe-10 text-[11.5px] leading-[1.5] whitespace-pre ${isSoft ? 'text-ink-3' : ''}`}
      >
        {text}
      </pre>
      <button
        type="button"
        className="icon-button absolute end-1 top-1 bg-raised"
        aria-label={copied ? 'Copied' : `Copy ${name}`}
        onClick={() => void copy(text)}
      >
        {copied ? <Check size={14} /> : <Copy size={14} />}
      </button>
    </div>
  );
}
