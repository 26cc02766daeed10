import type { SourceView, TermView } from '@ivy/client';
import type { FieldDescription } from '@ivy/core';
import { Plus, Redo2, Undo2 } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { countOf, figure } from '../../shared/figures.js';
import { FindBox } from '../../shared/find-box.js';
import { hueAttribute, Seed } from '../../shared/seed.js';
import { Segments } from '../../shared/segments.js';
import { Failed, Loading } from '../../shared/states.js';
import { useUndoKeys } from '../../shared/use-undo-keys.js';
import { Branch, mostLeaves, mostLevelsDrawn } from './branch.js';
import { DropNote } from './drop-note.js';
import { actOf, useHolding, type Zone } from './holding.js';
import { Leaf } from './leaf.js';
import { NewTerm } from './new-term.js';
import { Rows } from './rows.js';
import type { TermAct } from './term-act.js';
import { TermPanel } from './term-panel.js';
import { placeAfter, termsInSight, termTree, type Step, type TermTree } from './term-tree.js';
import { Thread } from './thread.js';
import { TaxonomyFiles } from './taxonomy-files.js';
import { useShaping } from './use-shaping.js';

interface Props {
  source: SourceView;
  field: FieldDescription;
  hue: number;
  /** How many findings the field has. */
  findings: number;
}

type View = 'branch' | 'rows';

const steps = [
  { way: 'undo', name: 'Undo', keys: 'Ctrl+Z', icon: <Undo2 size={16} /> },
  { way: 'redo', name: 'Redo', keys: 'Ctrl+Shift+Z', icon: <Redo2 size={16} /> },
] as const;

/** Where the terms of a field are renamed, merged, moved, hidden, drawn and deleted. */
export function TermRoom({ source, field, hue, findings }: Props) {
  const shaping = useShaping(source.slug, field.key);
  const { terms, error, isBusy, said, problem } = shaping;
  useUndoKeys(
    () => void shaping.step('undo'),
    () => void shaping.step('redo'),
  );
  const tree = useMemo(() => termTree(terms ?? []), [terms]);
  if (error) return <Failed error={error} retry={shaping.retry} />;
  if (!terms) return <Loading words="Unfolding the terms" />;
  const isDone = shaping.changes.some(({ undone }) => !undone);
  const isUndone = shaping.changes.some(({ undone }) => undone);
  return (
    <div className="flex min-h-0 flex-1 flex-col" {...hueAttribute(hue)}>
      <section
        aria-label="The field"
        className="flex min-h-[46px] shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-raised px-4 py-1"
      >
        <span className="remark text-[16px] text-ink-2">shaping</span>
        <span className="mono flex items-center gap-1.5 border-b-2 border-hue bg-hue-ground px-2 py-1 text-[13px] font-semibold">
          <Seed hue={hue} size={10} /> {field.key}
        </span>
        {findings > 0 && (
          <Link to={`/sources/${source.slug}`} className="text-[13px] text-rust underline underline-offset-3">
            {countOf(findings, 'finding')} on the tray
          </Link>
        )}
        <span role="status" className={`min-w-0 truncate text-[13px] ${problem ? 'text-bad' : 'text-ink-2'}`}>
          {problem || said}
        </span>
        <span className="ms-auto flex flex-wrap items-center gap-1">
          <TaxonomyFiles shaping={shaping} />
          {steps.map(({ way, name, keys, icon }) => (
            <button
              key={way}
              type="button"
              className="icon-button"
              aria-label={name}
              title={`${name} (${keys})`}
              disabled={isBusy || !(way === 'undo' ? isDone : isUndone)}
              onClick={() => void shaping.step(way)}
            >
              {icon}
            </button>
          ))}
          <span className="ms-2">
            <b className="serif text-[21px] font-semibold">{figure(field.filled)}</b>{' '}
            <span className="text-ink-2">of {countOf(source.posts, 'post')}</span>
          </span>
        </span>
      </section>
      <Shaped source={source} field={field} tree={tree} shaping={shaping} />
    </div>
  );
}

interface ShapedProps {
  source: SourceView;
  field: FieldDescription;
  tree: TermTree;
  shaping: ReturnType<typeof useShaping>;
}

