import type { TermView } from '@ivy/client';
import { useEffect, useRef, useState } from 'react';
import type { TermAct } from './term-act.js';
import { branchOf, placeBeside, type TermTree } from './term-tree.js';

/** Where on another term one in hand is let go: on it, on its name, or beside it. */
export type Zone = 'merge' | 'under' | 'before' | 'after';

/** A term that is carried, by the pointer or by keys, and what it is carried over. */
export interface Held {
  slug: string;
  by: 'pointer' | 'keys';
  over: { slug: string; zone: Zone } | null;
  /** Where the pointer is, in pixels of the window. */
  at: { x: number; y: number } | null;
}

/** What letting go would do; null where it can't be let go there. */
export function actOf(tree: TermTree, held: Held): TermAct | null {
  const [term, target] = [tree.bySlug.get(held.slug), held.over && tree.bySlug.get(held.over.slug)];
  if (!term || !target || !held.over || term === target) return null;
  const { zone } = held.over;
  if (zone === 'merge') return { does: 'merge', from: term.slug, into: target.slug };
  const isWithin = branchOf(tree, term.slug).has(target.slug);
  if (isWithin) return null;
  if (zone === 'under') {
    return term.parent === target.slug ? null : { does: 'change', term: term.slug, body: { parent: target.slug } };
  }
  const { parent, position } = placeBeside(tree, term, target, zone === 'after');
  const body = parent === term.parent ? { position } : { parent, position };
  return { does: 'change', term: term.slug, body };
}

/** Pixels a pointer moves before what it pressed is in its hand. */
const slack = 5;

interface Holding {
  held: Held | null;
  /** Takes a term in hand by keys, to be let go on another. */
  take: (slug: string, zone: Zone) => void;
  /** Moves what is held by keys over another term. */
  carry: (slug: string) => void;
  drop: () => void;
  /** Begins to watch a pointer that went down on a term. */
  press: (term: TermView, event: { clientX: number; clientY: number; button: number }) => void;
}

/** Carries terms. Places to let go bear `data-term` and `data-zone`. */
export function useHolding(letGo: (held: Held) => void): Holding {
  const [held, setHeld] = useState<Held | null>(null);
  const latest = useRef({ held, letGo });
  useEffect(() => {
    latest.current = { held, letGo };
  });
  const [pressed, setPressed] = useState<{ slug: string; x: number; y: number } | null>(null);
  useEffect(() => {
    if (!pressed) return;
    const move = ({ clientX: x, clientY: y }: PointerEvent) => {
      if (!latest.current.held && Math.hypot(x - pressed.x, y - pressed.y) < slack) return;
      setHeld({ slug: pressed.slug, by: 'pointer', over: placeAt(x, y), at: { x, y } });
    };
    const up = () => {
      setPressed(null);
      const { held: now, letGo: done } = latest.current;
      if (!now) return;
      setHeld(null);
      done(now);
      // the press that ends here is none on what lies under the pointer
      addEventListener('click', swallow, { capture: true, once: true });
      setTimeout(() => removeEventListener('click', swallow, { capture: true }), 0);
    };
    const stop = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      setPressed(null);
      setHeld(null);
    };
    addEventListener('pointermove', move);
    addEventListener('pointerup', up);
    addEventListener('keydown', stop);
    return () => {
      removeEventListener('pointermove', move);
      removeEventListener('pointerup', up);
      removeEventListener('keydown', stop);
    };
  }, [pressed]);
  return {
    held,
    take: (slug, zone) => setHeld({ slug, by: 'keys', over: { slug, zone }, at: null }),
    carry: (slug) => setHeld((now) => now && { ...now, over: { slug, zone: now.over?.zone ?? 'merge' } }),
    drop: () => setHeld(null),
    press: ({ slug }, { clientX: x, clientY: y, button }) => {
      if (button === 0) setPressed({ slug, x, y });
    },
  };
}

function swallow(event: Event): void {
  event.preventDefault();
  event.stopPropagation();
}

function placeAt(x: number, y: number): Held['over'] {
  const place = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-term][data-zone]');
  return place ? { slug: place.dataset.term!, zone: place.dataset.zone as Zone } : null;
}
