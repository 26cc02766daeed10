import type { Mark } from '@ivy/core';
import { attributes } from './attributes.js';
import { applyMarks, fetchMarks } from './read/mapping.js';
import { OwnList } from './own-list.js';

const lists = new Map<HTMLElement, OwnList>();

/** Says of a page what a mapping says of it, by the list that is mapped. */
const mapped = new Map<string, (page: Document) => number[]>();

/** Takes in hand the lists that are on the page now, and lets go of those that are not. */
function look(): void {
  for (const [list, own] of lists) {
    if (list.isConnected) continue;
    own.stop();
    lists.delete(list);
  }
  for (const prepare of mapped.values()) prepare(document);
  for (const own of lists.values()) own.look();
  const names = new Set([...lists.values()].map(({ name }) => name));
  for (const list of document.querySelectorAll<HTMLElement>('[data-ivy-list]')) {
    if (lists.has(list)) continue;
    const name = list.dataset.ivyList ?? '';
    if (names.has(name)) {
      console.warn(`Ivy Lens: two lists are called “${name}”; the second is left as it is. Give it another name.`);
      continue;
    }
    names.add(name);
    const own = new OwnList(name, list, mapped.get(name));
    lists.set(list, own);
    Object.defineProperty(list, 'ivy', { value: own, configurable: true });
  }
}

/** Names of attributes of a page that look like ours and are none. */
function strangeNames(): string[] {
  const known = new Set(attributes.map((name) => `data-ivy-${name}`));
  const strange = new Set<string>();
  for (const element of document.querySelectorAll('*')) {
    for (const { name } of element.attributes) if (name.startsWith('data-ivy-') && !known.has(name)) strange.add(name);
  }
  return [...strange];
}

/** Shows on the page what of it stands, where its address asks for that. */
async function check(strange: readonly string[]): Promise<void> {
  const { showCheck } = await import('./check/check.js');
  await Promise.all([...lists.values()].map(({ ready }) => ready));
  showCheck(
    [...lists.values()].map((own) => own.report()),
    strange,
  );
}

/** Fetches what is marked on the page by lenses that it names. A page that they fit no more stays as it is. */
async function map(): Promise<void> {
  const places = document.querySelectorAll<HTMLElement>('[data-ivy-name]');
  if (places.length === 0) return;
  for (const place of places) {
    const name = place.dataset.ivyName!;
    const all = await fetchMarks(name).catch(() => null);
    if (!all) {
      console.warn(`Ivy Lens: nothing is known of a lens “${name}” that a page is mapped by. Is it released?`);
      continue;
    }
    const isList = !(place instanceof HTMLScriptElement);
    if (isList) place.dataset.ivyList = name;
    const marks = isList ? all.filter(({ says }) => says.list === undefined) : all;
    const prepare = (page: Document) => applyMarks(page, name, marks);
    tellUnfit(name, marks, prepare(document));
    mapped.set(name, prepare);
  }
}

function tellUnfit(name: string, marks: readonly Mark[], found: readonly number[]): void {
  marks.forEach(({ at, says }, i) => {
    if (found[i] === 0)
      console.warn(
        `Ivy Lens: list “${name}”: nothing on the page is “${at}” any more, which its mapping calls ${Object.entries(
          says,
        )
          .map(([what, value]) => `${what} ${value}`.trim())
          .join(', ')}. Look at it in the studio.`,
      );
  });
}

async function start(): Promise<void> {
  await map();
  look();
  const strange = strangeNames();
  for (const name of strange) console.warn(`Ivy Lens: “${name}” is no attribute that is read.`);
  if (/[?&]ivy-check(=|&|$)/.test(location.search)) void check(strange);
  // lists may come late, and go
  let isAsked = false;
  new MutationObserver(() => {
    if (isAsked) return;
    isAsked = true;
    setTimeout(() => {
      isAsked = false;
      look();
    });
  }).observe(document.body, { childList: true, subtree: true });
}

// a page may carry the script twice; the second time there is nothing left to do
const mark = Symbol.for('ivy-page');
if (!(mark in window)) {
  Object.defineProperty(window, mark, { value: true });
  if (document.readyState === 'loading')
    document.addEventListener('DOMContentLoaded', () => void start(), { once: true });
  else void start();
}
