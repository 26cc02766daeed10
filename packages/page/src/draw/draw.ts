import type { ItemsAnswer } from '../read/answer-items.js';
import { boxesOf, setChosen, valueOfLink } from '../read/controls.js';
import type { Facet } from '../read/setup.js';

const named = (attribute: string, name: string) =>
  document.querySelectorAll<HTMLElement>(`[${attribute}="${CSS.escape(name)}"]`);

/**
 * Shows the items of an answer in its order, and hides the others. Where that is another order than the page has, items
 * take one another's places: headings between them stay where they are.
 */
export function showItems(all: readonly HTMLElement[], shown: readonly HTMLElement[]): void {
  const there = new Set(shown);
  for (const item of all) if (item.hidden === there.has(item)) item.hidden = !there.has(item);
  for (const [parent, items] of byParent(shown)) {
    const own = new Set(items);
    const now = [...parent.children].filter((one) => own.has(one as HTMLElement));
    if (now.every((one, i) => one === items[i])) continue;
    const places = now.map((one) => {
      const place = document.createComment('');
      one.before(place);
      return place;
    });
    places.forEach((place, i) => place.replaceWith(items[i]!));
  }
}

/** Hides what is around items, with its heading, while none of them is shown. */
export function showGroups(name: string, all: readonly HTMLElement[]): void {
  const groups = new Map<HTMLElement, boolean>();
  for (const item of all) {
    const group = item.closest<HTMLElement>('[data-ivy-group]');
    if (group) groups.set(group, (groups.get(group) ?? false) || !item.hidden);
  }
  for (const [group, isSeen] of groups) if (group.dataset.ivyList !== name) group.hidden = !isSeen;
}

function byParent(items: readonly HTMLElement[]): Map<Element, HTMLElement[]> {
  const found = new Map<Element, HTMLElement[]>();
  for (const item of items) {
    if (!item.parentElement) continue;
    const before = found.get(item.parentElement);
    if (before) before.push(item);
    else found.set(item.parentElement, [item]);
  }
  return found;
}

/** Has the page's own controls say what is chosen, and what each would leave. */
export function showChoices(facets: readonly Facet[], answer: ItemsAnswer): void {
  for (const facet of facets) {
    const found = answer.facets.find(({ key }) => key === facet.key);
    if (!found) continue;
    if (facet.kind === 'search') {
      const [box] = boxesOf(facet.group);
      // what is being typed is not written over
      if (box !== document.activeElement) box!.value = (found.selected as string | null) ?? '';
    } else if (facet.kind.endsWith('range')) showRange(facet, found.selected as Ends | null);
    else showOptions(facet, [found.selected].flat() as (string | null)[], 'options' in found ? found.options : []);
  }
}

/** What is chosen of a range: days or numbers. */
interface Ends {
  from: string | number | null;
  to: string | number | null;
}

function showRange({ group }: Facet, selected: Ends | null): void {
  for (const control of boxesOf(group)) {
    if (control === document.activeElement) continue;
    const end = control.dataset.ivyEnd === 'to' ? selected?.to : selected?.from;
    control.value = end === null || end === undefined ? '' : String(end);
  }
}

function showOptions(
  facet: Facet,
  selected: (string | null)[],
  options: readonly { value: string; count: number }[],
): void {
  for (const choice of facet.choices) {
    const slug = facet.slugs.get(choice.value)!;
    const on = selected.includes(slug);
    const count = options.find(({ value }) => value === slug)?.count ?? 0;
    setChosen(choice, on);
    choice.label.toggleAttribute('data-ivy-on', on);
    choice.label.toggleAttribute('data-ivy-none', count === 0);
    const place =
      choice.label.querySelector('[data-ivy-number]') ??
      choice.control.parentElement?.querySelector(':scope > [data-ivy-number]');
    if (place) say(place, String(count));
  }
  // a list or a set of radios may have a line for none of them
  for (const control of facet.group.controls) {
    const isNone = !selected.some((one) => one !== null);
    if (control instanceof HTMLSelectElement && !control.multiple && isNone) control.value = '';
    if (control instanceof HTMLInputElement && control.type === 'radio' && control.value === '')
      control.checked = isNone;
    if (control instanceof HTMLAnchorElement && valueOfLink(control, facet.group) === '')
      control.setAttribute('aria-current', String(isNone));
  }
}

