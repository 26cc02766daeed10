/**
 * Has cards go from where they are to where an answer has them, where the browser can and the visitor allows.
 * @param draw  draws the answer
 * @returns whether it does; if not, `draw` is still to be called
 */
export function move(part: HTMLElement, draw: () => void): boolean {
  const isAllowed = matchMedia('(prefers-reduced-motion: no-preference)').matches;
  if (!isAllowed || document.hidden || !('startViewTransition' in document)) return false;
  if (!part.querySelector('.ivy-card')) return false;
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
