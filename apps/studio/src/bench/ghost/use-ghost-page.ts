import type { DryRun } from '@ivy/core';
import { useEffect, useEffectEvent, type RefObject } from 'react';
import { choiceSelector, choiceUnder } from './choice-under.js';
import { drawGhost } from './ghost-page.js';
import type { Ghost, Prospect } from './use-ghost.js';

/** Hears what visitors' choices are pointed at on the live page, and draws there what would change. */
export function useGhostPage(
  frame: RefObject<HTMLIFrameElement | null>,
  dryRun: DryRun | null,
  ghost: Ghost | null,
  hueOf: (facet: string | null) => string,
  point: (at: Prospect | null) => void,
): void {
  const isReady = dryRun !== null;
  const over = useEffectEvent((target: Element | null) => {
    point(target && dryRun ? choiceUnder(target, dryRun) : null);
  });
  useEffect(() => {
    const page = frame.current?.contentDocument;
    if (!page || !isReady) return;
    // the same choice is pointed at however many of its parts the pointer goes over
    let last: Element | null = null;
    const hear = ({ target, type }: Event) => {
      const choice = (target as Element).closest(choiceSelector);
      if (type === 'focusout') {
        last = null;
        return over(null);
      }
      // what was just chosen is not shown taken back before one comes to it again
      if (type === 'click') return over(null);
      if (choice === last) return;
      last = choice;
      over(choice);
    };
    const leave = () => {
      last = null;
      over(null);
    };
    const events = ['mouseover', 'focusin', 'focusout', 'click'] as const;
    for (const name of events) page.addEventListener(name, hear);
    page.documentElement.addEventListener('mouseleave', leave);
    return () => {
      for (const name of events) page.removeEventListener(name, hear);
      page.documentElement.removeEventListener('mouseleave', leave);
    };
  }, [frame, isReady]);

  const draw = useEffectEvent((shown: Ghost) => {
    const page = frame.current?.contentDocument;
    return page && dryRun ? drawGhost(page, dryRun, shown.dryRun, hueOf(shown.facet)) : undefined;
  });
  useEffect(() => (ghost ? draw(ghost) : undefined), [ghost]);
}
