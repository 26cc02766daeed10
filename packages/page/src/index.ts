import { attributes } from './attributes.js';
import { OwnList } from './own-list.js';

const lists = new Map<HTMLElement, OwnList>();

/** Takes in hand the lists that are on the page now, and lets go of those that are not. */
function look(): void {
  for (const [list, own] of lists) {
    if (list.isConnected) continue;
    own.stop();
    lists.delete(list);
  }
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
    const own = new OwnList(name, list);
    lists.set(list, own);
    Object.defineProperty(list, 'ivy', { value: own, configurable: true });
  }
}

/** Names of attributes of a page that look like ours and are none. */
function strangeNames(): string[] {
  const known = new Set<string>(Object.keys(attributes));
  const strange = new Set<string>();
  for (const element of document.querySelectorAll('*')) {
    for (const { name } of element.attributes) if (name.startsWith('data-ivy-') && !known.has(name)) strange.add(name);
  }
  return [...strange];
}

/** Shows on the page what of it stands, where its address asks for that. */
async function check(strange: readonly string[]): Promise<void> {
  const { showCheck } = await import('./check.js');
  await Promise.all([...lists.values()].map(({ ready }) => ready));
  showCheck(
    [...lists.values()].map((own) => own.report()),
    strange,
  );
}

function start(): void {
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
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', start, { once: true });
  else start();
}
