import type { Link } from '@ivy/view';

/** Goes where a link leads without leaving the page, unless it is asked for in a new tab or window. */
export function follow(link: Link, go: (choices: Link['choices']) => void): (event: MouseEvent) => void {
  return (event) => {
    if (event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    go(link.choices);
  };
}