function Shaped({ source, field, tree, shaping }: ShapedProps) {
  const { isBusy } = shaping;
  const isSmall = tree.terms.length <= mostLeaves && tree.height <= mostLevelsDrawn;
  const [wanted, setView] = useState<View>(() => (innerWidth < 640 ? 'rows' : 'branch'));
  const view = isSmall ? wanted : 'rows';
  const [words, setWords] = useState('');
  const later = useDeferredValue(words);
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const [picked, setChosen] = useState<string | null>(null);
  const [isAsked, setAsked] = useState(false);
  const [isNew, setNew] = useState(false);
  const room = useRef<HTMLDivElement>(null);
  const shown = useMemo(() => termsInSight(tree, later, folded), [tree, later, folded]);
  const term = (picked !== null && tree.bySlug.get(picked)) || shown[0] || null;
  const focusNext = useRef<string | null>(null);
  // after a change the term in hand has the focus it had, wherever it stands then
  useEffect(() => {
    const next = focusNext.current;
    const item = next !== null && room.current?.querySelector<HTMLElement>(`[data-slug="${CSS.escape(next)}"]`);
    if (!item) return;
    focusNext.current = null;
    item.focus();
  });
  const act = async (done: TermAct, keepsFocus = false) => {
    const at = 'term' in done ? done.term : done.does === 'merge' ? done.from : null;
    const beside = at === null ? null : neighbourOf(shown, at);
    const now = await shaping.act(done);
    if (now === undefined) return;
    const next = now ?? beside;
    setAsked(false);
    setNew(false);
    setChosen(next);
    if (keepsFocus || done.does === 'remove') focusNext.current = next;
  };
  const holding = useHolding((held) => {
    const done = actOf(tree, held);
    if (done) void act(done, true);
  });
  const { held } = holding;
  const choose = (slug: string) => {
    if (held?.by === 'keys') holding.carry(slug);
    else {
      setChosen(slug);
      setAsked(false);
    }
  };
  const goTo = (slug: string | undefined) => {
    if (slug === undefined) return;
    const item = room.current?.querySelector<HTMLElement>(`[data-slug="${CSS.escape(slug)}"]`);
    if (item) item.focus();
    else {
      // it is not drawn yet: a long list draws what is in sight
      focusNext.current = slug;
      choose(slug);
    }
  };
  const keys = (event: KeyboardEvent, on: TermView) => {
    const key = keyOf(event);
    const does = { tree, shown, folded, view };
    if (held?.by === 'keys' && key === 'Enter') {
      event.preventDefault();
      const done = actOf(tree, held);
      holding.drop();
      if (done) void act(done, true);
      return;
    }
    if (held?.by === 'keys' && key === 'Escape') {
      event.preventDefault();
      holding.drop();
      goTo(held.slug);
      return;
    }
    const step = stepKeys[key];
    if (step && !held) {
      event.preventDefault();
      const place = placeAfter(tree, on, step);
      const body = place && (place.parent === on.parent ? { position: place.position } : place);
      if (body && !isBusy) void act({ does: 'change', term: on.slug, body }, true);
      return;
    }
    const move = moveBy(key, on, does);
    if (move) {
      event.preventDefault();
      if (move.fold !== undefined) fold(on.slug, move.fold);
      goTo(move.to);
      return;
    }
    if (held || isBusy) return;
    const take = (zone: Zone) => {
      event.preventDefault();
      holding.take(on.slug, zone);
    };
    if (key === 'm') take('merge');
    else if (key === 'p') take('under');
    else if (key === 'h') void act({ does: 'change', term: on.slug, body: { hidden: !on.hidden } }, true);
    else if (key === 'F2') {
      event.preventDefault();
      document.querySelector<HTMLInputElement>('#term-label')?.select();
    } else if (key === 'Delete') setAsked(true);
    else if (key === 'n') {
      event.preventDefault();
      setNew(true);
    }
  };
  const fold = (slug: string, isFolded: boolean) =>
    setFolded((now) => {
      const next = new Set(now);
      if (isFolded) next.add(slug);
      else next.delete(slug);
      return next;
    });
  const tops = tree.children.get('')?.length ?? 0;
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <main className="squared flex min-w-0 flex-1 flex-col px-4 pt-3 pb-2 max-lg:flex-none lg:min-h-0">
        <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1.5">
          <h2 className="serif text-[22px] font-semibold">
            {countOf(tree.terms.length, 'term')}
            {tree.height > 1 && ` on ${countOf(tops, 'branch', 'branches')}`}
          </h2>
          <span className="ms-auto flex flex-wrap items-center gap-2">
            {view === 'rows' && (
              <FindBox label="Find a term" placeholder="Find a term" value={words} width={170} onFind={setWords} />
            )}
            {isSmall && (
              <Segments label="Terms as" value={view} ways={{ branch: 'Branch', rows: 'Rows' }} onPick={setView} />
            )}
            <button type="button" className="button button-small" onClick={() => setNew(true)}>
              <Plus size={14} /> New term
            </button>
          </span>
        </div>
        {isNew && (
          <NewTerm
            parent={term}
            isBusy={isBusy}
            onLeave={() => setNew(false)}
            onAdd={(label, parent) => void act({ does: 'add', body: { label, parent } })}
          />
        )}
        <div ref={room} className="min-h-0 flex-1 border border-rule-2 bg-raised max-lg:h-[56vh] max-lg:flex-none">
          {tree.terms.length === 0 ? (
            <p className="remark p-8 text-[16px] text-ink-2">No term yet. The first post that names one brings it.</p>
          ) : view === 'branch' ? (
            <div className="h-full overflow-x-hidden overflow-y-auto">
              <Branch
                tree={tree}
                chosen={term?.slug ?? null}
                held={held}
                onChoose={choose}
                onPress={holding.press}
                onKey={keys}
              />
            </div>
          ) : shown.length === 0 ? (
            <p className="remark p-8 text-[16px] text-ink-2">
              No term has that in it.{' '}
              <button type="button" className="link font-sans text-[14px] not-italic" onClick={() => setWords('')}>
                Show all
              </button>
            </p>
          ) : (
            <Rows
              tree={tree}
              shown={shown}
              folded={folded}
              chosen={term?.slug ?? null}
              held={held}
              onFold={fold}
              onChoose={choose}
              onPress={holding.press}
              onKey={keys}
            />
          )}
        </div>
        <Keys />
      </main>
      <aside
        className="flex shrink-0 flex-col border-t border-rule bg-paper lg:w-[320px] lg:overflow-y-auto lg:border-s lg:border-t-0"
        aria-label="The term in hand"
      >
        {term && (
          <TermPanel
            source={source}
            field={field.key}
            tree={tree}
            term={term}
            isBusy={isBusy}
            isAsked={isAsked}
            onAsk={setAsked}
            onAct={(done) => void act(done)}
          />
        )}
        <Thread changes={shaping.changes} isBusy={isBusy} onStep={(way) => void shaping.step(way)} />
      </aside>
      {held && <DropNote slug={source.slug} field={field.key} tree={tree} held={held} />}
    </div>
  );
}

