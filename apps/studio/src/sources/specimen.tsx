import { hasTerms, isRemark, safeAddress, type FieldDescription, type Finding } from '@ivy/core';
import { TriangleAlert } from 'lucide-react';
import { useApi } from '../api/api.js';
import type { SourceView, TermView } from '@ivy/client';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';

interface Props {
  number: number;
  source: SourceView;
  field: FieldDescription;
  /** Hue it would have as a facet; null when it only feeds the card. */
  hue: number | null;
  findings: readonly Finding[];
  chosen: boolean;
  onChoose: () => void;
}

/** One field, pinned to the tray with its values drawn as what they are. */
export function Specimen({ number, source, field, hue, findings, chosen, onChoose }: Props) {
  const notes = findings.filter((finding) => !isRemark(finding));
  return (
    <li className="relative pt-2" {...(hue === null ? {} : hueAttribute(hue))}>
      <span
        className="absolute top-0 left-1/2 z-10 grid h-[19px] w-[19px] -translate-x-1/2 place-items-center rounded-full border border-rule-2 bg-raised"
        aria-hidden="true"
      >
        {hue === null ? <span className="h-2 w-2 rounded-full border-2 border-ink-3" /> : <Seed hue={hue} size={11} />}
      </span>
      <button
        type="button"
        onClick={onChoose}
        aria-pressed={chosen}
        className={`flex h-[268px] w-full flex-col rounded-[2px] border bg-raised text-start ${chosen ? 'border-hue shadow-[0_0_0_2px_var(--h)]' : 'border-rule-2 hover:border-ink-3'}`}
      >
        <span className="flex items-center justify-between px-3 pt-2 text-[12.5px] text-ink-3">
          <span className="remark">No. {number}</span>
          {notes.length > 0 && (
            <span className="inline-flex items-center gap-1 font-semibold text-rust">
              <TriangleAlert size={13} aria-hidden="true" /> {notes.length}
              <span className="sr-only"> findings</span>
            </span>
          )}
        </span>
        <span className="block min-h-0 flex-1 overflow-hidden px-3 py-2">
          <Values source={source} field={field} />
        </span>
        <span className="m-1.5 block border border-rule p-0.5">
          <span className="block border border-rule bg-paper px-2 py-1.5">
            <span className="mono block truncate text-[12.5px] font-semibold text-ink">{field.key}</span>
            <span className="remark flex justify-between gap-1.5 text-[13px] text-ink-2">
              <span className="truncate">{kindWords(field)}</span>
              {field.sureness && (
                <span className={field.sureness === 'unsure' ? 'text-rust' : ''}>{sureWords[field.sureness]}</span>
              )}
            </span>
            <span className="mt-1.5 block h-1 bg-sunk">
              <span
                className={`block h-full ${hue === null ? 'bg-ink-3' : 'bg-hue'}`}
                style={{ width: `${(100 * field.filled) / Math.max(1, source.posts)}%` }}
              />
            </span>
            <span className="mt-1 flex justify-between gap-1.5 text-[12.5px] text-ink-2">
              <span className="shrink-0">
                {field.filled === source.posts
                  ? `all ${figure(source.posts)}`
                  : `${figure(field.filled)} of ${figure(source.posts)}`}
              </span>
              <span className="truncate">{roleWords(field)}</span>
            </span>
          </span>
        </span>
      </button>
    </li>
  );
}

const sureWords = { sure: 'sure', likely: 'likely', unsure: 'unsure' };

/** What a field holds, in words. */
export function kindWords(field: FieldDescription): string {
  if (field.type === 'terms') {
    if (field.tree) return field.multiple ? 'terms in a tree, many each' : 'terms in a tree';
    return field.multiple ? 'terms, many each' : 'terms, one each';
  }
  const words = {
    text: 'text',
    html: 'formatted text',
    date: 'days',
    datetime: 'days and times',
    number: 'numbers',
    boolean: 'yes or no',
    link: 'links',
    image: 'pictures',
    reference: 'references',
  };
  return words[field.type];
}

function roleWords(field: FieldDescription): string {
  const words = {
    id: 'the key',
    title: 'card title',
    summary: 'card text',
    body: 'full text',
    link: 'opens the post',
    image: 'card picture',
    published: 'published',
    author: 'author',
  };
  return field.role ? words[field.role] : '';
}

