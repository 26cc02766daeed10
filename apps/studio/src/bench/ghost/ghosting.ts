import { createContext, useContext, type FocusEvent, type MouseEvent } from 'react';
import type { Prospect } from './use-ghost.js';

const nobody = () => undefined;

/** Tells the Bench what someone points at. */
export const GhostingContext = createContext<(at: Prospect | null) => void>(nobody);

interface Pointing {
  onMouseEnter: (event: MouseEvent) => void;
  onMouseLeave: () => void;
  onFocus: (event: FocusEvent) => void;
  onBlur: () => void;
}

/** What a button is given that shows what it would change while it is pointed at or has the focus. */
export function useGhosting(): (prospect: Prospect | (() => Prospect)) => Pointing {
  const point = useContext(GhostingContext);
  return (prospect) => {
    const show = () => point(typeof prospect === 'function' ? prospect() : prospect);
    const hide = () => point(null);
    return { onMouseEnter: show, onMouseLeave: hide, onFocus: show, onBlur: hide };
  };
}
