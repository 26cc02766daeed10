/** Milliseconds in which cards go to their new places. */
const lasts = 220;

/** Only cards move, each from where it was to where it is; all else of the page stays as it is, and can be pressed. */
const rules = `@layer ivy {
  :where([data-moving] .ivy-card) { view-transition-name: match-element; }
  :where(:root:has([data-moving])) { view-transition-name: none; }
  :root:has([data-moving])::view-transition { pointer-events: none; }
  :root:has([data-moving])::view-transition-group(*) { animation-duration: ${lasts}ms; }
}`;

let hasRules = false;

/**
 * Has cards go from where they are to where an answer has them, where the browser can and the visitor allows.
 * @param draw  draws the answer
 * @returns whether it does; if not, `draw` is still to be called
 */
export function move(part: HTMLElement, draw: () => void): boolean {
  const isAllowed = matchMedia('(prefers-reduced-motion: no-preference)').matches;
  if (!isAllowed || document.hidden || !('startViewTransition' in document)) return false;
  if (!part.querySelector('.ivy-card')) return false;
  if (!hasRules) {
    hasRules = true;
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(rules);
    document.adoptedStyleSheets.push(sheet);
  }
  part.dataset.moving = '';
  const moving = document.startViewTransition(draw);
  const done = () => {
    delete part.dataset.moving;
  };
  // one that another overtakes ends at once
  moving.ready.catch(() => {});
  void moving.finished.then(done, done);
  return true;
}
