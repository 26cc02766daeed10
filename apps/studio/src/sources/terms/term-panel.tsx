import type { SourceView, TermView } from '@ivy/client';
import { slugify } from '@ivy/core';
import { ChevronDown, ChevronUp, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { countOf, figure } from '../../shared/figures.js';
import { Leaf } from './leaf.js';
import { EffectWords, useEffectOf } from './effect-note.js';
import { Carriers } from './carriers.js';
import type { TermAct, TermBody } from './term-act.js';
import { branchOf, siblingsOf, type TermTree } from './term-tree.js';

/** Parents that are offered in a list; of more terms they are chosen by carrying. */
const mostOffered = 300;

interface Props {
  source: SourceView;
  field: string;
  tree: TermTree;
  term: TermView;
  isBusy: boolean;
  isAsked: boolean;
  /** Asks whether it is to be deleted, or no longer. */
  onAsk: (isAsked: boolean) => void;
  onAct: (act: TermAct) => void;
}

/** One term: what it is called, where it stands, how it looks, and what hangs on it. */
export function TermPanel({ source, field, tree, term, isBusy, isAsked, onAsk, onAct }: Props) {
  const change = (body: TermBody) => onAct({ does: 'change', term: term.slug, body });
  const siblings = siblingsOf(tree, term);
  const at = siblings.indexOf(term);
  const within = branchOf(tree, term.slug);
  const offered = tree.terms.length <= mostOffered ? tree.terms.filter(({ slug }) => !within.has(slug)) : [];
  // as it would be if it were hidden or shown as it is: told of it is who shows it
  const { effect } = useEffectOf(source.slug, field, {
    does: 'change',
    term: term.slug,
    body: { hidden: term.hidden },
  });
  const suggested = slugify(term.label);
  return (
    <div>
      <h2 className="flex items-center gap-3 border-b border-rule bg-hue-ground px-4 py-2.5">
        <Leaf size={26} count={term.count} own={term.own} colour={term.colour} isHidden={term.hidden} isChosen />
        <span className="serif min-w-0 truncate text-[20px] font-semibold">{term.label}</span>
        <span className="remark text-ink-2">in hand</span>
        <span className="ms-auto">{figure(term.count)}</span>
      </h2>
      <section className="section grid gap-2">
        <Line label="Label">
          <Written
            key={`label ${term.slug} ${term.label}`}
            label="Label"
            id="term-label"
            value={term.label}
            most={200}
            onWrite={(label) => change({ label })}
          />
        </Line>
        <Line label="Slug">
          <Written
            key={`slug ${term.slug}`}
            label="Slug"
            value={term.slug}
            most={120}
            isCode
            onWrite={(slug) => change({ slug: slugify(slug) })}
          />
        </Line>
        {suggested !== term.slug && !tree.bySlug.has(suggested) && (
          <Line label="">
            <button
              type="button"
              className="link text-[13px]"
              disabled={isBusy}
              onClick={() => change({ slug: suggested })}
            >
              Call it {suggested} in addresses too
            </button>
          </Line>
        )}
        <Line label="Aliases">
          {term.aliases.length === 0 ? (
            <span className="remark text-ink-3">none yet</span>
          ) : (
            <span className="mono flex flex-wrap gap-x-2 text-[13px]">
              {term.aliases.map((alias) => (
                <span key={alias} className="border-b border-dashed border-rule-2 break-all">
                  {alias}
                </span>
              ))}
            </span>
          )}
        </Line>
      </section>
      <section className="section grid gap-2">
        <Line label="Parent">
          {offered.length > 0 || tree.terms.length <= mostOffered ? (
            <select
              className="field h-[30px] w-full"
              aria-label="Parent"
              disabled={isBusy}
              value={term.parent ?? ''}
              onChange={({ target }) => change({ parent: target.value === '' ? null : target.value })}
            >
              <option value="">at the top</option>
              {offered.map(({ slug, label }) => (
                <option key={slug} value={slug}>
                  {'\u2003'.repeat(tree.depths.get(slug)!)}
                  {label}
                </option>
              ))}
            </select>
          ) : (
            <span className="text-ink-2">
              {term.parent === null ? 'at the top' : tree.bySlug.get(term.parent)?.label}. Press P and choose another.
            </span>
          )}
        </Line>
        <Line label="Order">
          <span className="flex items-center gap-1">
            {at + 1} of {siblings.length}
            <button
              type="button"
              className="icon-button"
              aria-label="Earlier"
              disabled={isBusy || at <= 0}
              onClick={() => change({ position: at - 1 })}
            >
              <ChevronUp size={15} />
            </button>
            <button
              type="button"
              className="icon-button"
              aria-label="Later"
              disabled={isBusy || at >= siblings.length - 1}
              onClick={() => change({ position: at + 1 })}
            >
              <ChevronDown size={15} />
            </button>
            <label className="ms-auto flex items-center gap-2">
              <input
                type="checkbox"
                className="toggle toggle-sm"
                checked={term.hidden}
                disabled={isBusy}
                onChange={({ target }) => change({ hidden: target.checked })}
              />
              hidden
            </label>
          </span>
        </Line>
      </section>
      <section className="section grid gap-2">
        <Line label="Picture">
          <span className="flex items-center gap-2">
            {term.picture && (
              <img src={term.picture} alt="" className="h-[30px] w-[46px] shrink-0 rounded-[2px] object-cover" />
            )}
            <Written
              key={`picture ${term.slug} ${term.picture ?? ''}`}
              label="Picture"
              value={term.picture ?? ''}
              most={2000}
              isCode
              mayBeEmpty
              placeholder="https://… or /…"
              onWrite={(picture) => change({ picture: picture || null })}
            />
          </span>
        </Line>
        <Line label="Colour">
          <Colour
            key={`${term.slug} ${term.colour ?? ''}`}
            colour={term.colour}
            onPick={(colour) => change({ colour })}
          />
        </Line>
      </section>
      <section className="section">
        <h3 className="eyebrow">Lenses that show it</h3>
        {effect && effect.lenses.length === 0 && <p className="remark text-ink-3">None that visitors have.</p>}
        <ul>
          {effect?.lenses.map(({ slug, name, facets }) => (
            <li key={slug} className="flex items-baseline gap-2">
              <Link to={`/lenses/${slug}`} className="link truncate">
                {name}
              </Link>
              <span className="min-w-4 flex-1 border-b border-dotted border-rule-2" />
              <span className="text-[13px] text-ink-2">{facets.join(', ')}</span>
            </li>
          ))}
        </ul>
      </section>
      <Carriers source={source} field={field} term={term} />
      <section className="section">
        {isAsked ? (
          <Deleting
            source={source.slug}
            field={field}
            term={term}
            isBusy={isBusy}
            onLeave={() => onAsk(false)}
            onDelete={() => onAct({ does: 'remove', term: term.slug })}
          />
        ) : (
          <button type="button" className="button button-small" disabled={isBusy} onClick={() => onAsk(true)}>
            <Trash2 size={14} /> Delete {term.label}
          </button>
        )}
      </section>
    </div>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[64px_minmax(0,1fr)] items-center gap-2">
      <span className="text-ink-2">{label}</span>
      {children}
    </div>
  );
}

interface WrittenProps {
  label: string;
  value: string;
  most: number;
  id?: string;
  isCode?: boolean;
  mayBeEmpty?: boolean;
  placeholder?: string;
  onWrite: (value: string) => void;
}

/** A text that counts once one leaves it or presses Enter; Escape takes it back. */
function Written({ label, value, most, id, isCode = false, mayBeEmpty = false, placeholder, onWrite }: WrittenProps) {
  const [text, setText] = useState(value);
  const write = () => {
    const bare = text.trim();
    if (bare === value || (bare === '' && !mayBeEmpty)) setText(value);
    else onWrite(bare);
  };
  return (
    <input
      {...(id && { id })}
      className={`field h-[30px] w-full ${isCode ? 'mono text-[13px]' : ''}`}
      aria-label={label}
      maxLength={most}
      value={text}
      placeholder={placeholder}
      onChange={({ target }) => setText(target.value)}
      onBlur={write}
      onKeyDown={(event) => {
        if (event.key === 'Enter') write();
        if (event.key === 'Escape') setText(value);
      }}
    />
  );
}

/** Counts once it is let go: while one pulls about, nothing is sent. */
function Colour({ colour, onPick }: { colour: string | null; onPick: (colour: string | null) => void }) {
  const [picked, setPicked] = useState(colour ?? '#8fa39a');
  return (
    <span className="flex items-center gap-2">
      <input
        type="color"
        className="h-[30px] w-[46px] cursor-pointer rounded-[3px] border border-rule-2 bg-raised p-0.5"
        aria-label="Colour"
        value={picked}
        onChange={({ target }) => setPicked(target.value)}
        onBlur={() => picked !== (colour ?? '#8fa39a') && onPick(picked)}
      />
      <span className="mono text-[13px]">{colour ?? 'none'}</span>
      {picked !== (colour ?? '#8fa39a') && (
        <button type="button" className="link text-[13px]" onClick={() => onPick(picked)}>
          take {picked}
        </button>
      )}
      {colour && (
        <button type="button" className="link text-[13px]" onClick={() => onPick(null)}>
          none
        </button>
      )}
    </span>
  );
}

interface DeletingProps {
  source: string;
  field: string;
  term: TermView;
  isBusy: boolean;
  onLeave: () => void;
  onDelete: () => void;
}

/** What deleting comes to, before it is done. */
function Deleting({ source, field, term, isBusy, onLeave, onDelete }: DeletingProps) {
  const act: TermAct = { does: 'remove', term: term.slug };
  const { effect, problem } = useEffectOf(source, field, act);
  return (
    <div className="grid gap-1 border-s-2 border-dashed border-rust ps-2.5" role="status">
      {effect ? <EffectWords effect={effect} act={act} /> : <p>Looking at {countOf(term.count, 'post')}…</p>}
      {problem && <p className="text-bad">{problem}</p>}
      <p className="mt-1 flex gap-2">
        <button
          // once it is known what it comes to, it is the next thing to press
          key={effect ? 'known' : 'looking'}
          type="button"
          autoFocus
          className="button button-small button-main"
          disabled={isBusy || !effect}
          onClick={onDelete}
        >
          Delete
        </button>
        <button type="button" className="button button-small" onClick={onLeave}>
          Leave it
        </button>
      </p>
    </div>
  );
}
