import { useLayoutEffect, useRef, useState } from 'react';
import { EffectWords, useEffectOf } from './effect-note.js';
import { actOf, type Held } from './holding.js';
import type { TermTree } from './term-tree.js';

/** What letting a term go would do, beside the one it is carried over. */
export function DropNote({ slug, field, tree, held }: { slug: string; field: string; tree: TermTree; held: Held }) {
  const act = actOf(tree, held);
  const { effect, problem } = useEffectOf(slug, field, act);
  const target = held.over && tree.bySlug.get(held.over.slug);
  const term = tree.bySlug.get(held.slug);
  const note = useRef<HTMLDivElement>(null);
  const [place, setPlace] = useState({ left: 0, top: 0 });
  useLayoutEffect(() => {
    const box = note.current;
    const over = held.over && document.querySelector(`[role=treeitem][data-slug="${CSS.escape(held.over.slug)}"]`);
    if (!box || !over) return;
    const { left, right, top, bottom } = over.getBoundingClientRect();
    const [width, height] = [box.offsetWidth, box.offsetHeight];
    const isRow = right - left > 2 * width;
    const fits = right + 8 + width < innerWidth;
    // over a row it stands at the end of the row, above or below it; beside a leaf otherwise
    const beside = fits ? right + 8 : left - width - 8;
    const below = bottom + 6 + height < innerHeight ? bottom + 6 : top - height - 6;
    setPlace({
      left: Math.max(8, isRow ? right - width - 90 : beside),
      top: Math.max(8, isRow ? below : Math.min(top, innerHeight - height - 8)),
    });
  }, [held, effect]);
  if (!term) return null;
  const tag = held.at && (
    <span
      className="pointer-events-none fixed z-40 rounded-[2px] bg-hue px-2 py-0.5 text-raised"
      style={{ left: held.at.x + 12, top: held.at.y - 28 }}
    >
      {term.label}
    </span>
  );
  if (!target) return tag;
  const way = held.by === 'keys' ? 'Enter' : 'Let go';
  return (
    <>
      {tag}
      <div
        ref={note}
        role="status"
        className="pointer-events-none fixed z-30 grid w-[250px] gap-1 rounded-[2px] border-2 border-dashed border-hue bg-raised p-3"
        style={place}
      >
        <p className="flex items-baseline justify-between gap-2">
          <b className="serif text-[17px]">
            {act ? `${way} to ${wordsOf(held)}` : term === target ? 'Choose another term' : 'It can’t go there'}
          </b>
          <kbd className="mono rounded-[3px] border border-rule-2 px-1 text-[12px]">Esc</kbd>
        </p>
        {act && (
          <p className="text-ink-2">
            {term.label} {held.over!.zone === 'merge' ? 'into' : held.over!.zone} {target.label}
          </p>
        )}
        {act && effect && <EffectWords effect={effect} act={act} />}
        {problem && <p className="text-rust">{problem}</p>}
      </div>
    </>
  );
}

function wordsOf({ over }: Held): string {
  return over?.zone === 'merge' ? 'merge' : over?.zone === 'under' ? 'place it' : 'put it there';
}
