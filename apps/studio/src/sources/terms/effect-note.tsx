import type { TermEffect } from '@ivy/client';
import { useEffect, useState } from 'react';
import { countOf, figure } from '../../shared/figures.js';
import { sendTerm, type TermAct } from './term-act.js';

/** What doing something to terms would come to, looked at as long as it is meant. */
export function useEffectOf(
  slug: string,
  field: string,
  act: TermAct | null,
): { effect: TermEffect | null; problem: string } {
  const name = JSON.stringify(act);
  const [found, setFound] = useState<{ name: string; effect: TermEffect | null; problem: string } | null>(null);
  useEffect(() => {
    const meant = JSON.parse(name) as TermAct | null;
    if (!meant) return;
    let isOver = false;
    // who only passes over a term asks for nothing
    const later = setTimeout(() => {
      sendTerm(slug, field, meant, false).then(
        (effect) => isOver || setFound({ name, effect, problem: '' }),
        (error: unknown) => isOver || setFound({ name, effect: null, problem: (error as Error).message }),
      );
    }, 120);
    return () => {
      isOver = true;
      clearTimeout(later);
    };
  }, [slug, field, name]);
  return found?.name === name ? found : { effect: null, problem: '' };
}

/** The same in words. */
export function EffectWords({ effect, act }: { effect: TermEffect; act: TermAct }) {
  const { posts, before, after, filled, lenses } = effect;
  const twice = act.does === 'merge' ? before + posts - after : 0;
  return (
    <>
      {(act.does === 'merge' || before !== after) && (
        <p className="serif text-[19px]">
          {figure(before)} → <b>{figure(after)}</b>
        </p>
      )}
      {act.does === 'merge' && (
        <p>
          <b>
            {countOf(posts, 'post')} {posts === 1 ? 'moves' : 'move'}
          </b>
          {twice > 0 ? `, ${figure(twice)} had both and count once.` : ', none counted twice.'}
        </p>
      )}
      {act.does === 'remove' && (
        <p>
          <b>
            {countOf(posts, 'post')} {posts === 1 ? 'loses' : 'lose'} it.
          </b>{' '}
          What stands under it moves up.
          {filled.before !== filled.after && ` ${figure(filled.before - filled.after)} then have no term here.`}
        </p>
      )}
      {lenses.length > 0 && (
        <p className="text-[13px] text-ink-2">
          Visitors see it at once in {lenses.map(({ name, facets }) => `${name} (${facets.join(', ')})`).join(', ')}.
        </p>
      )}
      {act.does === 'merge' && (
        <p className="text-[13px] text-ink-2">
          Old address kept: <span className="mono">{act.from}</span>
        </p>
      )}
    </>
  );
}
