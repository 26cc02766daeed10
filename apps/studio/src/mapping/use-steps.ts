import { useCallback, useReducer } from 'react';

interface Steps<T> {
  past: T[];
  now: T;
  future: T[];
}

type Step<T> = { do: 'set'; to: T } | { do: 'undo' } | { do: 'redo' } | { do: 'start'; at: T };

/** Steps that are kept to go back to. */
const kept = 200;

function reduce<T>({ past, now, future }: Steps<T>, step: Step<T>): Steps<T> {
  if (step.do === 'start') return { past: [], now: step.at, future: [] };
  if (step.do === 'set') return { past: [...past, now].slice(-kept), now: step.to, future: [] };
  if (step.do === 'undo' && past.length > 0)
    return { past: past.slice(0, -1), now: past.at(-1)!, future: [now, ...future] };
  if (step.do === 'redo' && future.length > 0)
    return { past: [...past, now], now: future[0]!, future: future.slice(1) };
  return { past, now, future };
}

/** A value that is changed step by step, and can be taken back the same way. */
export function useSteps<T>(first: T) {
  const [{ past, now, future }, dispatch] = useReducer(reduce<T>, { past: [], now: first, future: [] });
  return {
    now,
    canUndo: past.length > 0,
    canRedo: future.length > 0,
    set: useCallback((to: T) => dispatch({ do: 'set', to }), []),
    undo: useCallback(() => dispatch({ do: 'undo' }), []),
    redo: useCallback(() => dispatch({ do: 'redo' }), []),
    /** Goes on from here, with no way back. */
    start: useCallback((at: T) => dispatch({ do: 'start', at }), []),
  };
}
