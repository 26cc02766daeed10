import type { Lens, NearPost } from '@ivy/core';
import { useEffect, useEffectEvent, type RefObject } from 'react';
import type { DryRuns } from '../../dry-run/dry-runs.js';

interface Asked {
  frame: RefObject<HTMLIFrameElement | null>;
  /** Whether the page is there. */
  isReady: boolean;
  dryRuns: DryRuns;
  lens: Lens;
  address: string;
  labelOf: (key: string) => string;
  hueOf: (key: string) => string;
  /** A card was pressed. */
  onPress: (id: string) => void;
}

/** How long, in ms, a card is pointed at before it says why it is there. */
const patience = 250;

/** Cards of the live page say, while they are pointed at, by which values they pass what is chosen. */
export function useWhyOnPage({ frame, isReady, dryRuns, lens, address, labelOf, hueOf, onPress }: Asked): void {
  const ask = useEffectEvent(async (card: HTMLElement, signal: AbortSignal) => {
    const id = card.dataset.post!;
    const seen = await dryRuns.see({ name: 'nearest', lens, address, wanted: { of: { post: id } } }, signal);
    const [post] = seen.posts;
    if (post && post.facets.length > 0 && !signal.aborted) return drawStrip(card, post, labelOf, hueOf);
    return undefined;
  });
  const press = useEffectEvent((id: string) => onPress(id));
  useEffect(() => {
    const page = frame.current?.contentDocument;
    if (!page || !isReady) return;
    let over: HTMLElement | null = null;
    let asked = new AbortController();
    let takeAway: (() => void) | undefined;
    const leave = () => {
      asked.abort();
      takeAway?.();
      [over, takeAway] = [null, undefined];
    };
    const point = ({ target }: Event) => {
      const card = (target as Element).closest<HTMLElement>('.ivy-card[data-post]');
      if (card === over) return;
      leave();
      if (!card) return;
      [over, asked] = [card, new AbortController()];
      const { signal } = asked;
      setTimeout(() => {
        if (signal.aborted) return;
        ask(card, signal)
          .then((undraw) => {
            if (signal.aborted) undraw?.();
            else takeAway = undraw;
          })
          // what can't be told now is told the next time it is pointed at
          .catch(() => undefined);
      }, patience);
    };
    const hearPress = ({ target }: Event) => {
      const id = (target as Element).closest<HTMLElement>('.ivy-card[data-post]')?.dataset.post;
      if (id !== undefined) press(id);
    };
    page.addEventListener('mouseover', point);
    page.addEventListener('click', hearPress);
    page.addEventListener('scroll', leave, { passive: true });
    page.documentElement.addEventListener('mouseleave', leave);
    return () => {
      leave();
      page.removeEventListener('mouseover', point);
      page.removeEventListener('click', hearPress);
      page.removeEventListener('scroll', leave);
      page.documentElement.removeEventListener('mouseleave', leave);
    };
  }, [frame, isReady, address]);
}

const stripStyle =
  'position:absolute;z-index:9;display:flex;flex-wrap:wrap;gap:2px 10px;padding:4px 8px;pointer-events:none;background:#fcfaf4;color:#1f261e;border:1px solid #bfb79f;border-radius:3px;font:600 13px/1.4 system-ui,sans-serif;box-shadow:0 2px 8px #0002';

/** Draws the strip over the lower edge of a card's upper part, where it hides none of its words. */
function drawStrip(
  card: HTMLElement,
  post: NearPost,
  labelOf: (key: string) => string,
  hueOf: (key: string) => string,
): () => void {
  const page = card.ownerDocument;
  const strip = page.createElement('div');
  strip.className = 'ivy-why-strip';
  strip.setAttribute('aria-hidden', 'true');
  strip.style.cssText = stripStyle;
  const word = strip.appendChild(page.createElement('i'));
  word.textContent = 'Why';
  word.style.fontWeight = '400';
  for (const { key, value } of post.facets) {
    const one = strip.appendChild(page.createElement('span'));
    const dot = one.appendChild(page.createElement('i'));
    dot.style.cssText = `display:inline-block;width:9px;height:9px;border-radius:50%;margin-inline-end:5px;background:${hueOf(key)}`;
    one.append(value ?? labelOf(key));
  }
  page.body.append(strip);
  const { scrollX, scrollY } = page.defaultView!;
  const box = (card.querySelector('img, svg') ?? card).getBoundingClientRect();
  strip.style.maxWidth = `${card.getBoundingClientRect().width - 16}px`;
  strip.style.left = `${box.left + scrollX + 8}px`;
  strip.style.top = `${box.bottom + scrollY - strip.offsetHeight - 8}px`;
  return () => strip.remove();
}