/** Where the focus goes when a term is gone. */
function neighbourOf(shown: readonly TermView[], slug: string): string | null {
  const at = shown.findIndex((one) => one.slug === slug);
  return (shown[at + 1] ?? shown[at - 1])?.slug ?? null;
}

const stepKeys: Record<string, Step | undefined> = {
  'Alt+ArrowUp': 'earlier',
  'Alt+ArrowDown': 'later',
  'Alt+ArrowRight': 'in',
  'Alt+ArrowLeft': 'out',
};

function keyOf({ key, altKey, ctrlKey, metaKey }: KeyboardEvent): string {
  if (ctrlKey || metaKey) return '';
  return altKey ? `Alt+${key}` : key.length === 1 ? key.toLowerCase() : key;
}

interface Sight {
  tree: TermTree;
  shown: readonly TermView[];
  folded: ReadonlySet<string>;
  view: View;
}

/** Where an arrow leads, and what it folds on the way; null for any other key. */
function moveBy(
  key: string,
  on: TermView,
  { tree, shown, folded, view }: Sight,
): { to?: string; fold?: boolean } | null {
  const at = shown.indexOf(on);
  const by = (step: number) => ({ to: shown[at + step]?.slug });
  if (key === 'Home') return { to: shown[0]?.slug };
  if (key === 'End') return { to: shown.at(-1)?.slug };
  if (view === 'branch') {
    if (key === 'ArrowRight') return by(1);
    if (key === 'ArrowLeft') return by(-1);
    const tops = tree.children.get('') ?? [];
    const own = [...shown.slice(0, at + 1)].reverse().find(({ parent }) => parent === null);
    const next = tops[tops.indexOf(own!) + (key === 'ArrowDown' ? 1 : -1)];
    return key === 'ArrowDown' || key === 'ArrowUp' ? { to: next?.slug } : null;
  }
  if (key === 'ArrowDown') return by(1);
  if (key === 'ArrowUp') return by(-1);
  const hasChildren = tree.children.has(on.slug);
  if (key === 'ArrowRight') return hasChildren && folded.has(on.slug) ? { fold: false } : hasChildren ? by(1) : {};
  if (key === 'ArrowLeft') {
    if (hasChildren && !folded.has(on.slug)) return { fold: true };
    return on.parent === null ? {} : { to: on.parent };
  }
  return null;
}

/** What the keys do here, told where one works. */
function Keys() {
  const all: [string, string][] = [
    ['↑ ↓ ← →', 'walk'],
    ['Alt + ↑ ↓', 'order'],
    ['Alt + → ←', 'in, out'],
    ['M', 'merge into'],
    ['P', 'parent'],
    ['H', 'hide'],
    ['F2', 'label'],
    ['N', 'new'],
  ];
  return (
    <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[13px] text-ink-2 max-lg:hidden">
      {all.map(([keys, does]) => (
        <span key={does}>
          <kbd className="mono rounded-[3px] border border-rule-2 bg-raised px-1 text-[12px]">{keys}</kbd> {does}
        </span>
      ))}
      <span className="ms-auto flex items-center gap-1.5">
        <Leaf size={17} count={1} own={1} colour={null} /> own posts
        <Leaf size={17} count={1} own={0} colour={null} /> with all under it
      </span>
    </p>
  );
}
