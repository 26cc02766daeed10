import type { Answer, DryRun } from '@ivy/core';
import { chipsOf } from './choice-under.js';

/** The one look of what would change: dashed in the hue of the facet it is about. It never moves anything. */
const sheet = `
[data-ghost-figure]::after { content: ' → ' attr(data-ghost-figure); color: var(--ghost); border-bottom: 2px dashed var(--ghost); font-weight: 600; white-space: nowrap; }
.ivy-count[data-ghost-figure] { position: relative; color: transparent; }
.ivy-count[data-ghost-figure]::after { content: attr(data-ghost-figure); position: absolute; inset-inline-end: 0; inset-block-start: 0; }
label[data-ghost] input, button[data-ghost] { outline: 2px dashed var(--ghost) !important; outline-offset: 2px; }
.ivy-chip[data-ghost] { outline: 2px dashed var(--ghost); outline-offset: 1px; text-decoration: line-through; opacity: 0.7; }
.ivy-card[data-ghost='goes'] { outline: 2px dashed var(--ghost); outline-offset: 3px; opacity: 0.45; }
.ivy-histogram span[data-ghost] { background-image: repeating-linear-gradient(45deg, var(--ghost) 0 1.5px, transparent 1.5px 4px) !important; }
`;

/**
 * Draws on the live page what would change, and nothing but that.
 * @param hue  a colour of CSS
 * @returns takes it away again
 */
export function drawGhost(page: Document, before: DryRun, after: DryRun, hue: string): () => void {
  const style = page.createElement('style');
  style.textContent = sheet;
  page.head.append(style);
  page.documentElement.style.setProperty('--ghost', hue);
  const marked = new Set<Element>();
  const mark = (element: Element | null, name: 'data-ghost' | 'data-ghost-figure', value: string) => {
    if (!element) return;
    element.setAttribute(name, value);
    marked.add(element);
  };
  if (before.answer.matched !== after.answer.matched) {
    for (const line of page.querySelectorAll('.ivy-count-line strong'))
      mark(line, 'data-ghost-figure', after.answer.matched.toLocaleString(after.settings.language));
  }
  for (const facet of after.answer.facets) {
    const place = page.querySelector(`[data-facet="${CSS.escape(facet.key)}"]`);
    const was = before.answer.facets.find(({ key }) => key === facet.key);
    if (place && was) markOptions(place, was, facet, mark);
  }
  const left = new Set(chipsOf(after)?.chips.map(({ key }) => key));
  const chips = chipsOf(before)?.chips ?? [];
  for (const list of page.querySelectorAll('.ivy-chips')) {
    const drawn = list.querySelectorAll('.ivy-chip');
    chips.forEach(({ key }, i) => {
      if (!left.has(key)) mark(drawn[i] ?? null, 'data-ghost', 'goes');
    });
  }
  const going = goingPosts(before.answer, after.answer);
  for (const card of page.querySelectorAll<HTMLElement>('.ivy-card[data-post]'))
    if (going.has(card.dataset.post!)) mark(card, 'data-ghost', 'goes');
  return () => {
    style.remove();
    page.documentElement.style.removeProperty('--ghost');
    for (const element of marked) {
      element.removeAttribute('data-ghost');
      element.removeAttribute('data-ghost-figure');
    }
  };
}

/**
 * Posts of a page that would not match any more, as far as the page after it tells: one that is not there may stand further
 * down. It does not where all that match are there, or one that stood behind it in the same order still is.
 */
export function goingPosts(before: Answer, after: Answer): Set<string> {
  const there = new Set(after.items.map(({ id }) => id));
  const isAll = after.page === 1 && after.matched === after.items.length;
  const last = before.sort === after.sort ? before.items.findLastIndex(({ id }) => there.has(id)) : -1;
  return new Set(before.items.flatMap(({ id }, i) => (!there.has(id) && (isAll || i < last) ? [id] : [])));
}

type Drawn = Answer['facets'][number];

function markOptions(
  place: Element,
  was: Drawn,
  is: Drawn,
  mark: (element: Element | null, name: 'data-ghost' | 'data-ghost-figure', value: string) => void,
): void {
  if ('buckets' in is && 'buckets' in was) {
    const bars = place.querySelectorAll('.ivy-histogram span');
    if (bars.length !== is.buckets.length) return;
    is.buckets.forEach(({ count }, i) => {
      if (was.buckets[i]?.count !== count) mark(bars[i] ?? null, 'data-ghost', 'other');
    });
    return;
  }
  if (!('options' in is) || !('options' in was)) return;
  const known = new Map(was.options.map((option) => [option.value, option]));
  const controls = new Map(
    [...place.querySelectorAll<HTMLInputElement | HTMLButtonElement>('input, button[value]')].map((one) => [
      one.value,
      one,
    ]),
  );
  for (const { value, count, selected } of is.options) {
    const [before, control] = [known.get(value), controls.get(value)];
    const around = control?.closest('label, button');
    if (!around || !before) continue;
    if (before.count !== count) mark(around.querySelector('.ivy-count'), 'data-ghost-figure', count.toLocaleString());
    if (before.selected !== selected) mark(around, 'data-ghost', selected ? 'on' : 'off');
  }
}