function Values({ source, field }: { source: SourceView; field: FieldDescription }) {
  if (field.left) {
    return (
      <span className="remark text-ink-3">
        left out{field.because && <span className="mt-1 block text-[13px]">{field.because}</span>}
      </span>
    );
  }
  if (field.filled === 0) return <span className="remark text-ink-3">nothing in it</span>;
  if (hasTerms(field)) return <TermValues source={source} field={field} />;
  if (field.type === 'image') return <Pictures source={source} field={field} />;
  if (field.spread) return <SpreadBars field={field} spread={field.spread} />;
  return (
    <>
      {field.samples.slice(0, 3).map((sample) => (
        <span
          key={sample}
          className={`mb-1.5 line-clamp-2 break-words ${field.role === 'id' || field.type === 'link' ? 'mono text-[12.5px]' : 'serif text-[14px] leading-snug'}`}
        >
          {sample}
        </span>
      ))}
    </>
  );
}

function TermValues({ source, field }: { source: SourceView; field: FieldDescription }) {
  const { data } = useApi('/api/v1/sources/{slug}/terms/{field}', { slug: source.slug, field: field.key });
  if (!data) return null;
  const most = mostPosts(data);
  const depths = depthsOf(data);
  return (
    <>
      {data.slice(0, data.length > 6 ? 5 : 6).map((term, i) => (
        <span key={term.slug} className="flex items-center gap-2 leading-[20px]">
          <span className="min-w-0 flex-1 truncate" style={{ paddingInlineStart: depths[i]! * 11 }}>
            {term.label}
          </span>
          <span
            className="h-1.5 bg-hue-half"
            style={{ width: Math.max(2, (38 * term.count) / most) }}
            aria-hidden="true"
          />
          <span className="w-7 text-end text-ink-2">{figure(term.count)}</span>
        </span>
      ))}
      {data.length > 6 && <span className="remark block text-[13px] text-ink-3">and {data.length - 5} more</span>}
    </>
  );
}

/** How many posts the commonest of some terms has, and 1 at least. */
export function mostPosts(terms: readonly TermView[]): number {
  return terms.reduce((most, { count }) => Math.max(most, count), 1);
}

/** How deep each term stands; terms come parents first. */
export function depthsOf(terms: readonly TermView[]): number[] {
  const bySlug = new Map<string, number>();
  return terms.map((term) => {
    const depth = term.parent === null ? 0 : (bySlug.get(term.parent) ?? -1) + 1;
    bySlug.set(term.slug, depth);
    return depth;
  });
}

function Pictures({ source, field }: { source: SourceView; field: FieldDescription }) {
  return (
    <span className="grid grid-cols-2 gap-1.5">
      {field.samples.slice(0, 4).map((sample) => (
        <img
          key={sample}
          src={absolute(safeAddress(sample) ?? '', source.site)}
          alt=""
          loading="lazy"
          className="aspect-[16/10] w-full rounded-[2px] bg-sunk object-cover"
        />
      ))}
    </span>
  );
}

function absolute(address: string, site: string | null): string {
  try {
    return new URL(address, site ?? location.origin).href;
  } catch {
    return address;
  }
}

function SpreadBars({ field, spread }: { field: FieldDescription; spread: NonNullable<FieldDescription['spread']> }) {
  const most = Math.max(1, ...spread.counts);
  return (
    <>
      <span className="flex h-[88px] items-end gap-[2px] border-b border-hue" aria-hidden="true">
        {spread.counts.map((count, i) => (
          <span
            key={i}
            className="flex-1 bg-hue"
            style={{ height: `${count === 0 ? 0 : Math.max(3, (100 * count) / most)}%`, opacity: 0.75 }}
          />
        ))}
      </span>
      <span className="mt-1 flex justify-between text-[12.5px] text-ink-2">
        <span>{edge(spread.low)}</span>
        <span>{edge(spread.high)}</span>
      </span>
      <span className="remark mt-2 block text-[13px] text-ink-3">{figure(field.distinct)} different</span>
    </>
  );
}

function edge(value: string | number): string {
  return typeof value === 'number' ? figure(value) : value.slice(0, 10);
}
