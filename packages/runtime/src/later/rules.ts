import { sheet } from './later-sheet.js';

const done = new WeakSet<Document>();

/** Puts the rules of what comes later on a page, once: into the same layer as all others. */
export function addRules(page: Document): void {
  if (done.has(page)) return;
  done.add(page);
  const style = page.createElement('style');
  style.textContent = sheet;
  // behind ours, before the page's own
  page.head.querySelector('style')?.after(style);
}
