import type { FacetReason, NearPost, Nearest } from '@ivy/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { figure } from '../../shared/figures.js';
import { HelpLink } from '../../shared/help-link.js';
import { FindBox } from '../../shared/find-box.js';
import { hueAttribute, Seed } from '../../shared/seed.js';
import { Failed } from '../../shared/states.js';
import type { DrawerParts } from './parts.js';
import { useSight } from './use-sight.js';
import { WaysIn } from './ways-in.js';

/** How far from being shown posts are, in words: by how many facets stop them. */
const steps = ['Shown', 'One step away', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'];

/** Why posts are shown or not: each facet with a choice a column, the posts that miss by least first. */
export function WhyTab({ text, onText, ...props }: DrawerParts & { text: string; onText: (text: string) => void }) {
  const { lens, address, dryRun, dryRuns } = props;
  const [failing, setFailing] = useState(1);
  const [open, setOpen] = useState<string | null>(null);
  const isFinding = text.trim() !== '';
  const active = dryRun?.sieve.facets.length ?? 0;
  // where fewer facets have a choice than before, nothing is so far away any more
  const at = Math.min(failing, active);
  const wanted = { of: isFinding ? { find: text } : { failing: at } };
  const { seen, isLooking, problem } = useSight(dryRuns, { name: 'nearest', lens, address, wanted });
  if (problem && !seen) return <Failed error={problem} retry={() => setFailing(at)} />;
  return (
    <div className="flex h-full flex-col">
      <div className="flex h-[38px] shrink-0 items-center gap-3 ps-3.5 pe-10">
        <FindBox
          label="Find a post by its title or id"
          placeholder="Find a post by its title"
          width={210}
          most={200}
          value={text}
          onFind={onText}
        />
        <HelpLink page="why-missing" />
        {!isFinding && seen && <Distances {...{ seen, at, active }} onPick={setFailing} />}
        {isFinding && seen && (
          <span className="text-[13px] text-ink-2" role="status">
            {seen.found === 0 ? 'No post has this in its title.' : `${figure(seen.found)} found`}
          </span>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-auto" aria-busy={isLooking}>
        {!seen ? (
          <p className="remark ps-3.5 text-ink-3">Looking…</p>
        ) : seen.posts.length === 0 ? (
          !isFinding && <Nobody active={active} at={at} />
        ) : (
          <Rows {...props} seen={seen} open={open} onOpen={(id) => setOpen(open === id ? null : id)} />
        )}
      </div>
    </div>
  );
}

function Nobody({ active, at }: { active: number; at: number }) {
  return (
    <p className="remark px-3.5 py-2 text-[15px] text-ink-2">
      {active === 0
        ? 'Nothing is chosen, so no facet keeps a post out. Find a post above, or choose something on the page.'
        : at === 0
          ? 'No post is shown.'
          : 'No post is so far away.'}
    </p>
  );
}

/** How many posts are how far away, and which of them are listed. */
function Distances({
  seen,
  at,
  active,
  onPick,
}: {
  seen: Nearest;
  at: number;
  active: number;
  onPick: (failing: number) => void;
}) {
  const all = [...Array.from({ length: active }, (_, i) => i + 1), 0];
  return (
    <div className="flex min-w-0 overflow-x-auto" role="group" aria-label="How far away">
      {all.map((n) => (
        <button
          key={n}
          type="button"
          aria-pressed={n === at}
          className="h-[37px] border-b-2 border-transparent px-2.5 text-[13px] whitespace-nowrap text-ink-2 hover:text-ink aria-pressed:border-ivy aria-pressed:font-semibold aria-pressed:text-ivy"
          onClick={() => onPick(n)}
        >
          {steps[n] ?? `${n}`} <b className="font-semibold tabular-nums">{figure(seen.failing[n] ?? 0)}</b>
        </button>
      ))}
    </div>
  );
}

interface RowsProps extends DrawerParts {
  seen: Nearest;
  open: string | null;
  onOpen: (id: string) => void;
}

function Rows({ seen, open, onOpen, ...props }: RowsProps) {
  const { hues, labelOf, source } = props;
  const keys = seen.posts[0]!.facets.map(({ key }) => key);
  return (
    <table className="w-full table-fixed border-collapse text-[13.5px]" style={{ minWidth: 320 + 130 * keys.length }}>
      <thead className="sticky top-0 z-[1] bg-raised">
        <tr className="h-[28px] border-b border-rule text-start">
          <th className="w-[30%] ps-3.5 text-start font-normal text-ink-2">Nearest first</th>
          {keys.map((key) => (
            <th key={key} className="px-2 text-start font-semibold" {...hueAttribute(hues.get(key) ?? 1)}>
              <span className="flex items-center gap-1.5">
                <Seed hue={hues.get(key) ?? 1} size={11} /> <span className="truncate">{labelOf(key)}</span>
              </span>
            </th>
          ))}
          <th className="w-[26%] px-2 text-start font-normal text-ink-2">Why</th>
        </tr>
      </thead>
      <tbody>
        {seen.posts.map((post) => {
          const isOpen = post.id === open;
          return [
            <tr key={post.id} className={`border-b border-rule ${isOpen ? 'bg-sunk' : ''}`}>
              <th className="ps-3.5 text-start font-semibold">
                <button
                  type="button"
                  aria-expanded={isOpen}
                  className="block h-[31px] w-full truncate text-start hover:underline"
                  dir="auto"
                  title={post.title ?? post.id}
                  onClick={() => onOpen(post.id)}
                >
                  {post.title ?? post.id}
                </button>
              </th>
              {post.facets.map((facet) => (
                <Cell key={facet.key} facet={facet} hue={hues.get(facet.key) ?? 1} />
              ))}
              <td className="truncate px-2 text-ink-2" title={reasonOf(post, labelOf)}>
                {reasonOf(post, labelOf)}
              </td>
            </tr>,
            isOpen && (
              <tr key={`${post.id} open`} className="border-b border-rule bg-sunk">
                <td colSpan={keys.length + 2} className="px-3.5 pb-2">
                  <div className="flex flex-wrap items-center gap-2">
                    <WaysIn {...props} post={post} />
                    <Link
                      className="link ms-auto"
                      to={`/sources/${source.slug}/posts?q=${encodeURIComponent(post.id)}`}
                    >
                      The post itself
                    </Link>
                  </div>
                </td>
              </tr>
            ),
          ];
        })}
      </tbody>
    </table>
  );
}

/** A seed that is filled where the post passes, and open on its ground where it does not. */
function Cell({ facet: { passes, value, reason }, hue }: { facet: FacetReason; hue: number }) {
  return (
    <td
      className={`px-2 ${passes ? 'text-ink-2' : 'bg-hue-ground font-semibold text-hue-text'}`}
      title={reason}
      {...hueAttribute(hue)}
    >
      <span className="flex items-center gap-1.5">
        <Seed hue={hue} size={11} open={!passes} />
        <span className="truncate">{value ?? (passes ? 'found' : 'no match')}</span>
        <span className="sr-only">{passes ? 'passes' : 'stops it'}</span>
      </span>
    </td>
  );
}

/** What stops a post, in a sentence: of several facets the first, and how many more. */
function reasonOf({ facets, inScope }: NearPost, labelOf: (key: string) => string): string {
  if (!inScope) return 'It is not among the posts of this lens.';
  const stopping = facets.filter(({ passes }) => !passes);
  const [first] = stopping;
  if (!first) return 'It is shown.';
  const more = stopping.length > 1 ? ` And ${stopping.length - 1} more.` : '';
  return `${labelOf(first.key)}: ${first.reason}${more}`;
}
