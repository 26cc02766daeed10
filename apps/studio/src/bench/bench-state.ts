import { kindOf, type Lens } from '@ivy/core';
import { tokensOf } from './address-tokens.js';

/** Steps that can be taken back. */
const stepsKept = 200;

/** What is being worked on: the lens, what it was before, and the facet in hand. */
export interface BenchState {
  lens: Lens;
  past: readonly Lens[];
  future: readonly Lens[];
  /** What the last edit was about: edits of one text flow into one step. */
  lastTopic: string | null;
  focus: string | null;
}

export type BenchAction =
  /** `topic` names what is typed in, so that a word is one step and not one a letter. */
  | { type: 'edit'; lens: Lens; topic?: string; focus?: string | null }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'focus'; key: string | null }
  /** Another draft takes its place, such as the one someone else saved. */
  | { type: 'load'; lens: Lens };

/** @param address  a facet that it chooses from is taken in hand first */
export function startBench(lens: Lens, address = ''): BenchState {
  const addressed = tokensOf(address, lens).find((token) => token.facet !== null)?.facet;
  const first = lens.facets.find((facet) => !kindOf(facet).finding) ?? lens.facets[0];
  return { lens, past: [], future: [], lastTopic: null, focus: addressed ?? first?.key ?? null };
}

export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  switch (action.type) {
    case 'edit': {
      if (action.lens === state.lens) return state;
      const flows = action.topic !== undefined && action.topic === state.lastTopic;
      const past = flows ? state.past : [...state.past, state.lens].slice(-stepsKept);
      const focus = action.focus === undefined ? state.focus : action.focus;
      return withFocus({ lens: action.lens, past, future: [], lastTopic: action.topic ?? null, focus });
    }
    case 'undo': {
      const lens = state.past.at(-1);
      if (!lens) return state;
      return withFocus({
        ...state,
        lens,
        past: state.past.slice(0, -1),
        future: [state.lens, ...state.future],
        lastTopic: null,
      });
    }
    case 'redo': {
      const [lens, ...future] = state.future;
      if (!lens) return state;
      return withFocus({ ...state, lens, past: [...state.past, state.lens], future, lastTopic: null });
    }
    case 'focus':
      return { ...state, focus: action.key, lastTopic: null };
    case 'load':
      return withFocus({ ...startBench(action.lens), focus: state.focus });
  }
}

/** The facet in hand must be one that is there. */
function withFocus(state: BenchState): BenchState {
  const there = state.lens.facets.some((facet) => facet.key === state.focus);
  return there || state.focus === null ? state : { ...state, focus: state.lens.facets[0]?.key ?? null };
}
