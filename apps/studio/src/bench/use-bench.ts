import type { Lens } from '@ivy/core';
import { useEffect, useReducer, useRef, type Dispatch } from 'react';
import type { Go } from './use-address.js';
import { benchReducer, startBench, type BenchAction, type BenchState } from './bench-state.js';

interface Bench {
  state: BenchState;
  dispatch: Dispatch<BenchAction>;
  undo: () => void;
  redo: () => void;
  /** The live page went somewhere, or wrote the address otherwise. */
  rewrite: (next: string, how: 'push' | 'replace', from: string) => void;
}

/** What is worked on and looked at, with one line of steps back for both. */
export function useBench(draft: Lens, address: string, go: Go): Bench {
  const [state, dispatch] = useReducer(benchReducer, draft, (lens) => startBench(lens, address));
  const rewritten = useRef<string | null>(null);
  useEffect(() => {
    dispatch({ type: 'go', address, isSame: rewritten.current === address });
    rewritten.current = null;
  }, [address]);
  const step = (type: 'undo' | 'redo') => {
    const next = type === 'undo' ? state.past.at(-1) : state.future[0];
    if (!next) return;
    dispatch({ type });
    if (next.address !== address) go(next.address);
  };
  return {
    state,
    dispatch,
    undo: () => step('undo'),
    redo: () => step('redo'),
    rewrite: (next, how, from) => {
      if (how === 'push') go(next);
      // what is written otherwise alone is no step to take back
      else if (go(next, how, from)) rewritten.current = next;
    },
  };
}
