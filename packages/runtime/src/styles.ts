import { sheet } from './sheet.js';

const done = new WeakSet<Document>();

/**
 * Puts the sheet on a page, once. First in the page's order, so that its layer is the weakest. All rules are in
 * `@layer ivy` and inside `:where()`, so any plain rule of the page's own sheet wins without force; fonts are the page's.
 */
export function addStyles(page: Document): void {
  if (done.has(page)) return;
  done.add(page);
  const style = page.createElement('style');
  style.textContent = sheet;
  page.head.prepend(style);
}
