import { kindOf, type Lens } from '@ivy/core';
import { tokensOf } from './strip/address-tokens.js';

/** Steps that can be taken back. */
const stepsKept = 200;

/** A lens, and the address it is looked at by. */
export interface BenchStep {
  lens: Lens;
  address: string;
}

/** What is being worked on: the lens and the address, what they were before, and the facet in hand. */
export interface BenchState extends BenchStep {
  past: readonly BenchStep[];
  future: readonly BenchStep[];
  /** What the last edit was about: edits of one text flow into one step. */
  lastTopic: string | null;
  focus: string | null;
}

export type BenchAction =
  /** `topic` names what is typed in, so that a word is one step and not one a letter. */
  | { type: 'edit'; lens: Lens; topic?: string; focus?: string | null }
  /** Another address is looked at; one that is the same written otherwise is no step. */
  | { type: 'go'; address: string; isSame?: boolean }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'focus'; key: string | null }
  /** Another draft takes its place, such as the one someone else saved. */
  | { type: 'load'; lens: Lens };

/** @param address  a facet that it chooses from is taken in hand first */
export function startBench(lens: Lens, address = ''): BenchState {
  const addressed = tokensOf(address, lens).find((token) => token.facet !== null)?.facet;
  const first = lens.facets.find((facet) => !kindOf(facet).finding) ?? lens.facets[0];
  return { lens, address, past: [], future: [], lastTopic: null, focus: addressed ?? first?.key ?? null };
}

export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  switch (action.type) {
    case 'edit': {
      if (action.lens === state.lens) return state;
      const flows = action.topic !== undefined && action.topic === state.lastTopic;
      const past = flows ? state.past : withStep(state);
      const focus = action.focus === undefined ? state.focus : action.focus;
      return withFocus({ ...state, lens: action.lens, past, future: [], lastTopic: action.topic ?? null, focus });
    }
    case 'go': {
      const { address, isSame } = action;
      if (address === state.address) return state;
      if (isSame) return { ...state, address };
      return { ...state, address, past: withStep(state), future: [], lastTopic: null };
    }
    case 'undo': {
      const step = state.past.at(-1);
      if (!step) return state;
      const future = [stepOf(state), ...state.future];
      return withFocus({ ...state, ...step, past: state.past.slice(0, -1), future, lastTopic: null });
    }
    case 'redo': {
      const [step, ...future] = state.future;
      if (!step) return state;
      return withFocus({ ...state, ...step, past: [...state.past, stepOf(state)], future, lastTopic: null });
    }
    case 'focus':
      return { ...state, focus: action.key, lastTopic: null };
    case 'load':
      return withFocus({ ...startBench(action.lens, state.address), focus: state.focus });
  }
}

function stepOf({ lens, address }: BenchState): BenchStep {
  return { lens, address };
}

/** What was before, with how it stands now. */
function withStep(state: BenchState): BenchStep[] {
  return [...state.past, stepOf(state)].slice(-stepsKept);
}

/** The facet in hand must be one that is there. */
function withFocus(state: BenchState): BenchState {
  const there = state.lens.facets.some((facet) => facet.key === state.focus);
  return there || state.focus === null ? state : { ...state, focus: state.lens.facets[0]?.key ?? null };
}
