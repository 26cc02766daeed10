import type { RunMade } from '@ivy/client';
import { ArrowRight } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import { differenceOf, type Piece } from '@ivy/core';
import { figure } from '../../shared/figures.js';

type Post = NonNullable<RunMade['posts']>[number];

interface Props {
  looked: RunMade;
  keepsMissing: boolean;
  onKeepMissing: (keeps: boolean) => void;
}

/** Slips shown of a band until more are asked for. */
const few = 8;

/** What a file changes, in three bands: what comes, what is another, what goes. */
export function DiffBands({ looked, keepsMissing, onKeepMissing }: Props) {
  const { added, changed, removed, unchanged, rejected, posts = [] } = looked;
  const of = (kind: Post['change']) => posts.filter(({ change }) => change === kind);
  const id = useId();
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-3 px-5 pt-4 pb-2">
        <span className="serif text-[23px] font-semibold">What this file would change</span>
        <span className="remark text-[15px] text-ink-2">
          {figure(unchanged)} {unchanged === 1 ? 'post reads' : 'posts read'} the same.
        </span>
      </p>
      {rejected.length > 0 && (
        <p className="px-5 pb-2 text-rust">
          {figure(rejected.length)} {rejected.length === 1 ? 'record is' : 'records are'} left out:{' '}
          {rejected
            .slice(0, 3)
            .map(({ record, reason }) => `record ${record}: ${reason}`)
            .join(' ')}
        </p>
      )}
      <Band sign="+" count={added} name="added" tone="squared bg-paper" posts={of('added')}>
        {(shown) => (
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-2">
            {shown.map((post) => (
              <li key={post.id} className="rounded-[2px] border border-rule-2 bg-raised px-3 py-2">
                <span className="serif line-clamp-2 text-[14.5px] leading-snug">{post.title}</span>
                <span className="mono block truncate text-[12px] text-ink-3">{post.id}</span>
              </li>
            ))}
          </ul>
        )}
      </Band>
      <Band sign="~" count={changed} name="changed" tone="" posts={of('changed')}>
        {(shown) => (
          <ul>
            {shown.map((post) => (
              <Changed key={post.id} post={post} />
            ))}
          </ul>
        )}
      </Band>
      <Band sign="−" count={removed} name="removed" tone="bg-sunk" posts={of('removed')}>
        {(shown) => (
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-2">
            {shown.map((post) => (
              <li key={post.id} className="rounded-[2px] border border-dashed border-rule-2 px-3 py-2 text-ink-2">
                <s className="serif line-clamp-2 text-[14.5px] leading-snug">{post.title}</s>
              </li>
            ))}
          </ul>
        )}
      </Band>
      {(removed > 0 || keepsMissing) && (
        <p className="flex items-center gap-2 bg-sunk px-5 pb-4">
          <input
            id={id}
            type="checkbox"
            className="accent-(--color-ivy)"
            checked={keepsMissing}
            onChange={({ target }) => onKeepMissing(target.checked)}
          />
          <label htmlFor={id}>Keep posts that are not in this file</label>
        </p>
      )}
    </>
  );
}

interface BandProps {
  sign: string;
  count: number;
  name: string;
  tone: string;
  posts: readonly Post[];
  children: (shown: readonly Post[]) => ReactNode;
}

function Band({ sign, count, name, tone, posts, children }: BandProps) {
  const [isWhole, setWhole] = useState(false);
  if (count === 0) return null;
  return (
    <section
      aria-label={name}
      className={`grid border-t border-rule px-5 py-4 sm:grid-cols-[92px_minmax(0,1fr)] ${tone}`}
    >
      <div className="max-sm:mb-2">
        <b className="serif text-[23px] font-semibold">
          {sign}
          {figure(count)}
        </b>
        <span className="remark block text-[15px] text-ink-2">{name}</span>
        {posts.length > few && (
          <button type="button" className="link text-[13px]" aria-expanded={isWhole} onClick={() => setWhole(!isWhole)}>
            {isWhole ? 'see few' : 'see all'}
          </button>
        )}
      </div>
      <div className="min-w-0">
        {children(isWhole ? posts : posts.slice(0, few))}
        {isWhole && count > posts.length && (
          <p className="remark mt-2 text-[13px] text-ink-3">and {figure(count - posts.length)} more</p>
        )}
      </div>
    </section>
  );
}

/** A post of which something is another: field by field, with the letters that changed set off. */
function Changed({ post }: { post: Post }) {
  return (
    <li className="grid gap-x-4 border-b border-rule py-1.5 last:border-0 sm:grid-cols-[minmax(0,2fr)_minmax(0,4fr)]">
      <span className="truncate font-semibold">{post.title}</span>
      <span>
        {post.values.map(({ key, before, after }) => (
          <span
            key={key}
            className="grid grid-cols-[minmax(0,96px)_minmax(0,1fr)_16px_minmax(0,1fr)] items-baseline gap-2"
          >
            <span className="mono truncate text-[12.5px] text-ink-2">{key}</span>
            <span className="truncate text-ink-3">{before || <i>nothing</i>}</span>
            <ArrowRight size={12} className="self-center text-ink-3" aria-label="becomes" />
            <span className="truncate">
              {after === '' ? (
                <i className="text-ink-3">nothing</i>
              ) : (
                setOff(before, after).map(({ text, isOdd }, i) =>
                  isOdd ? (
                    <mark key={i} className="rounded-[1px] bg-ivy-soft text-ink">
                      {text}
                    </mark>
                  ) : (
                    <span key={i}>{text}</span>
                  ),
                )
              )}
            </span>
          </span>
        ))}
      </span>
    </li>
  );
}

/** What of a value is another; all of it, where little stayed. */
function setOff(before: string, after: string): Piece[] {
  const { pieces } = differenceOf(before, after);
  const same = pieces.filter(({ isOdd }) => !isOdd).reduce((sum, { text }) => sum + text.length, 0);
  return same * 2 < after.length ? [{ text: after, isOdd: true }] : pieces;
}