function say(place: Element, words: string): void {
  if (place.textContent !== words) place.textContent = words;
}

/** Writes numbers where the page wants them, and shows what is for when nothing is found. */
export function showNumbers(name: string, { matched, total }: ItemsAnswer): void {
  for (const place of named('data-ivy-count', name)) {
    if (!place.hasAttribute('role')) place.setAttribute('role', 'status');
    say(place, String(matched));
  }
  for (const place of named('data-ivy-total', name)) say(place, String(total));
  for (const place of named('data-ivy-empty', name)) place.hidden = matched > 0;
}

/** Something chosen, in words, and what takes it back. */
export interface Chip {
  words: string;
  remove: () => void;
}

/** Draws a chip for each choice, by the template the page has for them. */
export function showChips(name: string, chips: readonly Chip[]): void {
  for (const place of named('data-ivy-chips', name)) {
    const template = place.querySelector('template');
    if (!template) continue;
    const isInside = place.contains(document.activeElement);
    for (const one of [...place.children]) if (one !== template) one.remove();
    for (const { words, remove } of chips) {
      const chip = template.content.cloneNode(true) as DocumentFragment;
      const text = chip.querySelector('[data-ivy-text]');
      if (text) text.textContent = words;
      const button = chip.querySelector<HTMLElement>('[data-ivy-remove]');
      button?.addEventListener('click', remove);
      if (button && !button.hasAttribute('aria-label')) button.setAttribute('aria-label', `× ${words}`);
      place.append(chip);
    }
    // whoever took one back goes on with the next
    if (isInside) (place.querySelector<HTMLElement>('[data-ivy-remove]') ?? place).focus();
    place.hidden = chips.length === 0;
  }
}

/** Whether a press on a link is one that stays on the page: with a key held it opens elsewhere. */
export function isPlainPress({ ctrlKey, metaKey, shiftKey, button }: MouseEvent): boolean {
  return !ctrlKey && !metaKey && !shiftKey && button === 0;
}

/** The page's own pager, as it was before it was taken over: its links are drawn like those it had. */
export class Pager {
  readonly #link: HTMLAnchorElement | null;
  readonly #words: { prev: string; next: string };

  constructor(private readonly nav: HTMLElement) {
    const links = [...nav.querySelectorAll('a')];
    const byRel = (rel: string) => links.find((link) => link.relList.contains(rel));
    this.#link = links.find((link) => !link.rel) ?? links[0] ?? null;
    this.#words = { prev: byRel('prev')?.innerHTML ?? '‹', next: byRel('next')?.innerHTML ?? '›' };
  }

  draw(page: number, pages: number, hrefOf: (page: number) => string, go: (page: number) => void): void {
    const link = (to: number, words: string, rel?: 'prev' | 'next') => {
      const made = document.createElement('a');
      if (this.#link) made.className = this.#link.className;
      made.href = hrefOf(to);
      // what the page itself wrote in its links
      made.innerHTML = words;
      if (rel) made.rel = rel;
      if (!rel && to === page) made.setAttribute('aria-current', 'page');
      made.addEventListener('click', (event) => {
        if (!isPlainPress(event)) return;
        event.preventDefault();
        go(to);
      });
      return made;
    };
    const numbers = Array.from({ length: pages }, (_, i) => link(i + 1, String(i + 1)));
    this.nav.replaceChildren(
      ...(page > 1 ? [link(page - 1, this.#words.prev, 'prev'), ' '] : []),
      ...numbers.flatMap((one) => [one, ' ']),
      ...(page < pages ? [link(page + 1, this.#words.next, 'next')] : []),
    );
    this.nav.hidden = pages === 1;
  }
}

/** Shows what clears only while there is something to clear. */
export function showClears(forms: readonly HTMLElement[], isChosen: (control: string) => boolean): void {
  for (const form of new Set(forms.map((one) => one.closest('form') ?? one))) {
    for (const button of form.querySelectorAll<HTMLElement>('[type="reset"], [data-ivy-clear]')) {
      const isHidden = !isChosen(button.dataset.ivyClear ?? '');
      // whoever pressed it must not be left nowhere
      if (isHidden && button === document.activeElement) form.querySelector<HTMLElement>('input, select')?.focus();
      button.hidden = isHidden;
    }
  }
}
