import { sheet } from './sheet.js';

let first: HTMLStyleElement | undefined;

/**
 * Puts the sheet on the page, once. First in the page's order, so that its layer is the weakest. All rules are in
 * `@layer ivy` and inside `:where()`, so any plain rule of the page's own sheet wins without force; fonts are the page's.
 */
export function addStyles(): void {
  if (!first) document.head.prepend((first = styleOf(sheet)));
}

/** What each lens of the page looks like. */
const looks = new Map<string, HTMLStyleElement>();

/** Has a lens look as its own sheet says. */
export function addLook(name: string, rules: string): void {
  const before = looks.get(name);
  if (before?.textContent === rules) return;
  const style = styleOf(rules);
  if (before) before.replaceWith(style);
  else first!.after(style);
  looks.set(name, style);
}

/** Puts further rules of ours behind the sheet. */
export function addRules(rules: string): void {
  first?.after(styleOf(rules));
}

function styleOf(rules: string): HTMLStyleElement {
  const style = document.createElement('style');
  style.textContent = rules;
  return style;
}
